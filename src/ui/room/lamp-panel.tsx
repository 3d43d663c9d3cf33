'use client'

import { useMemo, useState } from 'react'
import { COMPARATORS } from '@/core/undertone/comparators'
import { betterLamps } from '@/core/advice/better-lamp'
import { utcMsAt } from '@/core/light/day-clock'
import { BULBS, kindsOf, LAMP_PLACES } from '@/core/light/fittings'
import { PLAIN_LAMP, type RoomLamp } from '@/core/light/room'
import { Field, FormMessage, Select } from '../form/field'
import { TextKey } from '../form/text-key'
import { useCommandForm } from '../form/use-command-form'
import { useLight } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { FittingList } from './fitting-list'
import type { LightRoom } from './light-room'
import { readLamp } from './read-room'

type Preset = Pick<RoomLamp, 'bulb' | 'cctK' | 'lumens'> & { readonly words: string }

// Ordinary bulbs, common practice.
const PRESETS: Readonly<Record<string, Preset>> = {
  'warm-led': { words: 'Two warm LED bulbs', bulb: 'led-80', cctK: 2700, lumens: 1600 },
  'good-led': { words: 'Two warm LED bulbs, Ra 90', bulb: 'led-90', cctK: 2700, lumens: 1600 },
  halogen: { words: 'Two halogen bulbs', bulb: 'filament', cctK: 2850, lumens: 1400 },
  spots: { words: 'Six LED spots, white', bulb: 'led-80', cctK: 3000, lumens: 2400 },
  'cool-led': { words: 'Cool LED panel', bulb: 'led-80', cctK: 4000, lumens: 3600 },
  tube: { words: 'Fluorescent tube', bulb: 'tube', cctK: 4000, lumens: 3000 },
}

/** Lamps of a room: from a preset or typed, where they stand, lit of an evening or not. */
export function LampPanel({ room }: { readonly room: LightRoom }) {
  const [edited, setEdited] = useState<string | null>(null)
  const [put, setPut] = useState(0)
  const lamp = room.lamps.find(({ id }) => id === edited)
  return (
    <section aria-label="Lamps" className="border-t border-ink pt-3">
      <FittingList
        visitId={room.visitId}
        what="lamp"
        fittings={room.lamps.map(({ id, bulb, cctK, lumens, place, evening }) => ({
          id,
          words: `${cctK.toLocaleString('en-GB')} K, ${lumens.toLocaleString('en-GB')} lumens together, ${BULBS[bulb].words}, ${LAMP_PLACES[place].words}${evening ? '' : ', not lit of an evening'}`,
        }))}
        edited={edited}
        onEdit={setEdited}
      />
      <BetterLamp room={room} />
      <LampForm
        key={lamp?.id ?? `new ${put}`}
        room={room}
        edited={lamp}
        onDone={() => {
          setEdited(null)
          setPut(put + 1)
        }}
      />
    </section>
  )
}

function LampForm({
  room,
  edited,
  onDone,
}: {
  readonly room: LightRoom
  /** The lamps that are changed; left out, new ones are added. */
  readonly edited: LightRoom['lamps'][number] | undefined
  readonly onDone: () => void
}) {
  const { onSubmit, pending, errors, message } = useCommandForm(
    'keep-lamp',
    (form) => {
      form.set('lampId', edited?.id ?? newId())
      return readLamp(form)
    },
    onDone,
  )
  const first = edited ?? PLAIN_LAMP
  const [lamp, setLamp] = useState({
    bulb: first.bulb as string,
    cctK: String(first.cctK),
    lumens: String(first.lumens),
  })
  const preset =
    Object.entries(PRESETS).find(
      ([, each]) =>
        each.bulb === lamp.bulb && `${each.cctK} ${each.lumens}` === `${lamp.cctK} ${lamp.lumens}`,
    )?.[0] ?? ''
  const type = (name: keyof typeof lamp) => (event: { target: { value: string } }) =>
    setLamp({ ...lamp, [name]: event.target.value })
  return (
    <form
      onSubmit={onSubmit}
      noValidate
      className="grid grid-cols-3 items-start gap-x-4 gap-y-1 max-sm:grid-cols-1"
    >
      <input type="hidden" name="visitId" value={room.visitId} />
      <input type="hidden" name="roomId" value={room.id} />
      <Select
        label="Ordinary lamps"
        name="preset"
        value={preset}
        onChange={(event) => {
          const chosen = PRESETS[event.target.value]
          if (chosen)
            setLamp({
              bulb: chosen.bulb,
              cctK: String(chosen.cctK),
              lumens: String(chosen.lumens),
            })
        }}
        options={[
          ...Object.entries(PRESETS).map(([name, { words }]) => [name, words] as const),
          ['', 'As typed'],
        ]}
      />
      <Field
        label="Lamps of colour"
        name="cctK"
        value={lamp.cctK}
        onChange={type('cctK')}
        error={errors.cctK}
        unit="K"
      />
      <Field
        label="Light together"
        name="lumens"
        value={lamp.lumens}
        onChange={type('lumens')}
        error={errors.lumens}
        unit="lm"
      />
      <Select
        label="Bulb"
        name="bulb"
        value={lamp.bulb}
        onChange={type('bulb')}
        options={kindsOf(BULBS).map((bulb) => [bulb, BULBS[bulb].words] as const)}
      />
      <Select
        label="Where"
        name="place"
        defaultValue={first.place}
        options={kindsOf(LAMP_PLACES).map((place) => [place, LAMP_PLACES[place].words] as const)}
      />
      <label className="flex min-h-11 items-center gap-2 self-end text-small">
        <input
          type="checkbox"
          name="evening"
          defaultChecked={first.evening}
          className="size-5 accent-ink"
        />
        Lit of an evening
      </label>
      <div className="col-span-full flex flex-wrap items-center gap-4">
        <button type="submit" className="key" disabled={pending}>
          {edited ? 'Save the lamps' : 'Add the lamps'}
        </button>
        {edited && <TextKey onClick={onDone}>Cancel</TextKey>}
        <FormMessage>{message}</FormMessage>
      </div>
    </form>
  )
}

// Below this nobody sees the change.
const SEEN = 1

/** "What would a better lamp do?": the same colour and brightness with good rendering. */
function BetterLamp({ room }: { readonly room: LightRoom }) {
  const { roomDay } = useLight()
  const better = useMemo(
    () =>
      room.lamps.length > 0
        ? betterLamps(roomDay.room, roomDay.place, utcMsAt(roomDay.day, 0), COMPARATORS)
        : null,
    [room.lamps.length, roomDay],
  )
  if (!better) return null
  const seen = better.changes.filter(({ size }) => size >= SEEN).slice(0, 3)
  return (
    <details className="mb-2">
      <summary className="min-h-11 content-center text-small underline underline-offset-4">
        What would a better lamp do?
      </summary>
      <p className="text-small">
        Rendering rises from Ra {Math.round(better.raNow)} to {Math.round(better.raThen)} with bulbs
        of the same colour and brightness.{' '}
        {seen.length > 0
          ? `Most changed: ${seen.map(({ name, words }) => `${name}, ${words}`).join('; ')}.`
          : 'No reference colour would look different.'}
      </p>
    </details>
  )
}
