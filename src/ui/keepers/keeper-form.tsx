'use client'

import { useState } from 'react'
import type { HouseRules } from '@/core/advice/house-rules'
import {
  isFixed,
  KEEPER_KINDS,
  KEEPER_STATES,
  kindWords,
  type KeeperKind,
} from '@/core/pairing/keeper-kind'
import { seedOfId } from '@/core/seeded-random'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { spectrumText } from '@/core/paint/typed-reading'
import type { TradeWords } from '@/core/trade-words'
import { Field, FormMessage, Select } from '../form/field'
import { TextKey } from '../form/text-key'
import { useCommandForm } from '../form/use-command-form'
import { PhotoReader, type KeptPhotos, type PhotographedColour } from '../photo/photo-reader'
import {
  emptyDraft,
  labTexts,
  MOST_COLOURS,
  withAnother,
  withBrought,
  type ColourDraft,
} from './colour-draft'
import { ColourFields } from './colour-fields'
import { ColourReaderPanel } from './colour-reader-panel'
import { KeeperDetails } from './keeper-details'
import type { KeeperValues } from './keeper-values'
import { MeasurementFile, type Measured } from './measurement-file'
import { readKeeper } from './read-keeper'
import { WaysToRead, WayToRead } from '../form/ways-to-read'
import { useSettings } from '../settings/settings-context'

/** What stays, and its one to five colours. */
export function KeeperForm({
  visitId,
  keeper,
  roomId,
  otherRooms,
  rules,
  onDone,
}: {
  readonly visitId: string
  readonly keeper: KeeperValues
  /** The room at hand; a finish that runs on may have been entered in another. */
  readonly roomId: string
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly rules: HouseRules
  readonly onDone: () => void
}) {
  const { words } = useSettings()
  const { onSubmit, pending, errors, message } = useCommandForm(
    'keep-keeper',
    (form) => readKeeper(form, words),
    onDone,
  )
  const [state, setState] = useState(keeper.state)
  const [varies, setVaries] = useState(keeper.varies)
  const [photos, setPhotos] = useState<KeptPhotos>(keeper)
  const [drafts, setDrafts] = useState<readonly ColourDraft[]>(
    keeper.colours.length > 0 ? keeper.colours : [emptyDraft(0, 100)],
  )

  function takePhoto(found: readonly PhotographedColour[], kept: KeptPhotos): void {
    setDrafts(
      found.map(({ lab, sharePercent, evidence }, i) => ({
        ...emptyDraft(i, Math.max(1, Math.floor(sharePercent))),
        by: 'photo',
        ...labTexts(lab),
        evidence,
      })),
    )
    if (kept.photoHash) setPhotos(kept)
  }

  function takeMeasured({ name, reading }: Measured, evidence: ReadingEvidence): void {
    const part = name.slice(0, 40)
    const brought: Partial<ColourDraft> =
      reading.kind === 'lab'
        ? { part, by: 'lab', ...labTexts(reading.lab), evidence }
        : reading.kind === 'srgb'
          ? { part, by: 'hex', hex: reading.hex, evidence }
          : {
              part,
              by: 'spectral',
              spectrum: spectrumText(reading),
              scale: 'share',
              source: 'spectral',
              evidence,
            }
    setDrafts(withBrought(drafts, brought, MOST_COLOURS))
  }

  function takeRead(brought: Partial<ColourDraft>, itVaries: boolean): void {
    setDrafts(withBrought(drafts, brought, MOST_COLOURS))
    if (itVaries) setVaries(true)
  }

  return (
    <form onSubmit={onSubmit} noValidate className="flex flex-col gap-3">
      <input type="hidden" name="visitId" value={visitId} />
      <input type="hidden" name="keeperId" value={keeper.id} />
      <input type="hidden" name="roomId" value={keeper.roomId} />
      <input type="hidden" name="alsoIn" value={roomId} />
      <input type="hidden" name="photoHash" value={photos.photoHash ?? ''} />
      <input type="hidden" name="patchHash" value={photos.patchHash ?? ''} />
      <div className="grid grid-cols-2 gap-4">
        <Field
          label="What stays"
          name="name"
          autoFocus={keeper.kind === ''}
          defaultValue={keeper.name}
          error={errors.name}
          hint="As the household calls it; else its kind."
        />
        <Select
          label="Kind"
          name="kind"
          defaultValue={keeper.kind}
          error={errors.kind}
          groups={kindGroups(words)}
          options={keeper.kind === '' ? [['', 'what is it?']] : []}
        />
      </div>
      <WaysToRead>
        <PhotoReader onUse={takePhoto} />
        <WayToRead name="A colour reader">
          <ColourReaderPanel seed={seedOfId(keeper.id)} onRead={takeRead} />
        </WayToRead>
        <WayToRead name="A file">
          <MeasurementFile onPick={takeMeasured} />
        </WayToRead>
      </WaysToRead>
      {drafts.map((draft, i) => (
        <ColourFields
          key={i}
          place={i}
          draft={draft}
          rules={rules}
          errors={errors}
          onChange={(change) =>
            setDrafts(drafts.map((each, k) => (k === i ? { ...each, ...change } : each)))
          }
          onRemove={drafts.length > 1 ? () => setDrafts(drafts.filter((_, k) => k !== i)) : null}
        />
      ))}
      {drafts.length < MOST_COLOURS && (
        <TextKey className="self-start" onClick={() => setDrafts(withAnother(drafts))}>
          Another colour that counts
        </TextKey>
      )}
      <Select
        label="State"
        name="state"
        value={state}
        onChange={(event) => setState(event.target.value)}
        options={KEEPER_STATES.map((each) => [each, each])}
        hint="Leaving is shown, never judged against."
      />
      {state === 'leaving' && (
        <Field
          label="What comes instead"
          name="replacedBy"
          defaultValue={keeper.replacedBy}
          error={errors.replacedBy}
        />
      )}
      <KeeperDetails {...{ keeper, otherRooms, errors, varies }} onVaries={setVaries} />
      <div className="flex items-center gap-4">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          Save
        </button>
        <button type="button" className="key" onClick={onDone}>
          Cancel
        </button>
        <FormMessage>{message}</FormMessage>
      </div>
    </form>
  )
}

const kindGroups = (words: TradeWords) => {
  const named = (kinds: readonly KeeperKind[]) =>
    kinds.map((kind) => [kind, kindWords(kind, words)] as const)
  return [
    ['fixed', named(KEEPER_KINDS.filter(isFixed))],
    ['furnishing', named(KEEPER_KINDS.filter((kind) => !isFixed(kind)))],
  ] as const
}
