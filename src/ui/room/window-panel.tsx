'use client'

import { useState } from 'react'
import { compassWord } from '@/core/light/aspect'
import { CURTAINS, GLAZINGS, GROUNDS, kindsOf, OPPOSITES } from '@/core/light/fittings'
import { PLAIN_WINDOW, type RoomWindow } from '@/core/light/room'
import { Field, FormMessage, Select } from '../form/field'
import { useCommandForm } from '../form/use-command-form'
import { FittingList } from './fitting-list'
import type { LightRoom } from './light-room'
import { newId } from '../record/new-id'
import { readWindow } from './read-room'
import { RoomPlan } from './room-plan'

const metres = (mm: number): string => String(mm / 1000)

/** Windows on a plan: tap a wall or say where it faces; all else has a default that is shown. */
export function WindowPanel({ room }: { readonly room: LightRoom }) {
  const [bearing, setBearing] = useState('')
  const { onSubmit, pending, errors, message } = useCommandForm(
    'keep-window',
    (form) => {
      form.set('windowId', newId())
      return readWindow(form)
    },
    () => setBearing(''),
  )
  const typed = bearing.trim() === '' ? null : Number(bearing)
  return (
    <section aria-label="Windows">
      <RoomPlan windows={room.windows} picked={typed} onPick={(deg) => setBearing(String(deg))} />
      {room.windows.length === 0 && room.lamps.length === 0 && (
        <p className="mt-2 border-l-4 border-ink pl-3 text-small">
          No window and no lamp yet: nothing can be seen in here. Tap a wall to put a window in it,
          or add a lamp below.
        </p>
      )}
      <form
        onSubmit={onSubmit}
        noValidate
        className="mt-4 grid grid-cols-3 gap-x-4 gap-y-1 max-sm:grid-cols-1"
      >
        <input type="hidden" name="visitId" value={room.visitId} />
        <input type="hidden" name="roomId" value={room.id} />
        <Field
          label="Window faces"
          name="bearingDeg"
          value={bearing}
          onChange={(event) => setBearing(event.target.value)}
          error={errors.bearingDeg}
          hint={
            typed !== null && typed >= 0 && typed < 360
              ? compassWord(typed)
              : 'Tap a wall; or degrees, or SW.'
          }
          unit="°"
        />
        <Field
          label="Width"
          name="widthMm"
          defaultValue={metres(PLAIN_WINDOW.widthMm)}
          error={errors.widthMm}
          unit="m"
        />
        <Field
          label="Height"
          name="heightMm"
          defaultValue={metres(PLAIN_WINDOW.heightMm)}
          error={errors.heightMm}
          unit="m"
        />
        <WindowDetails errors={errors} />
        <div className="col-span-full flex items-center gap-4">
          <button type="submit" className="key key-first" disabled={pending}>
            Add the window
          </button>
          <FormMessage>{message}</FormMessage>
        </div>
      </form>
      <FittingList
        visitId={room.visitId}
        what="window"
        fittings={room.windows.map((window) => ({ id: window.id, words: windowWords(window) }))}
      />
    </section>
  )
}

/** What is seldom other than usual: glass, curtain, what stands before it. */
function WindowDetails({ errors }: { readonly errors: Readonly<Record<string, string>> }) {
  const options = <Name extends string>(
    of: Readonly<Record<Name, { readonly words: string }>>,
  ): (readonly [string, string])[] => kindsOf(of).map((name) => [name, of[name].words] as const)
  const opened = ['sillMm', 'pitchDeg', 'overhangMm', 'oppositeDeg', 'alongPercent'].some(
    (name) => errors[name],
  )
  return (
    <details className="col-span-full" open={opened || undefined}>
      <summary className="min-h-11 content-center text-small">
        Sill {metres(PLAIN_WINDOW.sillMm)} m, {GLAZINGS[PLAIN_WINDOW.glazing].words}, nothing hung
        in it, {OPPOSITES[PLAIN_WINDOW.opposite].words} opposite:{' '}
        <span className="underline underline-offset-4">change</span>
      </summary>
      <div className="grid grid-cols-3 gap-x-4 gap-y-1 max-sm:grid-cols-1">
        <Field
          label="Sill above floor"
          name="sillMm"
          defaultValue={metres(PLAIN_WINDOW.sillMm)}
          error={errors.sillMm}
          unit="m"
        />
        <Select
          label="Glass"
          name="glazing"
          defaultValue={PLAIN_WINDOW.glazing}
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
          defaultValue={PLAIN_WINDOW.curtain}
          options={options(CURTAINS)}
        />
        <Select
          label="Opposite stands"
          name="opposite"
          defaultValue={PLAIN_WINDOW.opposite}
          options={options(OPPOSITES)}
        />
        <Field
          label="as high as"
          name="oppositeDeg"
          defaultValue={String(PLAIN_WINDOW.oppositeDeg)}
          error={errors.oppositeDeg}
          hint="Seen from the window: 0 the horizon, 45 a house across the street."
          unit="°"
        />
        <Select
          label="Before it lies"
          name="ground"
          defaultValue={PLAIN_WINDOW.ground}
          options={options(GROUNDS)}
        />
        <Field
          label="Overhang above it"
          name="overhangMm"
          defaultValue={metres(PLAIN_WINDOW.overhangMm)}
          error={errors.overhangMm}
          unit="m"
        />
        <Field
          label="Its middle along the wall"
          name="alongPercent"
          defaultValue=""
          error={errors.alongPercent}
          hint="From the left corner, seen from inside; empty: spread evenly."
          unit="%"
        />
        <Field
          label="Pitch"
          name="pitchDeg"
          defaultValue={String(PLAIN_WINDOW.pitchDeg)}
          error={errors.pitchDeg}
          hint="90 in a wall; less in a roof, 0 lying flat."
          unit="°"
        />
      </div>
    </details>
  )
}

function windowWords({
  bearingDeg,
  widthMm,
  heightMm,
  pitchDeg,
  glazing,
  curtain,
  opposite,
  oppositeDeg,
  overhangMm,
  alongPercent,
}: RoomWindow): string {
  return [
    `Faces ${compassWord(bearingDeg)}, ${bearingDeg}°: ${widthMm / 1000} m wide, ${heightMm / 1000} m high`,
    ...(alongPercent == null ? [] : [`its middle at ${alongPercent} % of the wall`]),
    ...(pitchDeg < 90 ? [`in the roof at ${pitchDeg}°`] : []),
    ...(glazing === PLAIN_WINDOW.glazing ? [] : [GLAZINGS[glazing].words]),
    ...(curtain === 'none' ? [] : [CURTAINS[curtain].words]),
    ...(opposite === 'sky' ? [] : [`${OPPOSITES[opposite].words} opposite, ${oppositeDeg}° high`]),
    ...(overhangMm > 0 ? [`overhang ${overhangMm / 1000} m`] : []),
  ].join(', ')
}
