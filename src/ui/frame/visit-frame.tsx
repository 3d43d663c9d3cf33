'use client'

import Link from 'next/link'
import { usePathname, useSearchParams } from 'next/navigation'
import type { ReactNode } from 'react'
import { cellsSeen, pairsSeen, seenPairOf, type SeenPair } from '@/core/record/progress'
import { UndoKey } from '../record/undo-key'
import { useVisitRecord } from '../record/visit-record'
import { CompassTick } from './compass-tick'
import { ROOM_STEPS, STEP_WORDS, type FrameRoom, type RoomStep } from './steps'

/** Rooms on top, the steps of the work as a spine on the left, the page between. */
export function VisitFrame({
  visitId,
  household,
  rooms,
  seen,
  children,
}: {
  readonly visitId: string
  readonly household: string
  readonly rooms: readonly FrameRoom[]
  /** Pairs that were seen, as far as the server knows. */
  readonly seen: readonly SeenPair[]
  readonly children: ReactNode
}) {
  const path = usePathname()
  const base = `/visits/${visitId}`
  const [, roomId, step] = /\/rooms\/([^/]+)\/([^/]+)/.exec(path) ?? []
  const room = rooms.find(({ id }) => id === roomId)
  const roomAtHand = room ?? rooms[0]
  const query = lightQuery(useSearchParams())
  const { fresh, struck } = useVisitRecord()
  // A look given since the page was loaded counts at once; one taken back is left to the next page, for another may stand.
  const looks = [...seen, ...fresh.filter((look) => !struck.has(look.id)).flatMap(seenPairOf)]
  const cells = cellsSeen(
    rooms.map(({ toSee }) => toSee),
    looks,
  )
  const doneAt = (at: FrameRoom, each: RoomStep): string => {
    if (each !== 'bench') return at.done[each]
    const pairs = pairsSeen(at.toSee, looks)
    return pairs.of > 0 ? `${pairs.seen} of ${pairs.of}` : ''
  }

  return (
    <div className="flex h-dvh flex-col print:block print:h-auto">
      <header className="flex h-11 shrink-0 items-stretch border-b border-ink print:hidden">
        <Link
          href="/"
          className="flex w-22 shrink-0 items-center justify-center border-r border-ink font-display text-body leading-4"
        >
          Visits
        </Link>
        <nav aria-label="Rooms" className="flex min-w-0 overflow-x-auto">
          {rooms.map((each) => (
            <Link
              key={each.id}
              href={`${base}/rooms/${each.id}/${step ?? 'light'}${query}`}
              aria-current={each.id === roomId ? 'page' : undefined}
              className="relative flex shrink-0 items-center gap-2 border-r border-rule px-3 text-small whitespace-nowrap hover:bg-mist aria-[current]:bg-ink aria-[current]:text-paper"
            >
              <CompassTick bearingsDeg={each.bearingsDeg} />
              <span className="font-medium">{each.name}</span>
              <span className="text-fine">
                <span className="sr-only">{each.aspectWords}, </span>
                {each.dimness}
              </span>
            </Link>
          ))}
        </nav>
        <Link
          href={`${base}/rooms/new`}
          className="flex shrink-0 border-l border-rule items-center px-3 text-small whitespace-nowrap underline-offset-4 hover:underline"
        >
          Add a room
        </Link>
        <span className="hidden items-center px-3 text-small whitespace-nowrap 2xl:flex">
          {household}
        </span>
        <UndoKey visitId={visitId} />
      </header>
      <div className="flex min-h-0 flex-1 max-sm:flex-col print:block">
        <nav
          aria-label="Steps"
          className="flex w-22 shrink-0 flex-col border-r border-ink max-sm:w-full max-sm:flex-row max-sm:overflow-x-auto max-sm:border-r-0 max-sm:border-b print:hidden"
        >
          <SpineLink
            href={`${base}/brief`}
            here={path === `${base}/brief`}
            word={STEP_WORDS.brief}
          />
          <SpineLink href={`${base}/plan`} here={path === `${base}/plan`} word={STEP_WORDS.plan} />
          {ROOM_STEPS.slice(0, -1).map((each) => (
            <RoomSpineLink
              key={each}
              {...{ base, query, doneAt, room: roomAtHand, step: each }}
              here={step === each}
            />
          ))}
          <SpineLink
            href={`${base}/grid${query}`}
            here={path === `${base}/grid`}
            word={STEP_WORDS.grid}
            done={cells.of > 0 ? `${cells.seen} of ${cells.of}` : ''}
          />
          <RoomSpineLink
            {...{ base, query, doneAt, room: roomAtHand, step: 'sheet' }}
            here={step === 'sheet'}
          />
          <SpineLink
            href={`${base}/history`}
            here={path === `${base}/history`}
            word={STEP_WORDS.history}
          />
        </nav>
        <div className="flex min-h-0 min-w-0 flex-1 flex-col print:block">{children}</div>
      </div>
    </div>
  )
}

function RoomSpineLink({
  base,
  query,
  doneAt,
  room,
  step,
  here,
}: {
  readonly base: string
  readonly query: string
  readonly doneAt: (room: FrameRoom, step: RoomStep) => string
  readonly room: FrameRoom | undefined
  readonly step: RoomStep
  readonly here: boolean
}) {
  if (!room) return null
  return (
    <SpineLink
      href={`${base}/rooms/${room.id}/${step}${query}`}
      here={here}
      word={STEP_WORDS[step]}
      done={doneAt(room, step)}
    />
  )
}

function SpineLink({
  href,
  here,
  word,
  done = '',
}: {
  readonly href: string
  readonly here: boolean
  readonly word: string
  readonly done?: string
}) {
  return (
    <Link
      href={href}
      aria-current={here ? 'step' : undefined}
      className="flex min-h-14 shrink-0 flex-col justify-center border-b border-rule px-2 text-small hover:bg-mist aria-[current]:bg-ink aria-[current]:text-paper max-sm:min-h-11 max-sm:border-r max-sm:border-b-0"
    >
      <span className="font-medium whitespace-nowrap">{word}</span>
      <span className="text-fine max-sm:hidden">{done}</span>
    </Link>
  )
}

/** The light goes along from step to step and from room to room. */
function lightQuery(parameters: URLSearchParams): string {
  const kept = ['light', 'day', 'at', 'sky', 'lamps', 'spot'].flatMap((name) => {
    const value = parameters.get(name)
    return value === null ? [] : [[name, value]]
  })
  return kept.length > 0 ? `?${new URLSearchParams(kept)}` : ''
}
