'use client'

import { useState } from 'react'
import { compassWord, isCoolAndEven } from '@/core/light/aspect'
import { HOUSE_RULES, type HouseRules } from '@/core/judge/house-rules'
import type { LitRoom } from '@/core/light/room'
import { shadedBearingDeg } from '@/core/light/light-choice'
import type { FormAction } from '../form/action-result'
import { Field, FormMessage } from '../form/field'
import { useActionForm } from '../form/use-action-form'
import { useLight } from '../light-bar/light-context'
import { luxFigure } from '../light-bar/light-words'
import { RoomForm } from './room-form'
import { RoomPlan } from './room-plan'

type Identified<T> = T & { readonly id: string }

interface Props {
  readonly room: Identified<Omit<LitRoom, 'windows' | 'lamps'>> & {
    readonly name: string
    readonly visitId: string
    readonly windows: readonly Identified<LitRoom['windows'][number]>[]
    readonly lamps: readonly Identified<LitRoom['lamps'][number]>[]
  }
  readonly houseRules: HouseRules
  readonly sentences: readonly string[]
  /** Ids for the next window and the next lamp. */
  readonly freshIds: readonly [string, string]
  readonly actions: Readonly<
    Record<'saveRoomSize' | 'addWindow' | 'addLamp' | 'removeFitting', FormAction>
  >
}

/** Where a room's light comes from, and what it does over the day. */
export function RoomLightView({ room, houseRules, sentences, freshIds, actions }: Props) {
  return (
    <main className="min-h-0 flex-1 overflow-y-auto">
      <h1 className="sr-only">Light of {room.name}</h1>
      <div className="grid gap-x-8 gap-y-6 p-5 lg:grid-cols-2">
        <WindowPanel room={room} freshId={freshIds[0]} actions={actions} />
        <div className="flex flex-col gap-5">
          <section aria-label="The day in words">
            {sentences.map((sentence) => (
              <p key={sentence} className="font-display text-title">
                {sentence}
              </p>
            ))}
            <NorthRoomAdvice room={room} rules={houseRules} />
          </section>
          <LightFigures />
          <LampPanel room={room} freshId={freshIds[1]} actions={actions} />
          <details className="border-t border-ink pt-2">
            <summary className="min-h-11 content-center text-small font-medium">
              Name and size
            </summary>
            <RoomForm
              key={`${room.northSouthMm} ${room.eastWestMm} ${room.heightMm}`}
              room={room}
              action={actions.saveRoomSize}
              submit="Keep the size"
            />
          </details>
        </div>
      </div>
    </main>
  )
}

/** What the house rule says of a room that looks away from the sun. */
function NorthRoomAdvice({ room, rules }: { readonly room: LitRoom; readonly rules: HouseRules }) {
  const { place } = useLight().roomDay
  if (!isCoolAndEven(room, place)) return null
  const { label, says } = HOUSE_RULES['north-room'].schools[rules['north-room']]
  return (
    <p className="mt-2 text-small">
      <span className="font-medium">
        House rule for a cool {compassWord(shadedBearingDeg(place))} room, {label.toLowerCase()}:
      </span>{' '}
      {says}
    </p>
  )
}

/** Where the light of the moment comes from. */
function LightFigures() {
  const { light } = useLight()
  if (!light) return null
  const { parts, illuminanceLux, cctK, duv, sun } = light
  const share = (lux: number): string => `${Math.round((100 * lux) / illuminanceLux)} %`
  const figures: readonly (readonly [string, string])[] = [
    ['At the walls', `${luxFigure(illuminanceLux)} lux`],
    ['Colour temperature', `${Math.round(cctK).toLocaleString('en-GB')} K`],
    ['Duv', `${duv >= 0 ? '+' : '−'}${Math.abs(duv).toFixed(4)}`],
    ['Sky', share(parts.sky)],
    ['Sun', share(parts.sun)],
    ['Ground', share(parts.ground)],
    ['Lamps', share(parts.lamp)],
    [
      'Sun stands',
      sun.altitudeDeg > 0
        ? `${Math.round(sun.altitudeDeg)}° up, at ${Math.round(sun.azimuthDeg)}°`
        : 'below the horizon',
    ],
  ]
  return (
    <dl className="grid grid-cols-4 gap-x-4 gap-y-2 border-t border-ink pt-3 text-small tabular-nums max-sm:grid-cols-2">
      {figures.map(([name, value]) => (
        <div key={name}>
          <dt className="text-fine text-dim">{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  )
}

function WindowPanel({
  room,
  freshId,
  actions,
}: Pick<Props, 'room' | 'actions'> & { readonly freshId: string }) {
  const [bearing, setBearing] = useState('')
  const { onSubmit, pending, errors, message } = useActionForm(actions.addWindow, () =>
    setBearing(''),
  )
  const typed = bearing.trim() === '' ? null : Number(bearing)
  return (
    <section aria-label="Windows">
      <RoomPlan windows={room.windows} picked={typed} onPick={(deg) => setBearing(String(deg))} />
      <form
        onSubmit={onSubmit}
        noValidate
        className="mt-4 grid grid-cols-3 gap-x-4 gap-y-1 max-sm:grid-cols-1"
      >
        <input type="hidden" name="id" value={freshId} />
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
              : 'Tap a wall, or type degrees.'
          }
          unit="°"
        />
        <Field label="Width" name="widthMm" defaultValue="1.4" error={errors.widthMm} unit="m" />
        <Field label="Height" name="heightMm" defaultValue="1.4" error={errors.heightMm} unit="m" />
        <div className="col-span-full flex items-center gap-4">
          <button type="submit" className="key key-first" disabled={pending}>
            Add the window
          </button>
          <FormMessage>{message}</FormMessage>
        </div>
      </form>
      <FittingList
        what="window"
        action={actions.removeFitting}
        fittings={room.windows.map(({ id, bearingDeg, widthMm, heightMm }) => ({
          id,
          words: `Faces ${compassWord(bearingDeg)}, ${bearingDeg}°: ${widthMm / 1000} m wide, ${heightMm / 1000} m high`,
        }))}
      />
    </section>
  )
}

function LampPanel({
  room,
  freshId,
  actions,
}: Pick<Props, 'room' | 'actions'> & { readonly freshId: string }) {
  const { onSubmit, pending, errors, message } = useActionForm(actions.addLamp)
  return (
    <section aria-label="Lamps" className="border-t border-ink pt-3">
      <FittingList
        what="lamp"
        action={actions.removeFitting}
        fittings={room.lamps.map(({ id, cctK, lumens }) => ({
          id,
          words: `${cctK.toLocaleString('en-GB')} K, ${lumens.toLocaleString('en-GB')} lumens together`,
        }))}
      />
      <form
        onSubmit={onSubmit}
        noValidate
        className="grid grid-cols-[1fr_1fr_auto] items-start gap-x-4"
      >
        <input type="hidden" name="id" value={freshId} />
        <input type="hidden" name="roomId" value={room.id} />
        <Field
          label="Lamps of colour"
          name="cctK"
          defaultValue="2700"
          error={errors.cctK}
          hint="2,700 K is a warm bulb."
          unit="K"
        />
        <Field
          label="Light together"
          name="lumens"
          defaultValue="1600"
          error={errors.lumens}
          hint="800 lm is one ordinary bulb."
          unit="lm"
        />
        <button type="submit" className="key mt-6" disabled={pending}>
          Add the lamps
        </button>
        <FormMessage>{message}</FormMessage>
      </form>
    </section>
  )
}

function FittingList({
  what,
  fittings,
  action,
}: {
  readonly what: 'window' | 'lamp'
  readonly fittings: readonly { readonly id: string; readonly words: string }[]
  readonly action: FormAction
}) {
  const { onSubmit, pending } = useActionForm(action)
  return (
    <ul className="my-2">
      {fittings.map(({ id, words }) => (
        <li key={id} className="flex items-center justify-between border-b border-rule text-small">
          {words}
          <form onSubmit={onSubmit}>
            <input type="hidden" name="id" value={id} />
            <input type="hidden" name="what" value={what} />
            <button
              type="submit"
              disabled={pending}
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Take out the ${what}: ${words}`}
            >
              Take out
            </button>
          </form>
        </li>
      ))}
    </ul>
  )
}
