'use client'

import { useMemo, useState } from 'react'
import { prepareLight, screenColour, WHITE_CARD } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { differenceWords } from '@/core/undertone/difference-words'
import { undertoneOf } from '@/core/undertone/undertone'
import { capital } from '@/core/words'
import { utcMsAt } from '@/core/light/day-clock'
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
    // As the bench shows it there: the eye is at home in the light of each place.
    return slideLights(room, place, moment, steps).map(
      (light) => light && prepareLight(light.spectrum, light.illuminanceLux),
    )
  }, [roomDay, choice.minute, choice.sky, steps])
  if (!sample || roomDay.room.windows.length + roomDay.room.lamps.length === 0) return null
  const seen = lights.flatMap((light) => (light ? [light] : []))
  const [first, last] = [seen[0], seen.at(-1)]
  const { windows, lamps } = roomDay.room
  const from = windows.length > 0 ? 'by the window' : 'away from the lamp'
  const to = lamps.length > 0 ? 'under the lamp' : 'at the back'
  const said =
    first && last
      ? differenceWords(
          undertoneOf(first, sample.reflectance),
          undertoneOf(last, sample.reflectance),
        )
      : ''
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
          <Band
            label="A white card carried the same way"
            hexes={lights.map((light) => light && screenColour(light, WHITE_CARD).hex)}
            className="h-5"
          />
          <Band
            label={`${sample.name} carried from ${from} to ${to}: ${said}`}
            hexes={lights.map((light) => light && screenColour(light, sample.reflectance).hex)}
            className="h-20"
          />
          <p className="flex justify-between text-fine text-dim">
            <span>{capital(from)}; a white card above</span>
            <span>
              {capital(to)}: {said}
            </span>
          </p>
        </>
      ) : (
        <p className="text-small">Too dark at this hour; add a lamp or step the day on.</p>
      )}
    </section>
  )
}

/** Colours side by side without a seam; what is too dark to see is black. */
function Band({
  label,
  hexes,
  className,
}: {
  readonly label: string
  readonly hexes: readonly (string | null)[]
  readonly className: string
}) {
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${hexes.length} 1`}
      preserveAspectRatio="none"
      shapeRendering="crispEdges"
      className={`block w-full ${className}`}
    >
      {hexes.map((hex, i) => (
        <rect key={i} x={i} width="1.02" height="1" fill={hex ?? '#111111'} />
      ))}
    </svg>
  )
}
