'use client'

import { useState } from 'react'
import type { KindName, PayloadOf } from '@/commands/kinds'
import type { Reflectance } from '@/core/colour/spectrum'
import type { ReadingSource } from '@/core/paint/reading'
import { SHEENS, type Sheen } from '@/core/paint/sheen'
import { sheenForSurface, sheenSays, type Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import { notSoldIn, SURFACES, type ProposalStatus, type Surface } from '@/core/record/proposal'
import { useTradeWords } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'

/** A candidate for a surface of a room. */
export interface ShownProposal {
  readonly id: string
  readonly roomId: string
  readonly surface: Surface
  readonly sheen: Sheen
  readonly status: ProposalStatus
  readonly reason: string
}

export interface TakenCandidate {
  readonly id: string
  readonly deckColourId: string
  readonly code: string
  readonly name: string
  /** "Maker, deck". */
  readonly deckName: string
  readonly strengthPercent: number
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  /** What its deck sells it in; null where that is not said. */
  readonly sheens: readonly Sheen[] | null
  /** Why it is out for the whole house; null where it is not. */
  readonly ruledOut: string | null
  readonly proposals: readonly ShownProposal[]
}

export type Change = <K extends KindName>(kind: K, payload: PayloadOf<K>, done: string) => unknown

/** A candidate in the light of the page, with what is said of it. */
export function CandidateSwatch({
  candidate,
  children,
}: {
  readonly candidate: TakenCandidate
  readonly children?: React.ReactNode
}) {
  const { name, code, deckName, strengthPercent, reflectance } = candidate
  return (
    <>
      <RelitPatch
        reflectance={reflectance}
        label={`${name} at ${strengthPercent} per cent`}
        className="h-12 w-16 shrink-0"
      />
      <span className="flex-1 text-small leading-5">
        {name}, {strengthPercent} %
        <span className="block text-fine text-dim">
          {deckName}, {code}
        </span>
        {children && <span className="block text-fine text-dim">{children}</span>}
      </span>
    </>
  )
}

/** How a candidate stands with a surface, and every way to change that. */
export function ProposalLine({
  candidate,
  proposal,
  visitId,
  treatment,
  wear,
  change,
  onSet,
  children,
}: {
  readonly candidate: TakenCandidate
  readonly proposal: ShownProposal
  readonly visitId: string
  /** What is on the walls, and what the room does to its paint. */
  readonly treatment: Treatment
  readonly wear: Wear
  readonly change: Change
  /** What else can be done with it. */
  readonly children?: React.ReactNode
  readonly onSet: (to: Partial<PayloadOf<'propose'>>, done: string) => unknown
}) {
  const inWords = useTradeWords()
  const [reason, setReason] = useState('')
  const { name, strengthPercent } = candidate
  const called = `${name} at ${strengthPercent} %`
  return (
    <li className="flex items-start border-b border-rule">
      <details className="min-w-0 flex-1">
        <summary className="flex cursor-pointer items-center gap-3">
          <CandidateSwatch candidate={candidate}>
            {inWords(proposal.surface)}, {proposal.sheen}
            {proposal.status !== 'proposed' && `; ${proposal.status}`}
          </CandidateSwatch>
          <span className="px-2 text-small underline underline-offset-4">
            Change<span className="sr-only"> {called}</span>
          </span>
        </summary>
        <div className="flex flex-col gap-2 pb-3">
          <div className="flex gap-2 text-small">
            <label className="flex flex-1 flex-col">
              Surface
              <select
                className="min-h-11 border border-ash bg-paper px-1"
                value={proposal.surface}
                onChange={(event) =>
                  // Proposed for another surface, it is another proposal: this one makes way for it.
                  onSet(
                    {
                      surface: event.target.value as Surface,
                      sheen: sheenForSurface(event.target.value as Surface, treatment, wear),
                      replaces: proposal.id,
                    },
                    `${called}: ${inWords(event.target.value)}.`,
                  )
                }
              >
                {SURFACES.map((surface) => (
                  <option key={surface} value={surface}>
                    {inWords(surface)}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex flex-1 flex-col">
              Sheen
              <select
                className="min-h-11 border border-ash bg-paper px-1"
                value={proposal.sheen}
                onChange={(event) =>
                  onSet({ sheen: event.target.value as Sheen }, `${called}: ${event.target.value}.`)
                }
              >
                {SHEENS.map((sheen) => (
                  <option key={sheen}>{sheen}</option>
                ))}
              </select>
            </label>
          </div>
          <p className="text-fine">
            {sheenSays(proposal.surface, proposal.sheen, wear)}{' '}
            <span className="font-medium">{notSoldIn(candidate.sheens, proposal.sheen)}</span>
          </p>
          {children}
          <div role="group" aria-label={`How ${called} stands`} className="flex flex-wrap">
            {(['to fetch', 'proposed', 'going to board'] as const).map((status) => (
              <button
                key={status}
                type="button"
                className="key -ml-px first:ml-0"
                aria-pressed={proposal.status === status}
                onClick={() => onSet({ status, reason: '' }, `${called}: ${status}.`)}
              >
                {status}
              </button>
            ))}
          </div>
          <label className="text-small">
            Ruled out, because
            <input
              className="field"
              maxLength={2000}
              value={reason}
              onChange={(event) => setReason(event.target.value)}
            />
          </label>
          <div className="flex flex-wrap gap-2">
            <button
              type="button"
              className="key"
              onClick={() =>
                onSet({ status: 'ruled out', reason }, `${called} is out for this room.`)
              }
            >
              Rule out here
            </button>
            <button
              type="button"
              className="key"
              onClick={() =>
                change(
                  'rule-out',
                  { visitId, candidateId: candidate.id, reason },
                  `${called} is out for the house.`,
                )
              }
            >
              For the house
            </button>
            <button
              type="button"
              className="min-h-11 px-2 text-small underline underline-offset-4"
              onClick={() => onSet({ withdrawn: true }, `${called} is not for this room any more.`)}
            >
              Not for this room
            </button>
            <button
              type="button"
              className="min-h-11 px-2 text-small underline underline-offset-4"
              aria-label={`Drop ${called}`}
              onClick={() =>
                change(
                  'drop-candidate',
                  { visitId, candidateId: candidate.id },
                  `${name} dropped; its looks stay on record.`,
                )
              }
            >
              Drop
            </button>
          </div>
        </div>
      </details>
      {proposal.status === 'proposed' && (
        <button
          type="button"
          className="min-h-14 px-2 text-small underline underline-offset-4"
          aria-label={`Send ${called} to a board`}
          onClick={() =>
            onSet({ status: 'going to board', reason: '' }, `${called}: going to board.`)
          }
        >
          To a board
        </button>
      )}
    </li>
  )
}
