'use client'

import type { PayloadOf } from '@/commands/kinds'
import { sheenForSurface, type Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import { newId } from '../record/new-id'
import { useTradeWords } from '../settings/settings-context'
import {
  CandidateSwatch,
  ProposalLine,
  type Change,
  type ShownProposal,
  type TakenCandidate,
} from './proposal-line'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly candidates: readonly TakenCandidate[]
  /** What is on the walls, and what the room does to its paint. */
  readonly treatment: Treatment
  readonly wear: Wear
  readonly change: Change
  /** How each would stand in the other rooms, on request. */
  readonly elsewhereOf: (candidate: TakenCandidate) => React.ReactNode
}

// More than these in one room nobody can tell apart any more; common practice.
const MOST_IN_A_ROOM = 10

/** What is proposed for this room, surface by surface, and what of the house could be. */
export function Proposals({
  visitId,
  roomId,
  candidates,
  treatment,
  wear,
  change,
  elsewhereOf,
}: Props) {
  const inWords = useTradeWords()
  const sheen = sheenForSurface('walls', treatment, wear)
  const here = candidates.flatMap((candidate) =>
    candidate.proposals
      .filter((proposal) => proposal.roomId === roomId)
      .map((proposal) => ({ candidate, proposal })),
  )
  const standing = here.filter(
    ({ candidate, proposal }) => proposal.status !== 'ruled out' && candidate.ruledOut === null,
  )
  const out = here.filter((each) => !standing.includes(each))
  const elsewhere = candidates.filter(
    ({ id, ruledOut }) => ruledOut === null && !here.some(({ candidate }) => candidate.id === id),
  )
  const set = (
    candidate: TakenCandidate,
    proposal: ShownProposal,
    to: Partial<PayloadOf<'propose'>>,
    done: string,
  ): unknown =>
    change(
      'propose',
      {
        visitId,
        roomId,
        candidateId: candidate.id,
        proposalId: newId(),
        withdrawn: false,
        surface: proposal.surface,
        sheen: proposal.sheen,
        status: proposal.status,
        reason: proposal.reason,
        replaces: null,
        ...to,
      },
      done,
    )
  return (
    <>
      <section aria-label="Candidates" className="border-t border-ink pt-2">
        <h2 className="text-title">Proposed here</h2>
        {standing.length > MOST_IN_A_ROOM && (
          <p className="text-small font-medium">
            {standing.length} in one room: more than {MOST_IN_A_ROOM} are hard to tell apart. Rule
            some out before they go on the wall.
          </p>
        )}
        {standing.length === 0 && <p className="text-small">Nothing is proposed here yet.</p>}
        <ul>
          {standing.map(({ candidate, proposal }) => (
            <ProposalLine
              key={proposal.id}
              {...{ candidate, proposal, visitId, treatment, wear, change }}
              onSet={(to, done) => set(candidate, proposal, to, done)}
            >
              {elsewhereOf(candidate)}
            </ProposalLine>
          ))}
        </ul>
      </section>
      {elsewhere.length > 0 && (
        <section aria-label="Elsewhere in the house" className="border-t border-rule pt-2">
          <h2 className="text-body">Elsewhere in the house</h2>
          <ul>
            {elsewhere.map((candidate) => (
              <li key={candidate.id} className="flex items-center gap-3 border-b border-rule">
                <CandidateSwatch candidate={candidate} />
                <button
                  type="button"
                  className="min-h-11 px-2 text-small underline underline-offset-4"
                  aria-label={`Propose ${candidate.name} at ${candidate.strengthPercent} % here`}
                  onClick={() =>
                    change(
                      'propose',
                      {
                        visitId,
                        roomId,
                        candidateId: candidate.id,
                        proposalId: newId(),
                        surface: 'walls',
                        sheen,
                        status: 'proposed',
                        reason: '',
                        withdrawn: false,
                        replaces: null,
                      },
                      `${candidate.name} is proposed here.`,
                    )
                  }
                >
                  Propose here
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      {out.length > 0 && (
        <section aria-label="Ruled out" className="border-t border-rule pt-2">
          <h2 className="text-body">Ruled out</h2>
          <ul>
            {out.map(({ candidate, proposal }) => (
              <li key={proposal.id} className="flex items-center gap-3 border-b border-rule">
                <CandidateSwatch candidate={candidate}>
                  {candidate.ruledOut === null
                    ? `${inWords(proposal.surface)}: ${proposal.reason || 'no reason given'}`
                    : `for the house: ${candidate.ruledOut || 'no reason given'}`}
                </CandidateSwatch>
                <button
                  type="button"
                  className="min-h-11 px-2 text-small underline underline-offset-4"
                  aria-label={`${candidate.name} at ${candidate.strengthPercent} % back`}
                  onClick={() =>
                    candidate.ruledOut === null
                      ? set(
                          candidate,
                          proposal,
                          { status: 'proposed', reason: '' },
                          `${candidate.name} is proposed again.`,
                        )
                      : change(
                          'rule-out',
                          { visitId, candidateId: candidate.id, reason: null },
                          `${candidate.name} is back.`,
                        )
                  }
                >
                  Bring back
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  )
}
