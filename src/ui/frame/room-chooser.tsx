'use client'

import { Link } from './page-link'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { CompassTick } from './compass-tick'
import { NextKey } from './next-key'
import type { FrameRoom } from './steps'

// What the line of rooms says, and the next step beside it, the fullest first: a room is never kept out of the line by words.
const LINES = [
  { rooms: 'all', next: 'whole' },
  { rooms: 'names', next: 'whole' },
  { rooms: 'names', next: 'short' },
] as const
type Shows = (typeof LINES)[number]['rooms'] | 'chooser'

/** The rooms in a line, each with its aspect and dimness; in one chooser where they do not fit. The next step stands at its end. */
export function RoomChooser({
  rooms,
  atHand,
  hrefOf,
  next,
}: {
  readonly rooms: readonly FrameRoom[]
  readonly atHand: string | undefined
  readonly hrefOf: (roomId: string) => string
  /** The next useful step; null where one is at it. */
  readonly next: { readonly href: string; readonly words: string } | null
}) {
  const router = useRouter()
  const frame = useRef<HTMLDivElement>(null)
  const line = useRef<HTMLElement>(null)
  const beside = useRef<HTMLDivElement>(null)
  const [shows, setShows] = useState<Shows>('all')
  useEffect(() => {
    const [around, rooms, end] = [frame.current!, line.current!, beside.current!]
    const watched = new ResizeObserver(() => {
      const fitting = LINES.find((each) => {
        rooms.dataset.shows = each.rooms
        end.dataset.shows = each.next
        return rooms.scrollWidth + end.offsetWidth <= around.clientWidth
      })
      rooms.dataset.shows = fitting?.rooms ?? 'names'
      end.dataset.shows = fitting?.next ?? 'short'
      setShows(fitting?.rooms ?? 'chooser')
    })
    watched.observe(around)
    return () => watched.disconnect()
  }, [rooms, next?.words])
  const fits = shows !== 'chooser'
  return (
    <div ref={frame} className="relative flex min-w-0 flex-1 items-stretch overflow-hidden">
      <nav
        ref={line}
        aria-label="Rooms"
        // Out of sight and out of reach, it is still measured.
        className={`group ${fits ? 'flex max-sm:hidden' : 'invisible absolute flex'}`}
        data-shows={fits ? shows : 'names'}
      >
        {rooms.map((each) => (
          <Link
            key={each.id}
            href={hrefOf(each.id)}
            aria-current={each.id === atHand ? 'page' : undefined}
            className="relative flex shrink-0 items-center gap-2 border-r border-rule px-3 text-small whitespace-nowrap hover:bg-mist aria-[current]:bg-ink aria-[current]:text-paper"
          >
            <CompassTick bearingsDeg={each.bearingsDeg} />
            <span className="font-medium">{each.name}</span>
            <span className="sr-only">{each.aspectWords},</span>
            <span className="text-fine group-data-[shows=names]:sr-only">{each.dimness}</span>
          </Link>
        ))}
      </nav>
      <select
        aria-label="Room"
        className={`min-w-0 flex-1 overflow-hidden bg-paper px-2 text-ellipsis text-small font-medium ${fits ? 'sm:hidden' : ''}`}
        value={atHand ?? ''}
        onChange={(event) => event.target.value && router.push(hrefOf(event.target.value))}
      >
        {!atHand && <option value="">{rooms.length > 0 ? 'Rooms' : 'No room yet'}</option>}
        {rooms.map(({ id, name, aspectWords, dimness }) => (
          <option key={id} value={id}>
            {[name, aspectWords, dimness].filter(Boolean).join(', ')}
          </option>
        ))}
      </select>
      <div
        ref={beside}
        className="group ml-auto flex shrink-0 items-center text-small whitespace-nowrap max-sm:hidden"
      >
        {next && <NextKey {...next} />}
      </div>
    </div>
  )
}
