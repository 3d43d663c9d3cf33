'use client'

import { useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import type { HouseRules } from '@/core/advice/house-rules'
import {
  isPhotographed,
  KEEPER_STATES,
  kindWords,
  type KeeperKind,
} from '@/core/pairing/keeper-kind'
import { seedOfId } from '@/core/seeded-random'
import { EYE_FIELD_UNCERTAINTY, STUFF_WORDS } from '@/core/paint/eye-field'
import type { Exposure } from '@/core/photo/exposure-lock'
import { capital } from '@/core/words'
import { Field, FormMessage, Select } from '../form/field'
import { TextKey } from '../form/text-key'
import { useCommandForm } from '../form/use-command-form'
import { WaysToRead, WayToRead } from '../form/ways-to-read'
import { PhotoReader, type KeptPhotos } from '../photo/photo-reader'
import { useSettings } from '../settings/settings-context'
import {
  isEmpty,
  isNumbers,
  labTexts,
  MOST_COLOURS,
  NUMBER_WORDS,
  type ReadBy,
} from './colour-draft'
import { ColourLine } from './colour-line'
import { ColourReaderPanel } from './colour-reader-panel'
import { DeckPicker } from './deck-picker'
import { EyeField } from './eye-field'
import { KeeperDetails } from './keeper-details'
import type { KeeperValues } from './keeper-values'
import { KindPicture } from './kind-picture'
import { KindPictures } from './kind-pictures'
import { MeasurementFile } from './measurement-file'
import { NumberFields } from './number-fields'
import { readKeeper } from './read-keeper'
import { useDrafts } from './use-drafts'

/** What stays: first its kind by a picture, then its one to five colours, the way that fits the kind at hand. */
export function KeeperForm({
  visitId,
  keeper,
  taken,
  roomId,
  otherRooms,
  rules,
  exposuresBefore,
  onKept,
  onCancel,
}: {
  readonly visitId: string
  readonly keeper: KeeperValues
  /** Names of what else stays in the room. */
  readonly taken: readonly string[]
  /** The room at hand; a finish that runs on may have been entered in another. */
  readonly roomId: string
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly rules: HouseRules
  readonly exposuresBefore: readonly Exposure[]
  readonly onKept: (andAnother: boolean) => void
  readonly onCancel: () => void
}) {
  const { words } = useSettings()
  const [kind, setKind] = useState(keeper.kind)
  const [asksKind, setAsksKind] = useState(keeper.kind === null)
  const [state, setState] = useState(keeper.state)
  const [varies, setVaries] = useState(keeper.varies)
  const [photos, setPhotos] = useState<KeptPhotos>(keeper)
  const colours = useDrafts(keeper.colours)
  const { drafts, atHand, draft, change } = colours
  const andAnother = useRef(false)
  const { onSubmit, pending, errors, message } = useCommandForm(
    'keep-keeper',
    (form) => {
      const read = readKeeper(form, drafts, taken, words)
      // What is wrong with a colour is said where it is read.
      const wrong = read.ok ? -1 : drafts.findIndex((_, i) => hasErrorOf(read.fields, i))
      if (wrong >= 0) flushSync(() => colours.setAtHand(wrong))
      return read
    },
    () => onKept(andAnother.current),
  )
  const name = (place: number) => (field: string) => `colour${place}.${field}`

  function chooseKind(chosen: KeeperKind): void {
    setKind(chosen)
    setAsksKind(false)
    colours.beginBy(isPhotographed(chosen) ? 'photo' : 'field')
  }

  /** A way that needs no device. */
  const byHand = (by: ReadBy, word: string) => (
    <button
      type="button"
      className="key"
      aria-pressed={by === draft!.by || (by === 'lab' && isNumbers(draft!.by))}
      onClick={() => colours.readBy(by)}
    >
      {word}
    </button>
  )

  return (
    <form onSubmit={onSubmit} noValidate className="flex max-w-3xl flex-col gap-3">
      <input type="hidden" name="visitId" value={visitId} />
      <input type="hidden" name="keeperId" value={keeper.id} />
      <input type="hidden" name="roomId" value={keeper.roomId} />
      <input type="hidden" name="alsoIn" value={roomId} />
      <input type="hidden" name="photoHash" value={photos.photoHash ?? ''} />
      <input type="hidden" name="patchHash" value={photos.patchHash ?? ''} />
      <input type="hidden" name="kind" value={kind ?? ''} />
      {asksKind || !kind || !draft ? (
        <>
          <KindPictures chosen={kind} error={errors.kind} onChoose={chooseKind} />
          <button type="button" className="key self-start" onClick={onCancel}>
            Cancel
          </button>
        </>
      ) : (
        <>
          <div className="flex items-center gap-3">
            <KindPicture kind={kind} className="h-10 w-15" />
            <h2 className="text-title">{capital(kindWords(kind, words))}</h2>
            <TextKey onClick={() => setAsksKind(true)}>Another kind</TextKey>
          </div>
          <WaysToRead>
            <PhotoReader
              exposuresBefore={exposuresBefore}
              onUse={(found, kept) => {
                colours.bringPhoto(found)
                if (kept.photoHash) setPhotos(kept)
              }}
            />
            {byHand('field', 'By eye')}
            {byHand('deck', 'A deck colour')}
            <WayToRead name="A colour reader">
              <ColourReaderPanel
                seed={seedOfId(keeper.id)}
                onRead={(brought, itVaries) => {
                  colours.bring(brought)
                  if (itVaries) setVaries(true)
                }}
              />
            </WayToRead>
            <WayToRead name="A file">
              <MeasurementFile onPick={colours.bringMeasured} />
            </WayToRead>
            {byHand('lab', 'Numbers')}
          </WaysToRead>
          {draft.by === 'field' && (
            <EyeField
              key={`${keeper.id} ${atHand} ${kind}`}
              name={name(atHand)('field')}
              kind={kind}
              matched={isEmpty(draft) ? null : [Number(draft.l), Number(draft.a), Number(draft.b)]}
              error={errors[name(atHand)('field')]}
              onMatch={(lab, stuff) =>
                change(
                  atHand,
                  lab
                    ? {
                        ...labTexts(lab),
                        evidence: {
                          field: STUFF_WORDS[stuff],
                          uncertainty: EYE_FIELD_UNCERTAINTY[stuff],
                        },
                      }
                    : { l: '', a: '', b: '', evidence: null },
                )
              }
            />
          )}
          {draft.by === 'deck' && (
            <DeckPicker
              name={name(atHand)}
              picked={draft.deck}
              shifts={draft.shifts}
              error={errors[name(atHand)('deckColourId')]}
              onPick={(deck) => change(atHand, { deck })}
              onShift={(shifts) => change(atHand, { shifts })}
            />
          )}
          {isNumbers(draft.by) && (
            <Select
              label="Numbers as"
              name="numbersAs"
              value={draft.by}
              options={NUMBER_WORDS}
              onChange={(event) => colours.readBy(event.target.value as ReadBy)}
            />
          )}
          {draft.by === 'photo' && isEmpty(draft) ? (
            <p className="text-small">
              {errors[name(atHand)('photo')] ??
                `A photo with a card tells its colours and their shares.${
                  otherRooms.length > 0
                    ? ' Keep the camera’s exposure locked from room to room.'
                    : ''
                }`}
            </p>
          ) : (
            (isNumbers(draft.by) || draft.by === 'photo') && (
              <NumberFields
                name={name(atHand)}
                draft={draft}
                errors={errors}
                onChange={(changed) => change(atHand, changed)}
              />
            )
          )}
          {drafts.map((each, i) => (
            <ColourLine
              key={i}
              name={name(i)}
              draft={each}
              rules={rules}
              errors={errors}
              isAtHand={i === atHand}
              onChange={(changed) => change(i, changed)}
              onTake={() => colours.setAtHand(i)}
              onRemove={drafts.length > 1 ? () => colours.leaveOut(i) : null}
            />
          ))}
          {drafts.length < MOST_COLOURS && !isEmpty(drafts.at(-1)!) && (
            <TextKey className="self-start" onClick={colours.another}>
              Another colour that counts
            </TextKey>
          )}
          <div className="grid grid-cols-2 gap-4">
            <Field
              label="What stays"
              name="name"
              defaultValue={keeper.name}
              error={errors.name}
              hint="As the household calls it; else its kind."
            />
            <Select
              label="State"
              name="state"
              value={state}
              onChange={(event) => setState(event.target.value)}
              options={KEEPER_STATES.map((each) => [each, each])}
              hint="Leaving is shown, never judged against."
            />
          </div>
          {state === 'leaving' && (
            <Field
              label="What comes instead"
              name="replacedBy"
              defaultValue={keeper.replacedBy}
              error={errors.replacedBy}
            />
          )}
          <KeeperDetails {...{ keeper, otherRooms, errors, varies }} onVaries={setVaries} />
          <div className="sticky -bottom-5 z-10 -mb-5 flex flex-wrap items-center gap-4 bg-paper pt-2 pb-5">
            <button
              type="submit"
              className="key key-first px-6"
              disabled={pending}
              onClick={() => (andAnother.current = false)}
            >
              Save
            </button>
            <button
              type="submit"
              className="key"
              disabled={pending}
              onClick={() => (andAnother.current = true)}
            >
              Save, and another
            </button>
            <button type="button" className="key" onClick={onCancel}>
              Cancel
            </button>
            <FormMessage>{message}</FormMessage>
          </div>
        </>
      )}
    </form>
  )
}

const hasErrorOf = (fields: Readonly<Record<string, string>>, place: number): boolean =>
  Object.keys(fields).some((field) => field.startsWith(`colour${place}.`))
