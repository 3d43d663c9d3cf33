'use client'

import { useMemo, useState } from 'react'
import {
  commonExposure,
  inViewOf,
  prepareLight,
  screenColour,
  type PreparedLight,
} from '@/core/colour/appearance'
import { xyzUnder } from '@/core/colour/observer'
import type { Reflectance } from '@/core/colour/spectrum'
import { differenceWords } from '@/core/undertone/difference-words'
import { undertoneOfXyz, type Undertone } from '@/core/undertone/undertone'
import { utcMsAt } from '@/core/light/day-clock'
import { roomLight } from '@/core/light/room-light'
import { slideLights } from '@/core/light/tilt-and-slide'
import { useLight, useMovingLight } from '../light-bar/light-context'

/** A colour that can be carried through the room. */
export interface SlidSample {
  readonly id: string
  readonly name: string
  readonly reflectance: Reflectance
}

const STEPS = 48
// While the day is dragged the band is coarser.
const MOVING_STEPS = 16

/** Tilt and slide: one sample carried at 45° from the window to the lamp, as one continuous band. */
export function SlideBand({ samples }: { readonly samples: readonly SlidSample[] }) {
  const { roomDay, choice: choiceAtRest } = useLight()
  const { choice } = useMovingLight()
  const steps = choice === choiceAtRest ? STEPS : MOVING_STEPS
  const [picked, setPicked] = useState(samples[0]?.id ?? '')
  const sample = samples.find(({ id }) => id === picked) ?? samples[0]
  const lights = useMemo(() => {
    const moment = {
      utcMs: utcMsAt(roomDay.day, choice.minute),
      sky: choice.sky,
      lampsOn: roomDay.room.lamps.length > 0,
    }
    const { room, place } = roomDay
    // The eye stays with the room while the sample goes from light to light.
    const whole = roomLight(room, place, moment)
    if (!whole) return []
    const eye = prepareLight(whole.spectrum, whole.illuminanceLux)
    const seen = slideLights(room, place, moment, steps).map(
      (light) => light && inViewOf(eye, light.spectrum),
    )
    const exposure = commonExposure(seen.flatMap((light) => (light ? [light] : [])))
    return seen.map((light) => light && { light: { ...light, exposure }, eye })
  }, [roomDay, choice.minute, choice.sky, steps])
  if (!sample || roomDay.room.windows.length + roomDay.room.lamps.length === 0) return null
  const seen = lights.flatMap((light) => (light ? [light] : []))
  const [first, last] = [seen[0], seen.at(-1)]
  return (
    <section aria-label="Tilt and slide" className="border-t border-ink pt-3">
      <label className="mb-2 flex items-center gap-3 text-small font-medium">
        Carry
        <select
          className="min-h-11 flex-1 border border-ash bg-paper px-2 font-normal"
          value={sample.id}
          onChange={(event) => setPicked(event.target.value)}
        >
          {samples.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {first && last ? (
        <>
          <svg
            role="img"
            aria-label={`${sample.name} carried from the window to the lamp: ${carried(first, last, sample.reflectance)}`}
            viewBox={`0 0 ${steps} 1`}
            preserveAspectRatio="none"
            shapeRendering="crispEdges"
            className="block h-20 w-full"
          >
            {lights.map((light, i) => (
              <rect
                key={i}
                x={i}
                width="1.02"
                height="1"
                fill={light ? screenColour(light.light, sample.reflectance).hex : '#111111'}
              />
            ))}
          </svg>
          <p className="flex justify-between text-fine text-dim">
            <span>By the window</span>
            <span>Under the lamp: {carried(first, last, sample.reflectance)}</span>
          </p>
        </>
      ) : (
        <p className="text-small">Too dark at this hour; add a lamp or step the day on.</p>
      )}
    </section>
  )
}

interface InView {
  readonly light: PreparedLight
  readonly eye: PreparedLight
}

const seenBy = ({ light, eye }: InView, reflectance: Reflectance): Undertone =>
  undertoneOfXyz(eye, xyzUnder(light.weights, reflectance))

const carried = (from: InView, to: InView, reflectance: Reflectance): string =>
  differenceWords(seenBy(from, reflectance), seenBy(to, reflectance))
