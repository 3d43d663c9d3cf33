'use client'

import { Link } from './page-link'
import { usePathname } from 'next/navigation'
import type { ReactNode } from 'react'
import { nextStep } from '@/core/record/next-step'
import { cellsSeen, pairsSeen, seenPairOf, type SeenPair } from '@/core/record/progress'
import { useVisitRecord } from '../record/visit-record'
import { useTradeWords } from '../settings/settings-context'
import { HeaderKeys } from './header-keys'
import { useAddress } from './page-address'
import { RoomChooser } from './room-chooser'
import { StepChooser } from './step-chooser'
import {
  ROOM_STEPS,
  STEP_WORDS,
  VISIT_STEPS,
  type Destination,
  type FrameRoom,
  type HouseStep,
  type RoomStep,
  type Step,
  type StepGroup,
} from './steps'
import { WorkArea } from './work-area'

/** Rooms on top, the steps of the work as a spine on the left, the page between. */
export function VisitFrame({
  visitId,
  household,
  rooms,
  seen,
  toFetch,
  destinations,
  eyeVersion,
  children,
}: {
  readonly visitId: string
  readonly household: string
  readonly rooms: readonly FrameRoom[]
  /** Pairs that were seen, as far as the server knows. */
  readonly seen: readonly SeenPair[]
  /** How many paints are on the fetch list. */
  readonly toFetch: number
  /** What stays and the candidates, to be gone to by name. */
  readonly destinations: readonly Destination[]
  /** Of the eye that pairs are judged with; null where it is the model’s own limits. */
  readonly eyeVersion: number | null
  readonly children: ReactNode
}) {
  const path = usePathname()
  const base = `/visits/${visitId}`
  const [, roomId, step] = /\/rooms\/([^/]+)\/([^/]+)/.exec(path) ?? []
  const room = rooms.find(({ id }) => id === roomId)
  const roomAtHand = room ?? rooms[0]
  const query = lightQuery(useAddress())
  const inWords = useTradeWords()
  const { fresh, struck } = useVisitRecord()
  // A look given since the page was loaded counts at once; one taken back is left to the next page, for another may stand.
  const looks = [...seen, ...fresh.filter((look) => !struck.has(look.id)).flatMap(seenPairOf)]
  const cells = cellsSeen(
    rooms.map(({ toSee }) => toSee),
    looks,
  )
  const doneAt = (at: FrameRoom, each: RoomStep): string => {
    if (each === 'boards' && toFetch > 0) return `${toFetch} to fetch`
    if (each !== 'bench') return at.done[each]
    const pairs = pairsSeen(at.toSee, looks)
    return pairs.of > 0 ? `${pairs.seen} of ${pairs.of}` : ''
  }

  const roomStep =
    (at: FrameRoom) =>
    (each: RoomStep): Step => ({
      href: `${base}/rooms/${at.id}/${each}${query}`,
      here: step === each,
      word: STEP_WORDS[each],
      done: doneAt(at, each),
      quiet: isEarlyFor(each, at),
    })
  const houseStep = (each: HouseStep, done = '', quiet = false): Step => ({
    href: `${base}/${each}${each === 'grid' || each === 'sheets' ? query : ''}`,
    here:
      path === `${base}/${each}` ||
      path.startsWith(`${base}/${each}/`) ||
      // A room's record is one of the sheets.
      (each === 'sheets' && step === 'sheet'),
    word: STEP_WORDS[each],
    done,
    quiet,
  })
  const groups: readonly StepGroup[] = [
    { heading: 'The visit', steps: VISIT_STEPS.map((each) => houseStep(each)) },
    ...(roomAtHand ? [{ heading: 'This room', steps: ROOM_STEPS.map(roomStep(roomAtHand)) }] : []),
    {
      heading: 'The house',
      steps: [
        houseStep('grid', cells.of > 0 ? `${cells.seen} of ${cells.of}` : '', cells.of === 0),
        houseStep('together', '', cells.of === 0),
        houseStep(
          'sheets',
          '',
          rooms.every(({ soFar }) => soFar.ruled === 0),
        ),
        houseStep('history'),
      ],
    },
  ]
  const steps = groups.flatMap((group) => group.steps)

  const left = nextStep(
    rooms.map(({ id, name, toSee, soFar }) => ({
      ...{ id, name, ...soFar },
      keepers: toSee.keeperIds.length,
      candidates: toSee.candidateIds.length,
      pairs: pairsSeen(toSee, looks),
    })),
    roomId,
  )
  const to = left && `${base}/${left.room ? `rooms/${left.room.id}/` : ''}${left.where}`
  // Whoever is at it need not be led there.
  const next =
    left && to && !path.startsWith(to)
      ? {
          href: `${to}${query}`,
          words:
            (left.room && left.room.id !== roomId ? `${left.room.name}: ` : '') +
            inWords(left.words),
        }
      : null

  const goTo = [
    ...steps.map(({ href, word, done }) => ({
      kind: 'step' as const,
      href,
      name: word,
      says: done,
    })),
    ...rooms.map(({ id, name, aspectWords }) => ({
      kind: 'room' as const,
      href: `${base}/rooms/${id}/light${query}`,
      name,
      says: aspectWords,
    })),
  ]

  return (
    <div className="flex h-dvh flex-col print:block print:h-auto">
      <header className="flex h-11 shrink-0 items-stretch border-b border-ink print:hidden">
        <Link
          href="/"
          className="flex w-22 shrink-0 items-center justify-center border-r border-ink font-display text-body leading-4"
        >
          Visits
        </Link>
        <RoomChooser
          rooms={rooms}
          atHand={roomId}
          hrefOf={(id) => `${base}/rooms/${id}/${step ?? 'light'}${query}`}
          next={next}
        />
        <StepChooser groups={groups} next={next} />
        <span className="hidden items-center px-3 text-small whitespace-nowrap 2xl:flex">
          {household}
        </span>
        <HeaderKeys visitId={visitId} destinations={[...goTo, ...destinations]} />
      </header>
      {eyeVersion !== null && (
        <p className="shrink-0 border-b border-rule px-3 py-1 text-fine">
          Pairs are judged with your own eye, version {eyeVersion}:{' '}
          <Link href="/eye" className="underline underline-offset-4">
            what that is
          </Link>
        </p>
      )}
      <div className="flex min-h-0 flex-1 max-sm:flex-col print:block">
        <nav
          aria-label="Steps"
          className="flex w-22 shrink-0 flex-col overflow-y-auto border-r border-ink max-sm:hidden print:hidden"
        >
          {groups.map(({ heading, steps: own }) => (
            <div key={heading} role="group" aria-label={heading}>
              <p aria-hidden="true" className="h-5 bg-mist px-2 text-fine leading-5 text-dim">
                {heading}
              </p>
              {own.map((each) => (
                <SpineLink key={each.word} {...each} />
              ))}
            </div>
          ))}
        </nav>
        {/* On paper the header is not: what the page is of stands above it. The sheet says it itself. */}
        {step && step !== 'sheet' && (
          <p className="hidden pb-2 text-small print:block">
            {household}, {room?.name}
          </p>
        )}
        <WorkArea>{children}</WorkArea>
      </div>
    </div>
  )
}

function SpineLink({ href, here, word, done, quiet }: Step) {
  return (
    <Link
      href={href}
      aria-current={here ? 'step' : undefined}
      className="flex min-h-11 shrink-0 flex-col justify-center border-b border-rule px-2 text-small leading-5 hover:bg-mist aria-[current]:bg-ink aria-[current]:text-paper"
    >
      <span className={`whitespace-nowrap ${quiet && !here ? 'text-dim' : 'font-medium'}`}>
        {word}
      </span>
      <span className="text-fine">{done}</span>
    </Link>
  )
}

/** Whether a step has nothing to work on yet: without what stays nothing is judged, without a colour nothing is looked at. */
function isEarlyFor(step: RoomStep, { soFar, toSee }: FrameRoom): boolean {
  switch (step) {
    case 'light':
    case 'keepers':
    case 'trial':
      return false
    case 'lead':
    case 'shortlist':
      return !soFar.hasLight || toSee.keeperIds.length === 0
    case 'bench':
      return toSee.keeperIds.length === 0 || toSee.candidateIds.length === 0
    case 'boards':
    case 'around':
    case 'ruling':
      return toSee.candidateIds.length === 0 && soFar.ruled === 0
  }
}

/** The light goes along from step to step and from room to room. */
function lightQuery(parameters: URLSearchParams): string {
  const kept = ['light', 'day', 'at', 'sky', 'lamps', 'spot'].flatMap((name) => {
    const value = parameters.get(name)
    return value === null ? [] : [[name, value]]
  })
  return kept.length > 0 ? `?${new URLSearchParams(kept)}` : ''
}
