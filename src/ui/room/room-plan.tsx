'use client'

import { useMemo, useRef, useState, type MouseEvent, type PointerEvent } from 'react'
import { utcMsAt } from '@/core/light/day-clock'
import { SOLID } from '@/core/light/fittings'
import type { RoomDay } from '@/core/light/light-choice'
import type { RoomWindow } from '@/core/light/room'
import { sunPatch } from '@/core/light/sun-patch'
import { sunPosition } from '@/core/light/sun-position'
import { bearingOf, wallFacing, type WallName } from '@/core/light/walls'
import { useLight, useMovingLight } from '../light-bar/light-context'
import type { TappedPlace } from './opening-form'
import { plainOpening, type Opening } from './openings'
import { alongPercentAt, openingBox, planGeometry, WALLS } from './plan-geometry'

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

const NEW_MM = plainOpening('window').widthMm
// A finger that moves less than this tapped.
const TAP_PX = 6
// What an arrow key moves an opening by, per cent of its wall.
const KEY_STEP = 5

/**
 * The room from above, its own north up and the compass turned about it: tap a wall to put a window or a door there, an
 * opening to change it; drag it along its wall, or move it with the arrow keys. The arrow is the sun now, the arc on the
 * rim its day, the grey on the floor its patch.
 */
export function RoomPlan({
  openings,
  edited,
  at,
  onWall,
  onOpening,
  onMove,
}: {
  readonly openings: readonly Opening[]
  readonly edited: string | null
  /** Where a new opening was tapped. */
  readonly at: TappedPlace | null
  readonly onWall: (place: TappedPlace) => void
  readonly onOpening: (id: string) => void
  readonly onMove: (opening: Opening, alongPercent: number) => void
}) {
  const { roomDay } = useLight()
  const { light, choice } = useMovingLight()
  const frame = useRef<HTMLDivElement>(null)
  const pressedAt = useRef<readonly [number, number] | null>(null)
  const [dragged, setDragged] = useState<{ readonly id: string; readonly along: number } | null>(
    null,
  )
  const { room } = roomDay
  const northDeg = room.northDeg ?? 0
  const shown = openings
    .filter(({ pitchDeg }) => pitchDeg === 90)
    .map((opening) =>
      dragged?.id === opening.id ? { ...opening, alongPercent: dragged.along } : opening,
    )
  const plan = planGeometry(room, shown.map(asWindow))
  const ghost =
    at &&
    planGeometry(room, [
      { ...asWindow({ ...plainOpening('window'), id: '', ...at }), bearingDeg: at.bearingDeg },
    ]).openings[0]
  const arc = useMemo(() => sunArc(roomDay), [roomDay])
  const sun = choice.source === 'room' && light && light.sun.altitudeDeg > 0 ? light.sun : null

  function alongAt(event: MouseEvent, wall: WallName, widthMm: number): number {
    const box = frame.current!.getBoundingClientRect()
    const point = {
      x: ((event.clientX - box.left) / box.width) * 200 - 100,
      y: ((event.clientY - box.top) / box.height) * 200 - 100,
    }
    return alongPercentAt(room, wall, point, widthMm)
  }

  function drag(event: PointerEvent, opening: Opening): void {
    if (!pressedAt.current) return
    const [x, y] = pressedAt.current
    if (!dragged && Math.hypot(event.clientX - x, event.clientY - y) < TAP_PX) return
    const wall = wallFacing(room, opening.bearingDeg)
    setDragged({ id: opening.id, along: alongAt(event, wall, opening.widthMm) })
  }

  function letGo(opening: Opening): void {
    pressedAt.current = null
    if (dragged?.id === opening.id && dragged.along !== opening.alongPercent)
      onMove(opening, dragged.along)
    else onOpening(opening.id)
    setDragged(null)
  }

  return (
    <div ref={frame} className="relative mx-auto aspect-square w-full max-w-80">
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
          room.windows.map((window, i) => {
            const patch = sunPatch(room, window, sun)
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
        {plan.openings.map((line, i) => (
          <g key={shown[i]!.id}>
            <line {...line} stroke="#ffffff" strokeWidth="5" />
            {shown[i]!.glazing === SOLID ? (
              <line {...line} stroke="#8c8c8c" strokeWidth="2.5" />
            ) : (
              <line {...line} stroke="#111111" strokeWidth="1" />
            )}
            {shown[i]!.id === edited && (
              <line {...line} stroke="#111111" strokeWidth="9" strokeOpacity="0.25" />
            )}
          </g>
        ))}
        {ghost && <line {...ghost} stroke="#ffffff" strokeWidth="3" strokeDasharray="3 2" />}
        {sun && (
          <g transform={`rotate(${sun.azimuthDeg - northDeg})`}>
            <line y1="-92" y2={light?.directSun ? -20 : -70} stroke="#111111" strokeWidth="1.5" />
            <circle cy="-92" r="5" fill="#111111" />
          </g>
        )}
      </svg>
      {WALLS.map(({ name, box }) => (
        <button
          key={name}
          type="button"
          aria-pressed={at !== null && wallFacing(room, at.bearingDeg) === name}
          aria-label={`Window in the ${name} wall`}
          // A key has no place along the wall: it is spread evenly.
          onClick={(event) =>
            onWall({
              bearingDeg: bearingOf(room, name),
              alongPercent: event.detail === 0 ? null : alongAt(event, name, NEW_MM),
            })
          }
          className="absolute hover:bg-ink/10 aria-pressed:bg-ink/15"
          style={box(plan.share)}
        />
      ))}
      {shown.map((opening, i) => (
        <button
          key={opening.id}
          type="button"
          aria-pressed={opening.id === edited}
          aria-label={`${opening.glazing === SOLID ? 'Door' : 'Window'} ${i + 1} on the plan, ${wallFacing(room, opening.bearingDeg)} wall; arrow keys move it`}
          className="absolute cursor-grab touch-none hover:bg-ink/10"
          style={openingBox(plan.openings[i]!)}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            pressedAt.current = [event.clientX, event.clientY]
          }}
          onPointerMove={(event) =>
            drag(
              event,
              openings.find(({ id }) => id === opening.id)!,
            )
          }
          onPointerUp={() => letGo(openings.find(({ id }) => id === opening.id)!)}
          onPointerCancel={() => {
            pressedAt.current = null
            setDragged(null)
          }}
          onClick={(event) => {
            if (event.detail === 0) onOpening(opening.id)
          }}
          onKeyDown={(event) => {
            const step = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key]
            if (!step) return
            event.preventDefault()
            event.stopPropagation()
            const wall = wallFacing(room, opening.bearingDeg)
            const turned = wall === 'north' || wall === 'east' ? step : -step
            onMove(
              opening,
              Math.min(100, Math.max(0, (opening.alongPercent ?? 50) + turned * KEY_STEP)),
            )
          }}
        />
      ))}
    </div>
  )
}

const asWindow = ({ glazing, ...opening }: Opening): RoomWindow => ({
  ...opening,
  glazing: glazing === SOLID ? 'double' : glazing,
})
