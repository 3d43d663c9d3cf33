'use client'

import { useState } from 'react'
import { KEEPER_KINDS, KEEPER_STATES } from '@/core/judge/keeper-kind'
import type { FormAction } from '../form/action-result'
import { Field, FormMessage, Select } from '../form/field'
import { useActionForm } from '../form/use-action-form'
import type { FoundColour } from '../photo/found-colours'
import { PhotoReader } from '../photo/photo-reader'
import type { Lab } from '@/core/colour/lab'
import { MeasurementFile } from './measurement-file'
import { DeckPicker } from './deck-picker'

export interface KeeperValues {
  readonly id: string
  readonly roomId: string
  readonly name: string
  readonly kind: string
  readonly state: string
  readonly place: string
  readonly note: string
  readonly varies: boolean
  readonly replacedBy: string
  readonly colours: readonly ColourValues[]
}

export interface ColourValues {
  readonly part: string
  readonly sharePercent: number
  readonly by: 'lab' | 'photo' | 'hex' | 'deck'
  readonly lab: readonly [number, number, number] | null
  readonly hex: string
  readonly deckColourId: string | null
}

const BY_WORDS = [
  ['lab', 'L*a*b* of a reader (D65, 2°)'],
  ['photo', 'A photo with a white card'],
  ['hex', 'sRGB hex'],
  ['deck', 'The nearest deck colour'],
] as const

const MOST_COLOURS = 5

/** What stays, and its one to five colours. */
export function KeeperForm({
  keeper,
  action,
  onDone,
}: {
  readonly keeper: KeeperValues
  readonly action: FormAction
  readonly onDone: () => void
}) {
  const { onSubmit, pending, errors, message } = useActionForm(action, onDone)
  const [state, setState] = useState(keeper.state)
  const [colours, setColours] = useState<readonly (ColourValues | undefined)[]>(
    keeper.colours.length > 0 ? keeper.colours : [undefined],
  )
  // Fields are made anew when a photo brings other colours.
  const [photos, setPhotos] = useState(0)
  function takePhoto(found: readonly FoundColour[]): void {
    setColours(
      found.map(({ lab, sharePercent }, i) => ({
        part: i === 0 ? 'ground' : `colour ${i + 1}`,
        sharePercent: Math.max(1, Math.floor(sharePercent)),
        by: 'photo',
        lab: lab.map((value) => Number(value.toFixed(2))) as [number, number, number],
        hex: '',
        deckColourId: null,
      })),
    )
    setPhotos(photos + 1)
  }
  function takeMeasured({ name, lab }: { readonly name: string; readonly lab: Lab }): void {
    const taken: ColourValues = {
      part: name.slice(0, 40),
      sharePercent: 0,
      by: 'lab',
      lab: lab.map((value) => Number(value.toFixed(2))) as [number, number, number],
      hex: '',
      deckColourId: null,
    }
    // The first takes the place of what was not filled in; each further one is another part.
    const filled = colours.filter((colour) => colour !== undefined)
    const all = [...filled, taken].slice(0, MOST_COLOURS)
    setColours(all.map((colour) => ({ ...colour, sharePercent: Math.floor(100 / all.length) })))
    setPhotos(photos + 1)
  }
  return (
    <form onSubmit={onSubmit} noValidate className="flex flex-col gap-3">
      <input type="hidden" name="id" value={keeper.id} />
      <input type="hidden" name="roomId" value={keeper.roomId} />
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
          options={KEEPER_STATES.map((state) => [state, state])}
          hint="Leaving is shown, never judged against."
        />
      </div>
      <details>
        <summary className="min-h-11 content-center text-small underline underline-offset-4">
          Where it is, and a note
        </summary>
        <div className="grid grid-cols-2 gap-4">
          <Field
            label="Where in the room"
            name="place"
            defaultValue={keeper.place}
            error={errors.place}
          />
          {state === 'leaving' && (
            <Field
              label="What comes instead"
              name="replacedBy"
              defaultValue={keeper.replacedBy}
              error={errors.replacedBy}
            />
          )}
          <label className="flex min-h-11 items-center gap-2 self-end text-small">
            <input
              type="checkbox"
              name="varies"
              defaultChecked={keeper.varies}
              className="size-5 accent-ink"
            />
            Varies from piece to piece
          </label>
          <div className="col-span-2">
            <Field label="Note" name="note" defaultValue={keeper.note} error={errors.note} />
          </div>
        </div>
      </details>
      <PhotoReader onUse={takePhoto} />
      <MeasurementFile onPick={takeMeasured} />
      {colours.map((colour, i) => (
        <ColourFields
          key={`${photos} ${i}`}
          index={i}
          colour={colour}
          errors={errors}
          share={i === 0 ? (colours.length > 1 ? 70 : 100) : Math.floor(30 / (colours.length - 1))}
        />
      ))}
      <div className="flex gap-4 text-small">
        {colours.length < MOST_COLOURS && (
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => setColours([...colours, undefined])}
          >
            Another colour that counts
          </button>
        )}
        {colours.length > 1 && (
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => setColours(colours.slice(0, -1))}
          >
            Leave the last one out
          </button>
        )}
      </div>
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

function ColourFields({
  index,
  colour,
  errors,
  share,
}: {
  readonly index: number
  readonly colour: ColourValues | undefined
  readonly errors: Readonly<Record<string, string>>
  readonly share: number
}) {
  const name = (field: string): string => `colour${index}.${field}`
  const [by, setBy] = useState(colour?.by ?? 'lab')
  return (
    <fieldset className="flex flex-col gap-2 border-t border-rule pt-3">
      <legend className="sr-only">Colour {index + 1}</legend>
      <div className="grid grid-cols-[1fr_7rem] gap-4">
        <Field
          label="Part"
          name={name('part')}
          defaultValue={
            colour?.part ?? (index === 0 ? 'ground' : index === 1 ? 'vein' : `colour ${index + 1}`)
          }
          error={errors[name('part')]}
        />
        <Field
          key={share}
          label="Share"
          name={name('sharePercent')}
          defaultValue={colour?.sharePercent ?? share}
          error={errors[name('sharePercent')]}
          unit="%"
        />
      </div>
      <Select
        label="Its colour by"
        name={name('by')}
        value={by}
        onChange={(event) => setBy(event.target.value as typeof by)}
        options={BY_WORDS}
      />
      {(by === 'lab' || by === 'photo') && (
        <div className="grid grid-cols-3 gap-4">
          {(['l', 'a', 'b'] as const).map((axis, i) => (
            <Field
              key={axis}
              label={`${axis === 'l' ? 'L' : axis}*`}
              name={name(axis)}
              defaultValue={colour?.lab?.[i] ?? ''}
              error={errors[name(axis)]}
            />
          ))}
        </div>
      )}
      {by === 'hex' && (
        <Field
          label="Hex"
          name={name('hex')}
          defaultValue={colour?.hex ?? ''}
          error={errors[name('hex')]}
          hint="One screen number is the weakest reading there is."
        />
      )}
      {by === 'deck' && (
        <DeckPicker
          name={name('deckColourId')}
          before={colour?.deckColourId ?? null}
          error={errors[name('deckColourId')]}
        />
      )}
    </fieldset>
  )
}
