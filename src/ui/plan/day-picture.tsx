'use client'

import { Link } from '../frame/page-link'
import { useRef, useState, type PointerEvent } from 'react'
import type { Ribbon } from '@/core/light/ribbon'
import { RibbonDrawing } from '../light-bar/ribbon-drawing'
import { useChange } from '../record/use-change'

/** A room's slot, with the day of its light. */
export interface PlannedRoom {
  readonly id: string
  readonly name: string
  readonly says: string
  /** Why then, in words. */
  readonly why: string
  readonly href: string
  readonly fromMinute: number
  readonly toMinute: number
  /** "09:00–10:15". */
  readonly clock: string
  readonly ribbon: Ribbon
  readonly moments: readonly {
    readonly name: string
    readonly at: string
    readonly minute: number
  }[]
}

/**
 * The day of a visit as one picture: a row a room, its own light across the hours, its slot a bar as long as its work.
 * Bars are dragged, or moved with the arrow keys; the others make way.
 */
export function DayPicture({
  visitId,
  rooms,
  fromMinute,
  toMinute,
  isByHand,
  hours,
}: {
  readonly visitId: string
  /** In the order of the visit. */
  readonly rooms: readonly PlannedRoom[]
  /** The hours of the visit. */
  readonly fromMinute: number
  readonly toMinute: number
  readonly isByHand: boolean
  /** Hours of the clock to be written under the picture. */
  readonly hours: readonly { readonly minute: number; readonly clock: string }[]
}) {
  const { change, busy, message } = useChange()
  const area = useRef<HTMLDivElement>(null)
  const [dragged, setDragged] = useState<{
    readonly id: string
    readonly byMinutes: number
  } | null>(null)
  const pressedAt = useRef(0)
  const steps = rooms[0]!.ribbon.steps
  const [first, last] = [steps[0]!.minute, steps.at(-1)!.minute]
  const at = (minute: number): number =>
    100 * Math.min(1, Math.max(0, (minute - first) / (last - first)))

  function moveTo(id: string, place: number): void {
    const ids = rooms.map((room) => room.id)
    const from = ids.indexOf(id)
    const to = Math.min(ids.length - 1, Math.max(0, place))
    if (from === to) return
    ids.splice(to, 0, ...ids.splice(from, 1))
    void change('order-plan', { visitId, roomIds: ids })
  }

  function drag(event: PointerEvent, id: string): void {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return
    const { width } = area.current!.getBoundingClientRect()
    const byMinutes = ((event.clientX - pressedAt.current) / width) * (last - first)
    setDragged({ id, byMinutes })
  }

  function letGo(id: string): void {
    if (dragged?.id !== id) return
    const room = rooms.find((each) => each.id === id)!
    const middle = (room.fromMinute + room.toMinute) / 2 + dragged.byMinutes
    // It takes the place of the slot that its middle was left in.
    const place = rooms.findIndex((each) => middle < each.toMinute)
    setDragged(null)
    moveTo(id, place < 0 ? rooms.length - 1 : place)
  }

  return (
    <div className="mt-4">
      <ol>
        {rooms.map((room, place) => (
          <li
            key={room.id}
            className="grid grid-cols-[13rem_1fr] gap-x-4 border-b border-rule py-2 max-sm:grid-cols-1"
          >
            <div>
              <Link href={room.href} className="underline-offset-4 hover:underline">
                <span className="font-display text-title leading-6">{room.name}</span>{' '}
                <span className="text-small tabular-nums">{room.clock}</span>
              </Link>
              <p className="text-fine text-dim">{room.says}</p>
              <p className="text-fine">{room.why}</p>
            </div>
            <div ref={place === 0 ? area : undefined} className="relative h-16">
              <div className="absolute inset-x-0 top-0 h-11">
                <RibbonDrawing ribbon={room.ribbon} lampsFrom={null} />
                {room.moments.map((moment) => {
                  const outside = moment.minute < fromMinute || moment.minute > toMinute
                  return (
                    <span
                      key={`${moment.name}${moment.minute}`}
                      title={`${moment.name} at ${moment.at}${outside ? ', outside the visit' : ''}`}
                      className={`absolute inset-y-0 border-l ${outside ? 'border-dashed border-ash' : 'border-ink'}`}
                      style={{ left: `${at(moment.minute)}%` }}
                    />
                  )
                })}
              </div>
              <span
                aria-hidden="true"
                className="absolute bottom-2 h-px bg-ash"
                style={{ left: `${at(fromMinute)}%`, width: `${at(toMinute) - at(fromMinute)}%` }}
              />
              <button
                type="button"
                disabled={busy}
                aria-label={`${room.name}, ${room.clock}, ${place + 1} of ${rooms.length}: arrow keys move it`}
                className="absolute bottom-0 h-5 cursor-grab touch-none bg-ink before:absolute before:inset-x-0 before:-inset-y-3"
                style={{
                  left: `${at(room.fromMinute + (dragged?.id === room.id ? dragged.byMinutes : 0))}%`,
                  width: `${at(room.toMinute) - at(room.fromMinute)}%`,
                }}
                onPointerDown={(event) => {
                  event.currentTarget.setPointerCapture(event.pointerId)
                  pressedAt.current = event.clientX
                }}
                onPointerMove={(event) => drag(event, room.id)}
                onPointerUp={() => letGo(room.id)}
                onPointerCancel={() => setDragged(null)}
                onKeyDown={(event) => {
                  const by = { ArrowLeft: -1, ArrowUp: -1, ArrowRight: 1, ArrowDown: 1 }[event.key]
                  if (!by) return
                  event.preventDefault()
                  moveTo(room.id, place + by)
                }}
              />
            </div>
          </li>
        ))}
      </ol>
      <div className="grid grid-cols-[13rem_1fr] gap-x-4 max-sm:grid-cols-1" aria-hidden="true">
        <span />
        <div className="relative h-5 text-fine text-dim tabular-nums">
          {hours.map(({ minute, clock }) => (
            <span
              key={minute}
              className="absolute -translate-x-1/2"
              style={{ left: `${at(minute)}%` }}
            >
              {clock}
            </span>
          ))}
        </div>
      </div>
      <p role="status" className="flex min-h-6 flex-wrap items-center gap-4 text-small">
        {message && <span className="font-semibold">{message}</span>}
        {isByHand && (
          <>
            In an order by hand.
            <button
              type="button"
              className="min-h-11 underline underline-offset-4"
              disabled={busy}
              onClick={() => void change('order-plan', { visitId, roomIds: [] })}
            >
              As the light asks for
            </button>
          </>
        )}
      </p>
    </div>
  )
}
