'use client'

import { createContext, useCallback, useContext, useMemo, useRef } from 'react'
import { sheenForSurface, type Wear } from '@/core/paint/surface-sheen'
import type { Sheen } from '@/core/paint/sheen'
import type { Treatment } from '@/core/paint/treatment'
import { SURFACES, type ProposalStatus, type Surface } from '@/core/record/proposal'
import { useTradeWords } from '../settings/settings-context'
import { takingUp } from './taking-up'
import type { useChange } from './use-change'

/** A deck colour at a strength, to be taken up or back. */
export interface Takeable {
  readonly deckColourId: string
  readonly name: string
  readonly strengthPercent: number
}

/** A candidate as far as taking up goes. */
export interface TakenUp extends Takeable {
  readonly id: string
  readonly proposals: readonly {
    readonly id: string
    readonly roomId: string
    readonly surface: Surface
    readonly sheen: Sheen
    readonly status: ProposalStatus
    readonly reason: string
  }[]
}

export interface Taking {
  /** What is taken up is proposed for this surface. */
  readonly surface: Surface
  readonly isTaken: (colour: Pick<Takeable, 'deckColourId' | 'strengthPercent'>) => boolean
  /** Takes a colour up for the surface at hand, or what was taken up back. */
  readonly toggle: (colour: Takeable) => void
}

export const TakingContext = createContext<Taking | null>(null)

/** Taking up in the room at hand; null where there is none, so that nothing can be taken up. */
export const useTaking = (): Taking | null => useContext(TakingContext)

/** Takes colours up for a surface of a room, and back, each with one press. */
export function useTakingUp({
  visitId,
  roomId,
  surface,
  treatment,
  wear,
  candidates,
  known,
  change,
  onTaken,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly surface: Surface
  readonly treatment: Treatment
  readonly wear: Wear
  /** As the page shows them, and as the record has them: what is only shown yet cannot be taken back. */
  readonly candidates: readonly TakenUp[]
  readonly known: readonly TakenUp[]
  readonly change: ReturnType<typeof useChange>['change']
  /** What was taken up is kept, or was taken back: to be shown before the page is rendered anew. */
  readonly onTaken?: (colour: Takeable, taken: ReturnType<typeof takingUp> | null) => void
}): Taking {
  // Pressed twice in a row it is meant once, until it is known what came of it.
  const asked = useRef(new Set<string>())
  const proposed = useCallback(
    ({ deckColourId, strengthPercent }: Pick<Takeable, 'deckColourId' | 'strengthPercent'>) => {
      const candidate = candidates.find(
        (each) => each.deckColourId === deckColourId && each.strengthPercent === strengthPercent,
      )
      const proposal = candidate?.proposals.find(
        (each) => each.roomId === roomId && each.surface === surface && each.status !== 'ruled out',
      )
      return candidate && proposal ? { candidate, proposal } : null
    },
    [candidates, roomId, surface],
  )
  const takeBack = useCallback(
    ({ candidate, proposal }: NonNullable<ReturnType<typeof proposed>>, said: string) =>
      // Its looks, its boards and the schemes it is a part of stay: it is withdrawn from this surface alone.
      change(
        'propose',
        {
          ...{ visitId, roomId, surface, candidateId: candidate.id, proposalId: proposal.id },
          ...{ sheen: proposal.sheen, reason: proposal.reason },
          ...{ status: 'proposed', withdrawn: true, replaces: null },
        },
        said,
      ),
    [change, visitId, roomId, surface],
  )
  const toggle = useCallback(
    (colour: Takeable): void => {
      const { deckColourId, strengthPercent } = colour
      const key = `${deckColourId} ${strengthPercent} ${surface}`
      const before = proposed(colour)
      if (asked.current.has(key) || (before && !known.includes(before.candidate))) return
      asked.current.add(key)
      const called = `${colour.name} at ${strengthPercent} %`
      const taken = takingUp({
        ...{ visitId, roomId, deckColourId, strengthPercent, surface },
        sheen: sheenForSurface(surface, treatment, wear),
      })
      const kept = before
        ? takeBack(before, `${called} is taken back.`)
        : change('take-up', taken, `${called} is proposed for the ${surface}.`)
      void kept.then((answer) => {
        asked.current.delete(key)
        if (answer?.ok) onTaken?.(colour, before ? null : taken)
      })
    },
    [proposed, takeBack, known, change, onTaken, visitId, roomId, surface, treatment, wear],
  )
  return useMemo(
    () => ({ surface, isTaken: (colour) => proposed(colour) !== null, toggle }),
    [surface, proposed, toggle],
  )
}

/** Takes a colour up where it stands, and the same key takes it back; nothing where there is no room to take it up for. */
export function TakeKey({
  colour,
  className = 'key px-2',
  short = false,
}: {
  readonly colour: Takeable
  readonly className?: string
  /** A sign instead of words: the colour is named beside it. */
  readonly short?: boolean
}) {
  const taking = useTaking()
  const inWords = useTradeWords()
  if (!taking) return null
  const isTaken = taking.isTaken(colour)
  const words = `${isTaken ? 'Taken up' : 'Take up'} at ${colour.strengthPercent} %`
  return (
    <button
      type="button"
      className={`${className} print:hidden`}
      aria-pressed={isTaken}
      aria-label={short ? `${words}, ${colour.name}` : words}
      title={isTaken ? 'Take it back' : `For the ${inWords(taking.surface)}`}
      onClick={() => taking.toggle(colour)}
    >
      {short ? (isTaken ? '✓' : '+') : words}
    </button>
  )
}

/** A colour taken up with the surface that it is for. */
export function TakeFor({
  colour,
  onSurface,
}: {
  readonly colour: Takeable
  readonly onSurface: (surface: Surface) => void
}) {
  const taking = useTaking()
  const inWords = useTradeWords()
  if (!taking) return null
  return (
    <span className="flex print:hidden">
      <TakeKey className="key key-first" colour={colour} />
      <select
        aria-label="Taken up for"
        className="min-h-11 w-24 border border-l-0 border-ink bg-paper px-1 text-small"
        value={taking.surface}
        onChange={(event) => onSurface(event.target.value as Surface)}
      >
        {SURFACES.map((each) => (
          <option key={each} value={each}>
            {inWords(each)}
          </option>
        ))}
      </select>
    </span>
  )
}
