'use client'

import { useState, type ReactNode } from 'react'
import type { HouseRules } from '@/core/judge/house-rules'
import { KEEPER_KINDS, KEEPER_STATES, type ViewShare } from '@/core/judge/keeper-kind'
import { spectrumText } from '@/core/paint/typed-reading'
import type { FormAction } from '../form/action-result'
import { Field, FormMessage, Select } from '../form/field'
import { useActionForm } from '../form/use-action-form'
import type { FoundColour } from '../photo/found-colours'
import { PhotoReader } from '../photo/photo-reader'
import { emptyDraft, labTexts, withAnother, withBrought, type ColourDraft } from './colour-draft'
import { ColourFields } from './colour-fields'
import { ColourReaderPanel } from './colour-reader-panel'
import { MeasurementFile, type Measured } from './measurement-file'

export interface KeeperValues {
  readonly id: string
  readonly roomId: string
  /** Every room it is in. */
  readonly roomIds: readonly string[]
  readonly name: string
  readonly kind: string
  readonly state: string
  readonly place: string
  readonly note: string
  readonly varies: boolean
  readonly replacedBy: string
  readonly viewShare: ViewShare
  readonly dearness: number | null
  readonly photoHash: string | null
  readonly colours: readonly ColourDraft[]
}

const MOST_COLOURS = 5

/** What stays, and its one to five colours. */
export function KeeperForm({
  keeper,
  roomId,
  otherRooms,
  rules,
  action,
  onDone,
}: {
  readonly keeper: KeeperValues
  /** The room at hand; a finish that runs on may have been entered in another. */
  readonly roomId: string
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly rules: HouseRules
  readonly action: FormAction
  readonly onDone: () => void
}) {
  const { onSubmit, pending, errors, message } = useActionForm(action, onDone)
  const [state, setState] = useState(keeper.state)
  const [varies, setVaries] = useState(keeper.varies)
  const [photoHash, setPhotoHash] = useState(keeper.photoHash)
  const [drafts, setDrafts] = useState<readonly ColourDraft[]>(
    keeper.colours.length > 0 ? keeper.colours : [emptyDraft(0, 100)],
  )

  function takePhoto(found: readonly FoundColour[], hash: string | null): void {
    setDrafts(
      found.map(({ lab, sharePercent }, i) => ({
        ...emptyDraft(i, Math.max(1, Math.floor(sharePercent))),
        by: 'photo',
        ...labTexts(lab),
      })),
    )
    if (hash) setPhotoHash(hash)
  }

  function takeMeasured({ name, reading }: Measured): void {
    const part = name.slice(0, 40)
    const brought: Partial<ColourDraft> =
      reading.kind === 'lab'
        ? { part, by: 'lab', ...labTexts(reading.lab) }
        : reading.kind === 'srgb'
          ? { part, by: 'hex', hex: reading.hex }
          : { part, by: 'spectral', spectrum: spectrumText(reading), source: 'spectral' }
    setDrafts(withBrought(drafts, brought, MOST_COLOURS))
  }

  function takeRead(brought: Partial<ColourDraft>, itVaries: boolean): void {
    setDrafts(withBrought(drafts, brought, MOST_COLOURS))
    if (itVaries) setVaries(true)
  }

  return (
    <form onSubmit={onSubmit} noValidate className="flex flex-col gap-3">
      <input type="hidden" name="id" value={keeper.id} />
      <input type="hidden" name="roomId" value={keeper.roomId} />
      <input type="hidden" name="alsoIn" value={roomId} />
      <input type="hidden" name="photoHash" value={photoHash ?? ''} />
      <Field
        label="What stays"
        name="name"
        defaultValue={keeper.name}
        error={errors.name}
        hint="As the household calls it."
      />
      <div className="grid grid-cols-2 gap-4">
        <Select
          label="Kind"
          name="kind"
          defaultValue={keeper.kind}
          options={KEEPER_KINDS.map((kind) => [kind, kind])}
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
      <Details {...{ keeper, otherRooms, errors, varies }} onVaries={setVaries} />
      <WaysToRead>
        {{
          'A photo': <PhotoReader onUse={takePhoto} />,
          'A colour reader': <ColourReaderPanel seed={seedOf(keeper.id)} onRead={takeRead} />,
          'A file': <MeasurementFile onPick={takeMeasured} />,
        }}
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
        <button
          type="button"
          className="min-h-11 self-start text-small underline underline-offset-4"
          onClick={() => setDrafts(withAnother(drafts))}
        >
          Another colour that counts
        </button>
      )}
      <div className="flex items-center gap-4">
        <button type="submit" className="key key-first px-6" disabled={pending}>
          Keep it
        </button>
        <button type="button" className="key" onClick={onDone}>
          Leave it
        </button>
        <FormMessage>{message}</FormMessage>
      </div>
    </form>
  )
}

const DEARNESS = [
  ['', 'as its kind'],
  ['5', 'never'],
  ['4', 'very dear'],
  ['3', 'dear'],
  ['2', 'some cost'],
  ['1', 'easily'],
] as const

const VIEW_SHARE_WORDS: readonly (readonly [ViewShare, string])[] = [
  ['little', 'little of the view'],
  ['some', 'some of it'],
  ['much', 'much of it'],
]

/** Everything that has a default: what of it is in view, how dear it is, where, in which other rooms. */
function Details({
  keeper,
  otherRooms,
  errors,
  varies,
  onVaries,
}: {
  readonly keeper: KeeperValues
  readonly otherRooms: readonly { readonly id: string; readonly name: string }[]
  readonly errors: Readonly<Record<string, string>>
  readonly varies: boolean
  readonly onVaries: (varies: boolean) => void
}) {
  return (
    <details>
      <summary className="min-h-11 content-center text-small underline underline-offset-4">
        How much of it, how dear, where else
      </summary>
      <div className="grid grid-cols-2 gap-4">
        <Select
          label="Takes up"
          name="viewShare"
          defaultValue={keeper.viewShare}
          options={VIEW_SHARE_WORDS}
        />
        <Select
          label="Changed"
          name="dearness"
          defaultValue={keeper.dearness ?? ''}
          options={DEARNESS}
        />
        <Field
          label="Where in the room"
          name="place"
          defaultValue={keeper.place}
          error={errors.place}
        />
        <label className="flex min-h-11 items-center gap-2 self-end text-small">
          <input
            type="checkbox"
            name="varies"
            checked={varies}
            onChange={(event) => onVaries(event.target.checked)}
            className="size-5 accent-ink"
          />
          Varies from piece to piece
        </label>
        <div className="col-span-2">
          <Field label="Note" name="note" defaultValue={keeper.note} error={errors.note} />
        </div>
        {otherRooms.length > 0 && (
          <fieldset className="col-span-2">
            <legend className="text-small font-medium">Runs on into</legend>
            {otherRooms.map(({ id, name }) => (
              <label key={id} className="mr-4 inline-flex min-h-11 items-center gap-2 text-small">
                <input
                  type="checkbox"
                  name="alsoIn"
                  value={id}
                  defaultChecked={keeper.roomIds.includes(id)}
                  className="size-5 accent-ink"
                />
                {name}
              </label>
            ))}
          </fieldset>
        )}
      </div>
    </details>
  )
}

/** Devices that fill colours in, one open at a time; typing needs none of them. */
function WaysToRead({ children }: { readonly children: Readonly<Record<string, ReactNode>> }) {
  const [open, setOpen] = useState<string | null>(null)
  return (
    <section aria-label="Ways to read it" className="border-t border-rule pt-3">
      <div className="flex flex-wrap items-center gap-2 text-small">
        Read its colours from
        {Object.keys(children).map((name) => (
          <button
            key={name}
            type="button"
            className="key"
            aria-pressed={open === name}
            onClick={() => setOpen(open === name ? null : name)}
          >
            {name}
          </button>
        ))}
      </div>
      {Object.entries(children).map(([name, way]) => (
        <div key={name} className={open === name ? 'pt-3' : 'hidden'}>
          {way}
        </div>
      ))}
    </section>
  )
}

const seedOf = (id: string): number => parseInt(id.slice(0, 7), 16)
