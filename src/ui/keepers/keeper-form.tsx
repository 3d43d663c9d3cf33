'use client'

import { useState } from 'react'
import { KEEPER_KINDS, KEEPER_STATES } from '@/core/judge/keeper-kind'
import type { FormAction } from '../form/action-result'
import { Field, FormMessage, Select } from '../form/field'
import { useActionForm } from '../form/use-action-form'
import { DeckPicker } from './deck-picker'

export interface KeeperValues {
  readonly id: string
  readonly roomId: string
  readonly name: string
  readonly kind: string
  readonly state: string
  readonly colours: readonly ColourValues[]
}

export interface ColourValues {
  readonly part: string
  readonly sharePercent: number
  readonly by: 'lab' | 'hex' | 'deck'
  readonly lab: readonly [number, number, number] | null
  readonly hex: string
  readonly deckColourId: string | null
}

const BY_WORDS = [
  ['lab', 'L*a*b* of a reader (D65, 2°)'],
  ['hex', 'sRGB hex'],
  ['deck', 'The nearest deck colour'],
] as const

/** What stays, and its one or two colours. */
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
  const [second, setSecond] = useState(keeper.colours.length > 1)
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
          defaultValue={keeper.state}
          options={KEEPER_STATES.map((state) => [state, state])}
          hint="Leaving is shown, never judged against."
        />
      </div>
      <ColourFields
        index={0}
        colour={keeper.colours[0]}
        errors={errors}
        share={second ? 70 : 100}
      />
      <label className="flex min-h-11 items-center gap-2 text-small">
        <input
          type="checkbox"
          name="second"
          className="size-5 accent-ink"
          checked={second}
          onChange={(event) => setSecond(event.target.checked)}
        />
        It has a second colour that counts
      </label>
      {second && <ColourFields index={1} colour={keeper.colours[1]} errors={errors} share={30} />}
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
      <legend className="sr-only">{index === 0 ? 'First colour' : 'Second colour'}</legend>
      <div className="grid grid-cols-[1fr_7rem] gap-4">
        <Field
          label="Part"
          name={name('part')}
          defaultValue={colour?.part ?? (index === 0 ? 'ground' : 'vein')}
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
      {by === 'lab' && (
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
