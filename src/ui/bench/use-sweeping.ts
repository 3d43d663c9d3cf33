'use client'

import { useState } from 'react'
import { isVerdict } from '@/core/record/look'
import type { Reason } from '@/core/record/verdict'
import type { SweptFinish } from '@/core/round/sweep'
import type { Answer } from '@/commands/kinds'
import { useLight } from '../light-bar/light-context'
import { wasShown } from '../record/model-shown'
import { newId } from '../record/new-id'
import { useOutbox } from '../record/send'
import { sayingsOf, useVisitRecord, type ShownLook } from '../record/visit-record'
import { useSettings } from '../settings/settings-context'
import {
  lookToSend,
  looksAt,
  readingOf,
  type BenchKeeper,
  type ProposedCandidate,
} from './bench-model'
import { heldAs, type HeldSample } from './held-sample'
import { useLightOfLook } from './use-held-sample'

/** What is done to what is in hand in a sweep past a finish, and what came of it in words. */
export function useSweeping({
  visitId,
  roomId,
  keeper,
  held,
  looks,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly keeper: BenchKeeper
  readonly held: HeldSample
  /** Of the room, oldest first. */
  readonly looks: readonly ShownLook[]
}) {
  const { give, strike, say, sweep } = useVisitRecord()
  const { prepared } = useLight()
  const { firstSpeaks } = useSettings()
  const { trouble } = useOutbox()
  const lightOfLook = useLightOfLook()
  const [underWay, setUnderWay] = useState(0)
  const [message, setMessage] = useState('')
  // What was taken out since a reason was last given: the next reason is theirs.
  const [group, setGroup] = useState<{ ids: readonly string[]; isAsked: boolean }>({
    ids: [],
    isAsked: false,
  })
  const grouped = looks.filter(({ id, retracted }) => !retracted && group.ids.includes(id))

  async function told(answers: readonly Promise<Answer>[], words: string): Promise<void> {
    setMessage('')
    setUnderWay((before) => before + 1)
    const refused = (await Promise.all(answers)).find(({ ok }) => !ok)
    setUnderWay((before) => before - 1)
    setMessage(refused && !refused.ok ? refused.message : words)
  }

  /** The look of a candidate in hand beside the finish. */
  const glance = (candidate: ProposedCandidate) => {
    const pair = { keeper, candidate }
    return {
      ...{ visitId, roomId, pair, part: null },
      // A board is mixed for its candidate; a chip is of the full formula.
      held: heldAs(held, held.held, candidate.strengthPercent),
      light: lightOfLook(held),
      modelSeenBefore:
        firstSpeaks === 'model' ||
        wasShown(roomId, candidate) ||
        looksAt(looks, pair).some(isVerdict),
      reading: prepared && readingOf(prepared, pair, null),
    }
  }

  return {
    /** What was taken out together, and has one reason. */
    grouped,
    words: underWay > 0 ? (trouble ?? 'Saving') : message,
    takeOut(candidates: readonly ProposedCandidate[]): void {
      const given = candidates.map((candidate) => ({ id: newId(), candidate }))
      setGroup({
        ids: [...(group.isAsked ? [] : group.ids), ...given.map(({ id }) => id)],
        isAsked: false,
      })
      void told(
        given.map(({ id, candidate }) =>
          give(lookToSend(id, { ...glance(candidate), verdict: 'no' })),
        ),
        'Saved.',
      )
    },
    /** Every no that stands at them beside the finish is taken back. */
    bringBack(candidates: readonly ProposedCandidate[]): void {
      const noes = candidates.flatMap((candidate) =>
        looksAt(looks, { keeper, candidate }).filter(
          ({ verdict, retracted }) => verdict === 'no' && !retracted,
        ),
      )
      void told(noes.map(strike), 'Back in hand.')
    },
    /** A reason for all that was taken out together; where all have it, it is taken back. */
    toggleReason(reason: Reason): void {
      setGroup({ ...group, isAsked: true })
      const haveIt = grouped.every(({ reasons }) => reasons.includes(reason))
      void told(
        grouped
          .filter(({ reasons }) => haveIt || !reasons.includes(reason))
          .map((look) =>
            say(look, {
              ...sayingsOf(look),
              reasons: haveIt
                ? look.reasons.filter((each) => each !== reason)
                : [...look.reasons, reason],
            }),
          ),
        'Saved.',
      )
    },
    /** The best of what is in hand; it rules nothing. */
    chooseBest(best: ProposedCandidate, of: readonly string[]): void {
      void told(
        [give(lookToSend(newId(), { ...glance(best), verdict: null, bestOf: of }))],
        'Saved as the best of these.',
      )
    },
    /** What was held up and is not out has stayed. */
    stay({ keeperId, held: all, out }: SweptFinish, words: string): void {
      void told(
        [
          sweep({
            ...{ visitId, roomId, keeperId, sweepId: newId() },
            seenAs: held.held === null ? 'screen' : 'sample',
            light: lightOfLook(held),
            stayed: all.filter((id) => !out.has(id)),
          }),
        ],
        words,
      )
    },
  }
}
