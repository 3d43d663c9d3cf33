'use client'

import { useState } from 'react'
import { isVerdict, type ClientResponse } from '@/core/record/look'
import type { Verdict } from '@/core/record/verdict'
import { useLight } from '../light-bar/light-context'
import { wasShown } from '../record/model-shown'
import { newId } from '../record/new-id'
import { retryNow, useOutbox } from '../record/send'
import { useVisitRecord, type Sayings, type ShownLook } from '../record/visit-record'
import { useSettings } from '../settings/settings-context'
import { lookToSend, readingOf, type BenchPair } from './bench-model'
import type { HeldSample } from './held-sample'
import { useLightOfLook } from './use-held-sample'

/** What is said of a pair at a press. */
interface Said {
  readonly verdict: Verdict | null
  readonly bestOf?: readonly string[]
  readonly client?: ClientResponse
}

/** Gives looks at the pair at hand, says more of them and takes them back, and says what came of it. */
export function useGiving({
  visitId,
  roomId,
  pair,
  part,
  held,
  pairLooks,
  show,
  opening,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly pair: BenchPair
  readonly part: string | null
  readonly held: HeldSample
  readonly pairLooks: readonly ShownLook[]
  /** Brings a pair to hand. */
  readonly show: (pair: BenchPair) => void
  /** What is said at first of what came before. */
  readonly opening: string
}) {
  const { give, strike, say } = useVisitRecord()
  const { choice, prepared } = useLight()
  const lightOfLook = useLightOfLook()
  const { firstSpeaks } = useSettings()
  const { trouble } = useOutbox()
  const [message, setMessage] = useState(opening)
  // What was said of pairs and has no answer yet, each in its light.
  const [waitingFor, setWaitingFor] = useState<ReadonlySet<string>>(new Set())
  // The look that was given here last: what is said next is said of it.
  const [lastId, setLastId] = useState<string | null>(null)

  async function keep(said: Said, next: BenchPair | null): Promise<void> {
    const { candidate, keeper } = pair
    // The same pressed again before there was an answer is the same look.
    const press = JSON.stringify([keeper.id, candidate.id, said, choice])
    if (waitingFor.has(press)) return retryNow()
    setMessage('')
    setWaitingFor((before) => new Set([...before, press]))
    const lookId = newId()
    const given = give(
      lookToSend(lookId, {
        ...{ visitId, roomId, pair, part, held, ...said },
        light: lightOfLook(held),
        // It was shown after each verdict, also one that was taken back, or stood elsewhere on this device.
        modelSeenBefore:
          pairLooks.some(isVerdict) || firstSpeaks === 'model' || wasShown(roomId, candidate),
        reading: prepared && readingOf(prepared, pair, part),
      }),
    )
    if (said.verdict !== null) setLastId(lookId)
    // The eye goes on at once; what was given is kept meanwhile.
    if (next) show(next)
    const answer = await given
    setWaitingFor((before) => new Set([...before].filter((each) => each !== press)))
    if (!answer.ok) show(pair)
    setMessage(answer.ok ? ['Saved.', answer.note].filter(Boolean).join(' ') : answer.message)
  }

  return {
    /** The look that was given here last; null before one was. */
    lastId,
    /** What came of it, in words. */
    words: waitingFor.size > 0 ? (trouble ?? 'Saving') : message,
    clear: () => setMessage(''),
    /** What was said last is done with: something else is told in its place. */
    leave: () => setLastId(null),
    /** Says something in the place where it is said what came of a look. */
    remark: setMessage,
    keep,
    async sayMore(look: ShownLook, said: Sayings): Promise<void> {
      const answer = await say(look, said)
      setMessage(answer.ok ? 'Saved.' : answer.message)
    },
    async takeBack(look: ShownLook): Promise<void> {
      setMessage('')
      const answer = await strike(look)
      setMessage(answer.ok ? 'Struck out.' : answer.message)
    },
  }
}
