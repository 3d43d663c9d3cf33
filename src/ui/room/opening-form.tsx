'use client'

import { useState } from 'react'
import { compassWord } from '@/core/light/aspect'
import { CURTAINS, GLAZINGS, GROUNDS, kindsOf, OPPOSITES } from '@/core/light/fittings'
import { lengthWords } from '@/core/units'
import { Field, FormMessage, Select } from '../form/field'
import { TextKey } from '../form/text-key'
import { LengthField } from '../form/length-field'
import { useCommandForm } from '../form/use-command-form'
import { newId } from '../record/new-id'
import { useSettings } from '../settings/settings-context'
import {
  kindOfOpening,
  OPENING_KINDS,
  plainOpening,
  type Opening,
  type OpeningKind,
} from './openings'
import { readWindow } from './read-room'

/** Where an opening that is not there yet was tapped. */
export interface TappedPlace {
  readonly bearingDeg: number
  readonly alongPercent: number | null
}

interface Props {
  readonly visitId: string
  readonly roomId: string
  /** The one that is edited; left out, a new one is put in. */
  readonly opening: Opening | undefined
  readonly onDone: () => void
}

/** A window or a door: put in by its bearing, or edited in place. All but the wall has a default that is shown. */
export function OpeningForm({ visitId, roomId, opening, onDone }: Props) {
  const { lengths } = useSettings()
  const [kind, setKind] = useState<OpeningKind>(opening ? kindOfOpening(opening) : 'window')
  const [bearing, setBearing] = useState(opening?.bearingDeg ?? '')
  const { onSubmit, pending, errors, message } = useCommandForm(
    'keep-window',
    (form) => {
      form.set('windowId', opening?.id ?? newId())
      return readWindow(form, lengths)
    },
    onDone,
  )
  const shown =
    opening && kindOfOpening(opening) === kind
      ? opening
      : { ...plainOpening(kind), alongPercent: opening?.alongPercent ?? null }
  const facing = Number(bearing)
  const isPlain = bearing !== '' && facing >= 0 && facing < 360
  return (
    <form
      onSubmit={onSubmit}
      noValidate
      aria-label={opening ? 'Change it' : 'Put in a window or a door'}
      className="mt-4 grid grid-cols-4 gap-x-4 gap-y-1 max-sm:grid-cols-2"
    >
      <input type="hidden" name="visitId" value={visitId} />
      <input type="hidden" name="roomId" value={roomId} />
      <Select
        label="What"
        name="what"
        value={kind}
        onChange={(event) => setKind(event.target.value as OpeningKind)}
        options={OPENING_KINDS.map((each) => [each, each] as const)}
      />
      <Field
        label="Window faces"
        name="bearingDeg"
        value={bearing}
        onChange={(event) => setBearing(event.target.value)}
        error={errors.bearingDeg}
        hint={isPlain ? compassWord(facing) : 'Tap a wall; or degrees, or SW.'}
        unit="°"
      />
      <LengthField
        key={`width ${kind}`}
        label="Width"
        name="widthMm"
        mm={shown.widthMm}
        error={errors.widthMm}
      />
      <LengthField
        key={`height ${kind}`}
        label="Height"
        name="heightMm"
        mm={shown.heightMm}
        error={errors.heightMm}
      />
      <OpeningDetails key={kind} {...{ kind, shown, errors }} />
      <div className="col-span-full flex flex-wrap items-center gap-4">
        <button type="submit" className="key key-first" disabled={pending}>
          {opening ? 'Save the ' : 'Add the '}
          {kind === 'door' || kind === 'glazed door' ? 'door' : 'window'}
        </button>
        {opening && <TextKey onClick={onDone}>Cancel</TextKey>}
        <FormMessage>{message}</FormMessage>
      </div>
    </form>
  )
}

const DETAILS = ['sillMm', 'pitchDeg', 'overhangMm', 'oppositeDeg', 'alongPercent'] as const

/** What is seldom other than usual: place along the wall, glass, curtain, what stands before it. */
function OpeningDetails({
  kind,
  shown,
  errors,
}: {
  readonly kind: OpeningKind
  readonly shown: Omit<Opening, 'id' | 'bearingDeg'>
  readonly errors: Readonly<Record<string, string>>
}) {
  const { lengths } = useSettings()
  const isDoor = kind === 'door'
  const along = (
    <Field
      label="Its middle along the wall"
      name="alongPercent"
      defaultValue={shown.alongPercent ?? ''}
      error={errors.alongPercent}
      hint="From the left corner, seen from inside; empty: spread evenly."
      unit="%"
    />
  )
  if (isDoor)
    return (
      <div className="col-span-full grid grid-cols-2 gap-x-4">
        {along}
        {(
          [
            'sillMm',
            'pitchDeg',
            'glazing',
            'curtain',
            'overhangMm',
            'opposite',
            'oppositeDeg',
            'ground',
          ] as const
        ).map((name) => (
          <input
            key={name}
            type="hidden"
            name={name}
            value={name.endsWith('Mm') ? `${shown[name]} mm` : shown[name]}
          />
        ))}
      </div>
    )
  const { glazing, curtain, opposite } = shown
  return (
    <details className="col-span-full" open={DETAILS.some((name) => errors[name]) || undefined}>
      <summary className="min-h-11 content-center text-small">
        Sill {lengthWords(shown.sillMm, lengths)},{' '}
        {glazing === 'solid' ? '' : GLAZINGS[glazing].words},{' '}
        {curtain === 'none' ? 'nothing hung in it' : CURTAINS[curtain].words},{' '}
        {OPPOSITES[opposite].words} opposite:{' '}
        <span className="underline underline-offset-4">change</span>
      </summary>
      <div className="grid grid-cols-3 gap-x-4 gap-y-1 max-sm:grid-cols-1">
        <LengthField
          label="Sill above floor"
          name="sillMm"
          mm={shown.sillMm}
          error={errors.sillMm}
        />
        <Select
          label="Glass"
          name="glazing"
          defaultValue={glazing}
          options={kindsOf(GLAZINGS).map(
            (name) =>
              [
                name,
                `${GLAZINGS[name].words}, ${Math.round(100 * GLAZINGS[name].transmittance)} %`,
              ] as const,
          )}
        />
        <Select
          label="Hung in it"
          name="curtain"
          defaultValue={curtain}
          options={optionsOf(CURTAINS)}
        />
        <Select
          label="Opposite stands"
          name="opposite"
          defaultValue={opposite}
          options={optionsOf(OPPOSITES)}
        />
        <Field
          label="as high as"
          name="oppositeDeg"
          defaultValue={String(shown.oppositeDeg)}
          error={errors.oppositeDeg}
          hint="Seen from the window: 0 the horizon, 45 a house across the street."
          unit="°"
        />
        <Select
          label="Before it lies"
          name="ground"
          defaultValue={shown.ground}
          options={optionsOf(GROUNDS)}
        />
        <LengthField
          label="Overhang above it"
          name="overhangMm"
          mm={shown.overhangMm}
          error={errors.overhangMm}
        />
        {along}
        <Field
          label="Pitch"
          name="pitchDeg"
          defaultValue={String(shown.pitchDeg)}
          error={errors.pitchDeg}
          hint="90 in a wall; less in a roof, 0 lying flat."
          unit="°"
        />
      </div>
    </details>
  )
}

const optionsOf = <Name extends string>(
  of: Readonly<Record<Name, { readonly words: string }>>,
): (readonly [string, string])[] => kindsOf(of).map((name) => [name, of[name].words] as const)
