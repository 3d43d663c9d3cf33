'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useEffect, useRef, useState } from 'react'
import { CompassTick } from './compass-tick'
import type { FrameRoom } from './steps'

/** The rooms in a line, each with its aspect and dimness; in one chooser where they do not fit. */
export function RoomChooser({
  rooms,
  atHand,
  hrefOf,
}: {
  readonly rooms: readonly FrameRoom[]
  readonly atHand: string | undefined
  readonly hrefOf: (roomId: string) => string
}) {
  const router = useRouter()
  const frame = useRef<HTMLDivElement>(null)
  const line = useRef<HTMLElement>(null)
  const [fits, setFits] = useState(true)
  useEffect(() => {
    const [around, rooms] = [frame.current!, line.current!]
    const watched = new ResizeObserver(() => setFits(rooms.scrollWidth <= around.clientWidth))
    watched.observe(around)
    return () => watched.disconnect()
  }, [rooms])
  return (
    <div ref={frame} className="relative flex min-w-0 flex-1 items-stretch overflow-hidden">
      <nav
        ref={line}
        aria-label="Rooms"
        // Out of sight and out of reach, it is still measured.
        className={fits ? 'flex max-sm:hidden' : 'invisible absolute flex'}
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
            <span className="text-fine max-2xl:sr-only">{each.dimness}</span>
          </Link>
        ))}
      </nav>
      <select
        aria-label="Room"
        className={`min-w-0 flex-1 bg-paper px-2 text-small font-medium ${fits ? 'sm:hidden' : ''}`}
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
    </div>
  )
}
