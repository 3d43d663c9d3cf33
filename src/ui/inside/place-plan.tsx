'use client'

import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import type { LitRoom } from '@/core/light/room'
import type { Placing } from '@/core/room/usual-places'
import type { RoomDoor } from '@/core/room/doors'
import { openingOf } from '@/core/room/scene'

/** A thing that can be put somewhere else. */
export interface Placeable {
  readonly id: string
  readonly name: string
  readonly placing: Placing
}

const STEP_MM = 100
const ARROWS: Readonly<Record<string, readonly [east: number, north: number]>> = {
  ArrowLeft: [-STEP_MM, 0],
  ArrowRight: [STEP_MM, 0],
  ArrowUp: [0, STEP_MM],
  ArrowDown: [0, -STEP_MM],
}
// A thing is never smaller to a thumb than this, on the drawing.
const LEAST_UNITS = 14
const UNITS = 200

/** The room from above: things are dragged to where they stand, or moved by the arrow keys and turned by T. */
export function PlacePlan({
  room,
  doors,
  things,
  onPlace,
}: {
  readonly room: LitRoom
  readonly doors: readonly RoomDoor[]
  readonly things: readonly Placeable[]
  /** Null puts it back to where such things usually stand. */
  readonly onPlace: (thing: Placeable, placing: Placing | null) => void
}) {
  const frame = useRef<SVGSVGElement>(null)
  const [drag, setDrag] = useState<{
    readonly id: string
    readonly from: readonly [number, number]
    readonly by: readonly [number, number]
  } | null>(null)
  const scale = (UNITS - 20) / Math.max(room.eastWestMm, room.northSouthMm)
  const [width, height] = [room.eastWestMm * scale, room.northSouthMm * scale]
  const inRoom = (placing: Placing): Placing => {
    const reach = (at: number, size: number, whole: number): number => {
      const most = Math.max(0, (whole - size) / 2)
      return Math.round(Math.min(most, Math.max(-most, at)))
    }
    return {
      ...placing,
      eastMm: reach(placing.eastMm, placing.widthMm, room.eastWestMm),
      northMm: reach(placing.northMm, placing.depthMm, room.northSouthMm),
    }
  }
  const pointAt = (event: PointerEvent): [number, number] => {
    const box = frame.current!.getBoundingClientRect()
    return [
      ((event.clientX - box.left) / box.width) * UNITS,
      ((event.clientY - box.top) / box.height) * UNITS,
    ]
  }
  const moved = ({ id, placing }: Placeable): Placing =>
    drag?.id === id
      ? inRoom({
          ...placing,
          eastMm: placing.eastMm + drag.by[0] / scale,
          northMm: placing.northMm - drag.by[1] / scale,
        })
      : placing
  function onKey(event: KeyboardEvent, thing: Placeable): void {
    const { placing } = thing
    const by = ARROWS[event.key]
    const put = by
      ? { ...placing, eastMm: placing.eastMm + by[0], northMm: placing.northMm + by[1] }
      : event.key.toLowerCase() === 't'
        ? { ...placing, widthMm: placing.depthMm, depthMm: placing.widthMm }
        : null
    if (!put && event.key !== 'Delete') return
    event.preventDefault()
    event.stopPropagation()
    onPlace(thing, put && inRoom(put))
  }
  const walls = [
    ...room.windows.map((window) => ({ ...openingOf(room, window), stroke: '#8c8c8c' })),
    ...doors.map((door) => ({ ...door, face: door.wall, stroke: '#ffffff' })),
  ]
  return (
    <svg
      ref={frame}
      viewBox={`0 0 ${UNITS} ${UNITS}`}
      className="aspect-square w-full max-w-80 touch-none"
      role="group"
      aria-label="The room from above; north is up"
    >
      <g transform={`translate(${UNITS / 2} ${UNITS / 2})`}>
        <rect
          x={-width / 2}
          y={-height / 2}
          {...{ width, height }}
          fill="#ffffff"
          stroke="#111111"
          strokeWidth="3"
        />
        {walls.map(({ face, lo, hi, stroke }, n) => {
          const along = face === 'north' || face === 'south' ? 'x' : 'y'
          if (face === 'ceiling' || face === 'floor') return null
          const at =
            along === 'x'
              ? (face === 'north' ? -height : height) / 2
              : (face === 'east' ? width : -width) / 2
          const [from, to] = [lo[0] * scale, hi[0] * scale]
          return along === 'x' ? (
            <line key={n} x1={from} x2={to} y1={at} y2={at} stroke={stroke} strokeWidth="4" />
          ) : (
            <line key={n} x1={at} x2={at} y1={-from} y2={-to} stroke={stroke} strokeWidth="4" />
          )
        })}
        {things.map((thing) => {
          const { eastMm, northMm, widthMm, depthMm } = moved(thing)
          const [w, h] = [
            Math.max(LEAST_UNITS, widthMm * scale),
            Math.max(LEAST_UNITS, depthMm * scale),
          ]
          return (
            <g
              key={thing.id}
              tabIndex={0}
              role="button"
              aria-label={`${thing.name}: arrow keys move it, T turns it, Delete puts it back`}
              transform={`translate(${eastMm * scale} ${-northMm * scale})`}
              className="cursor-move"
              onKeyDown={(event) => onKey(event, thing)}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId)
                setDrag({ id: thing.id, from: pointAt(event), by: [0, 0] })
              }}
              onPointerMove={(event) => {
                if (drag?.id !== thing.id) return
                const [x, y] = pointAt(event)
                setDrag({ ...drag, by: [x - drag.from[0], y - drag.from[1]] })
              }}
              onPointerUp={() => {
                const put = moved(thing)
                setDrag(null)
                if (put.eastMm !== thing.placing.eastMm || put.northMm !== thing.placing.northMm)
                  onPlace(thing, put)
              }}
              onPointerCancel={() => setDrag(null)}
            >
              <rect
                x={-w / 2}
                y={-h / 2}
                width={w}
                height={h}
                fill="#f2f2f2"
                fillOpacity="0.85"
                stroke="#111111"
              />
              <text
                textAnchor="middle"
                dominantBaseline="central"
                fontSize="7"
                className="select-none"
              >
                {thing.name.length > 14 ? `${thing.name.slice(0, 13)}…` : thing.name}
              </text>
            </g>
          )
        })}
      </g>
    </svg>
  )
}
