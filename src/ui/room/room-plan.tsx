'use client'

import { useMemo, useRef, useState, type MouseEvent, type PointerEvent } from 'react'
import { utcMsAt } from '@/core/light/day-clock'
import { SOLID, type LampPlace } from '@/core/light/fittings'
import type { RoomDay } from '@/core/light/light-choice'
import type { LitRoom, RoomWindow } from '@/core/light/room'
import { lengthWords } from '@/core/units'
import { sunPatch } from '@/core/light/sun-patch'
import { sunPosition } from '@/core/light/sun-position'
import { bearingOf, wallFacing, type WallName } from '@/core/light/walls'
import { useSettings } from '../settings/settings-context'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { LampMark } from './lamp-mark'
import type { TappedPlace } from './opening-form'
import { plainOpening, type Opening } from './openings'
import {
  alongPercentAt,
  draggedSideMm,
  lampAt,
  openingBox,
  planGeometry,
  planScale,
  sideMm,
  sideOf,
  WALLS,
} from './plan-geometry'

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
const KEY_SIDE_MM = 100
const OUTWARDS: Record<WallName, { readonly longer: string; readonly shorter: string }> = {
  north: { longer: 'ArrowUp', shorter: 'ArrowDown' },
  south: { longer: 'ArrowDown', shorter: 'ArrowUp' },
  east: { longer: 'ArrowRight', shorter: 'ArrowLeft' },
  west: { longer: 'ArrowLeft', shorter: 'ArrowRight' },
}

/**
 * The room from above, its own north up and the compass turned about it: drag a wall to size the room, tap it to put a window
 * there, the floor for a lamp, an opening to change it; drag that along its wall, or move it with the arrow keys. The arrow is the sun now, the arc on the
 * rim its day, the grey on the floor its patch.
 */
export function RoomPlan({
  openings,
  edited,
  lamps,
  onWall,
  onSize,
  onLamp,
  onOpening,
  onMove,
}: {
  readonly openings: readonly Opening[]
  readonly edited: string | null
  readonly lamps: readonly { readonly id: string; readonly place: LampPlace }[]
  readonly onWall: (place: TappedPlace) => void
  /** A side has another length. */
  readonly onSize: (side: Partial<Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>>) => void
  readonly onLamp: (place: LampPlace) => void
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
  const { lengths } = useSettings()
  // A wall that is dragged: what its side would be, drawn in the scale of before.
  const [sized, setSized] = useState<Partial<Pick<LitRoom, 'northSouthMm' | 'eastWestMm'>> | null>(
    null,
  )
  const before = roomDay.room
  const room = sized ? { ...before, ...sized } : before
  const scale = planScale(before)
  const northDeg = room.northDeg ?? 0
  const shown = openings
    .filter(({ pitchDeg }) => pitchDeg === 90)
    .map((opening) =>
      dragged?.id === opening.id ? { ...opening, alongPercent: dragged.along } : opening,
    )
  const plan = planGeometry(room, shown.map(asWindow), scale)
  const arc = useMemo(() => sunArc(roomDay), [roomDay])
  const sun = choice.source === 'room' && light && light.sun.altitudeDeg > 0 ? light.sun : null

  function pointOf(event: MouseEvent) {
    const box = frame.current!.getBoundingClientRect()
    return {
      x: ((event.clientX - box.left) / box.width) * 200 - 100,
      y: ((event.clientY - box.top) / box.height) * 200 - 100,
    }
  }
  const alongAt = (event: MouseEvent, wall: WallName, widthMm: number): number =>
    alongPercentAt(room, wall, pointOf(event), widthMm)
  const isDrag = (event: PointerEvent): boolean => {
    const [x, y] = pressedAt.current!
    return Math.hypot(event.clientX - x, event.clientY - y) >= TAP_PX
  }

  function dragWall(event: PointerEvent, wall: WallName): void {
    if (!pressedAt.current || (!sized && !isDrag(event))) return
    setSized({ [sideOf(wall)]: draggedSideMm(wall, pointOf(event), scale) })
  }

  function letGoOfWall(event: PointerEvent, wall: WallName): void {
    if (!pressedAt.current) return
    pressedAt.current = null
    if (sized) onSize(sized)
    else onWall({ bearingDeg: bearingOf(room, wall), alongPercent: alongAt(event, wall, NEW_MM) })
    setSized(null)
  }

  function drag(event: PointerEvent, opening: Opening): void {
    if (!pressedAt.current) return
    if (!dragged && !isDrag(event)) return
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
        {lamps.map(({ id, place }, i) => (
          <LampMark key={id} place={place} at={i} of={lamps.length} room={plan.room} />
        ))}
        {sized && (
          <text textAnchor="middle" fontSize="10">
            {lengthWords(room.northSouthMm, lengths)} × {lengthWords(room.eastWestMm, lengths)}
          </text>
        )}
        {sun && (
          <g transform={`rotate(${sun.azimuthDeg - northDeg})`}>
            <line y1="-92" y2={light?.directSun ? -20 : -70} stroke="#111111" strokeWidth="1.5" />
            <circle cy="-92" r="5" fill="#111111" />
          </g>
        )}
      </svg>
      <button
        type="button"
        aria-label="Put in a lamp: in the middle it hangs, at the side it stands"
        className="absolute hover:bg-ink/5"
        style={{
          left: `${50 - 100 * plan.share.x}%`,
          width: `${200 * plan.share.x}%`,
          top: `${50 - 100 * plan.share.y}%`,
          height: `${200 * plan.share.y}%`,
        }}
        onClick={(event) => onLamp(event.detail === 0 ? 'pendant' : lampAt(room, pointOf(event)))}
      />
      {WALLS.map(({ name, box }) => (
        <button
          key={name}
          type="button"
          aria-label={`Window in the ${name} wall; dragged, or with the arrow keys, it is moved`}
          className="absolute touch-none hover:bg-ink/10"
          style={box(plan.share)}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId)
            pressedAt.current = [event.clientX, event.clientY]
          }}
          onPointerMove={(event) => dragWall(event, name)}
          onPointerUp={(event) => letGoOfWall(event, name)}
          onPointerCancel={() => {
            pressedAt.current = null
            setSized(null)
          }}
          // A key has no place along the wall: it is spread evenly.
          onClick={(event) => {
            if (event.detail === 0)
              onWall({ bearingDeg: bearingOf(room, name), alongPercent: null })
          }}
          onKeyDown={(event) => {
            const out = OUTWARDS[name]
            const by = event.key === out.longer ? 1 : event.key === out.shorter ? -1 : 0
            if (by === 0) return
            event.preventDefault()
            event.stopPropagation()
            const side = sideOf(name)
            onSize({ [side]: sideMm(room[side] + by * KEY_SIDE_MM) })
          }}
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
