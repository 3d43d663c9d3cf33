'use client'

import { useMemo } from 'react'
import { utcMsAt } from '@/core/light/day-clock'
import type { RoomDay } from '@/core/light/light-choice'
import type { RoomWindow } from '@/core/light/room'
import { sunPatch } from '@/core/light/sun-patch'
import { sunPosition } from '@/core/light/sun-position'
import { bearingOf } from '@/core/light/walls'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { planGeometry, WALLS, type Wall } from './plan-geometry'

const ARC_STEP_MINUTES = 15

/** Where the sun stands over the day, along the rim of the drawing. */
function sunArc({ room, place, day }: RoomDay): string {
  const points: string[] = []
  for (let minute = 0; minute < day.lengthMinutes; minute += ARC_STEP_MINUTES) {
    const { altitudeDeg, azimuthDeg } = sunPosition(place, utcMsAt(day, minute))
    const angle = ((azimuthDeg - (room.northDeg ?? 0)) * Math.PI) / 180
    if (altitudeDeg > 0)
      points.push(`${(92 * Math.sin(angle)).toFixed(1)},${(-92 * Math.cos(angle)).toFixed(1)}`)
  }
  return points.join(' ')
}

/**
 * The room from above, its own north up and the compass turned about it: tap a wall to put a window in it. The arrow is the sun now, the arc on the rim its
 * day, the grey on the floor its patch.
 */
export function RoomPlan({
  windows,
  picked,
  onPick,
}: {
  readonly windows: readonly RoomWindow[]
  /** Bearing of the window being added. */
  readonly picked: number | null
  readonly onPick: (bearingDeg: number) => void
}) {
  const { roomDay } = useLight()
  const { light, choice } = useMovingLight()
  const northDeg = roomDay.room.northDeg ?? 0
  const plan = planGeometry(roomDay.room, windows)
  const arc = useMemo(() => sunArc(roomDay), [roomDay])
  const sun = choice.source === 'room' && light && light.sun.altitudeDeg > 0 ? light.sun : null
  return (
    <div className="relative mx-auto aspect-square w-full max-w-80">
      <svg
        viewBox="-100 -100 200 200"
        className="absolute inset-0 h-full w-full"
        aria-hidden="true"
      >
        <circle r="92" fill="none" stroke="#d2d2d2" />
        <polyline points={arc} fill="none" stroke="#8c8c8c" strokeWidth="3" />
        {WALLS.map(({ letter, turnDeg }) => (
          <text
            key={letter}
            x={83 * Math.sin(((turnDeg - northDeg) * Math.PI) / 180)}
            y={-83 * Math.cos(((turnDeg - northDeg) * Math.PI) / 180)}
            textAnchor="middle"
            dominantBaseline="central"
            fontSize="11"
          >
            {letter}
          </text>
        ))}
        <rect {...plan.room} fill="#ffffff" stroke="#111111" strokeWidth="4" />
        {sun &&
          light?.directSun &&
          windows.map((window, i) => {
            const patch = sunPatch(roomDay.room, window, sun)
            return (
              patch && (
                <polygon
                  key={i}
                  data-testid="sun-patch"
                  points={patch
                    .map(([east, north]) => `${east * plan.scale},${-north * plan.scale}`)
                    .join(' ')}
                  fill="#d2d2d2"
                  stroke="#8c8c8c"
                  strokeWidth="0.5"
                />
              )
            )
          })}
        {plan.openings.map((opening, i) => (
          <g key={i}>
            <line {...opening} stroke="#ffffff" strokeWidth="5" />
            <line {...opening} stroke="#111111" strokeWidth="1" />
          </g>
        ))}
        {sun && (
          <g transform={`rotate(${sun.azimuthDeg - northDeg})`}>
            <line y1="-92" y2={light?.directSun ? -20 : -70} stroke="#111111" strokeWidth="1.5" />
            <circle cy="-92" r="5" fill="#111111" />
          </g>
        )}
      </svg>
      {WALLS.map(({ name, box }: Wall) => (
        <button
          key={name}
          type="button"
          aria-pressed={picked === bearingOf(roomDay.room, name)}
          aria-label={`Window in the ${name} wall`}
          onClick={() => onPick(bearingOf(roomDay.room, name))}
          className="absolute hover:bg-ink/10 aria-pressed:bg-ink/20"
          style={box(plan.share)}
        />
      ))}
    </div>
  )
}
