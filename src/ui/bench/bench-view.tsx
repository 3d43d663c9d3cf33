'use client'

import { useSearchParams } from 'next/navigation'
import { useMemo, useState } from 'react'
import { RIBBON_STEP_MINUTES } from '@/core/light/ribbon'
import { isVerdict } from '@/core/record/look'
import type { Verdict } from '@/core/record/verdict'
import { lightThatMatters } from '@/core/round/light-that-matters'
import { roundOf } from '@/core/round/round'
import { keyLights } from '@/core/light/key-lights'
import { isLeanOut, type Lean } from '@/core/undertone/lean'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { useLight, writeAddress } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { NO_ANSWER, retryNow, useOutbox } from '../record/send'
import { useLooks, useVisitRecord, type Sayings, type ShownLook } from '../record/visit-record'
import {
  againstKeeper,
  fanOf,
  indexOf,
  ofLook,
  pairsOf,
  placeInAddress,
  type Place,
  lookLight,
  looksAt,
  modelThen,
  readingOf,
  type BenchKeeper,
  type BenchPair,
  type ProposedCandidate,
} from './bench-model'
import { LeanKey } from './lean-key'
import { HeldKeys } from './held-keys'
import { HoldUpKeys, useHeldUp } from './hold-up-keys'
import { heldAs, mannerOf, nextHeld } from './held-sample'
import { LastLook } from './last-look'
import { PairLine } from './pair-line'
import { Readings } from './readings'
import { useHeldSample } from './use-held-sample'
import { SwatchField } from './swatch-field'
import { VerdictKeys } from './verdict-keys'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly keepers: readonly BenchKeeper[]
  readonly candidates: readonly ProposedCandidate[]
  /** Leans that are out of this room. */
  readonly without: readonly Lean[]
  readonly looks: readonly ShownLook[]
}

/** One pair at a time, as large as the screen allows; the eye rules, then the model shows its reading. */
export function BenchView(props: Props) {
  const { visitId, roomId, keepers, candidates, without, looks: known } = props
  const parameters = useSearchParams()
  const heldUp = useHeldUp(keepers.length > 1)
  const [part, setPart] = useState<string | null>(null)
  const [message, setMessage] = useState('')
  // Pairs whose look has no answer yet.
  const [waitingFor, setWaitingFor] = useState<ReadonlySet<string>>(new Set())
  const { trouble } = useOutbox()
  // The look that was given here last: what is said next is said of it.
  const [lastId, setLastId] = useState<string | null>(null)
  const { give, strike, say } = useVisitRecord()
  const { choice, light, prepared, roomDay, settle } = useLight()
  const looks = useLooks(known, roomId)

  const { held, hold, moveOn, problem } = useHeldSample()

  const manner = mannerOf(held, choice.source)
  const out = useMemo(
    () => new Set(candidates.flatMap(({ id, lean }) => (isLeanOut(without, lean) ? [id] : []))),
    [candidates, without],
  )
  const round = useMemo(
    () =>
      roundOf(
        keepers,
        candidates.map(({ id }) => id),
        looks,
        manner,
        roomId,
        out,
      ),
    [keepers, candidates, looks, manner, roomId, out],
  )
  const pairs = useMemo(() => pairsOf(round, keepers, candidates), [round, keepers, candidates])
  // Where nothing was asked for, the round goes on where it was left; from then on only a hand changes the pair.
  const [at, setAt] = useState<Place | null>(
    () => placeInAddress(parameters) ?? round.left[0] ?? null,
  )
  const index = indexOf(pairs, at)
  const pair = pairs[index]!
  const fan = heldUp.isFan
    ? fanOf(pairs, pair, (candidateId) => round.settled.has(candidateId) || out.has(candidateId))
    : []
  const second = heldUp.isTwo
    ? (keepers[(keepers.indexOf(pair.keeper) + 1) % keepers.length] ?? null)
    : null
  const pairLooks = looksAt(looks, pair)
  const pairId = `${pair.keeper.id} ${pair.candidate.id}`
  const last = looks.find(({ id }) => id === lastId)
  // By day; under lamps there is one light.
  const days = useMemo(() => keyLights(roomDay).filter(({ name }) => name !== 'lamps'), [roomDay])
  const hardest = useMemo(() => {
    const lights = days.map(({ prepared: each }) => each)
    if (lights.length === 0) return null
    const { place, isAlike } = lightThatMatters(lights, pair.keeper, candidates)
    return isAlike ? null : days[place]!
  }, [days, pair.keeper, candidates])

  /** The next pair, or of a fan the next candidate in it. */
  const go = (by: number): void => {
    setMessage('')
    const among = heldUp.isFan ? fan : pairs
    show(among[(among.indexOf(pair) + by + among.length) % among.length]!)
  }

  function show({ keeper, candidate }: BenchPair): void {
    setAt({ keeperId: keeper.id, candidateId: candidate.id })
    setPart(null)
    moveOn(candidate.strengthPercent)
    writeAddress({ keeper: keeper.id, candidate: candidate.id })
  }

  function stepTime(by: number): void {
    const minute = Math.min(roomDay.day.lengthMinutes - 1, Math.max(0, choice.minute + by))
    settle({ source: 'room', minute })
  }

  /** The next pair of the round after this one, once this one is ruled on; null where it was the last. */
  function nextAfter(verdict: Verdict): BenchPair | null {
    const isLeft = ({ keeper, candidate }: BenchPair): boolean =>
      round.left.some(
        ({ keeperId, candidateId }) => keeperId === keeper.id && candidateId === candidate.id,
      ) && !(verdict === 'no' && pair.keeper.settles && candidate === pair.candidate)
    return (
      [...pairs.slice(index + 1), ...pairs.slice(0, index)].find(
        (each) => each !== pair && isLeft(each),
      ) ?? null
    )
  }

  const rule = (verdict: Verdict): Promise<void> =>
    keep({ verdict, bestOf: [] }, nextAfter(verdict))

  /** Of all that is held up the one at hand is best; it rules nothing. */
  async function chooseBest(): Promise<void> {
    if (fan.length > 1)
      await keep({ verdict: null, bestOf: fan.map(({ candidate }) => candidate.id) }, null)
  }

  async function keep(
    said: { readonly verdict: Verdict | null; readonly bestOf: readonly string[] },
    next: BenchPair | null,
  ): Promise<void> {
    // Pressed again before there was an answer: it is the same look.
    if (waitingFor.has(pairId)) return retryNow()
    setMessage('')
    setWaitingFor((before) => new Set([...before, pairId]))
    const { candidate } = pair
    const lookId = newId()
    const given = give({
      visitId,
      lookId,
      roomId,
      against: againstKeeper(pair, part),
      candidate: {
        candidateId: candidate.id,
        deckColourId: candidate.deckColourId,
        strengthPercent: candidate.strengthPercent,
        sheen: candidate.sheen,
      },
      seen:
        held.held === null
          ? { as: 'screen' }
          : { as: 'sample', held: held.held, strengthPercent: held.strengthPercent },
      light: lookLight(roomDay, choice, light, held.held === null ? '' : held.place.trim()),
      verdict: said.verdict,
      bestOf: [...said.bestOf],
      reasons: [],
      lean: null,
      note: '',
      client: null,
      // It was shown after each verdict, also one that was taken back.
      modelSeenBefore: pairLooks.some(isVerdict),
      model: prepared && modelThen(readingOf(prepared, pair, part)),
    })
    if (said.verdict !== null) setLastId(lookId)
    // The eye goes on at once; what was given is kept meanwhile.
    if (next) show(next)
    const answer = await given
    setWaitingFor((before) => new Set([...before].filter((each) => each !== pairId)))
    if (!answer.ok) show(pair)
    setMessage(
      answer.ok
        ? [
            'Kept.',
            answer.note,
            next || said.verdict === null ? '' : 'That was the last pair of the round.',
          ]
            .filter(Boolean)
            .join(' ')
        : answer.message,
    )
  }

  async function sayMore(look: ShownLook, said: Sayings): Promise<void> {
    const answer = await say(look, said)
    setMessage(answer.ok ? 'Kept.' : answer.message)
  }

  async function takeBack(look: ShownLook): Promise<void> {
    setMessage('')
    const answer = await strike(look)
    setMessage(answer.ok ? 'Struck out.' : answer.message)
  }

  useKeys(
    {
      ArrowRight: () => go(1),
      ArrowLeft: () => go(-1),
      ',': () => stepTime(-RIBBON_STEP_MINUTES),
      '.': () => stepTime(RIBBON_STEP_MINUTES),
      r: () => settle({ source: 'room' }),
      o: () => settle({ source: 'north' }),
      e: () => settle({ source: 'west' }),
      p: () => roomDay.room.lamps.length > 0 && settle({ source: 'lamps' }),
      h: () => hold(heldAs(held, nextHeld(held.held), pair.candidate.strengthPercent)),
    },
    BENCH_KEYS,
  )

  return (
    <main className="flex min-h-0 flex-1 flex-col max-sm:overflow-y-auto">
      <h1 className="sr-only">Bench</h1>
      <SwatchField
        {...{ pair, fan, second }}
        surround={heldUp.surround}
        isLaidOn={heldUp.isLaidOn && !second}
        around={keepers.filter((each) => each !== pair.keeper && each !== second)}
      />
      <div className="flex flex-col gap-1 px-4 py-1">
        <PairLine
          {...{ pair, index, part, round }}
          hardest={hardest && { name: hardest.name, show: () => settle(hardest.choice) }}
          onGo={go}
          onPart={setPart}
        />
        <Readings pair={pair} looks={pairLooks} onStrike={(look) => void takeBack(look)} />
        {last && isVerdict(last) && (
          <LastLook
            key={last.id}
            look={last}
            of={ofLook(last, keepers, candidates)}
            onSay={(said) => void sayMore(last, said)}
            onStrike={() => void takeBack(last)}
          />
        )}
        {/* On a phone they stay under the thumb, whatever is read above. */}
        <div className="max-sm:sticky max-sm:bottom-0 max-sm:z-10 max-sm:-mx-4 max-sm:bg-paper max-sm:px-2 max-sm:py-1">
          <VerdictKeys onVerdict={(verdict) => void rule(verdict)} />
        </div>
        <div className="flex flex-wrap items-center justify-between gap-x-4 text-fine text-dim">
          <HeldKeys
            sample={held}
            candidatePercent={pair.candidate.strengthPercent}
            onChange={hold}
          />
          <span
            role="status"
            aria-label="What came of it"
            className="text-small font-semibold text-ink"
          >
            {problem || (waitingFor.size > 0 ? (trouble ? NO_ANSWER : 'Keeping') : message)}
          </span>
          <span className="flex flex-wrap justify-end gap-x-4">
            <HoldUpKeys
              {...{ heldUp, fan, second }}
              canBeTwo={keepers.length > 1}
              onBest={() => void chooseBest()}
            />
            <LeanKey {...{ visitId, roomId, without }} lean={pair.candidate.lean} />
          </span>
        </div>
      </div>
    </main>
  )
}

const BENCH_KEYS: KeyWords = [
  ['← →', 'previous pair, next pair'],
  ['H', 'what you look at: the screen, or which sample'],
  [', .', 'ten minutes earlier, later'],
  ['R', 'the room’s own day'],
  ['O', 'the light away from the sun'],
  ['E', 'the evening sun from the west'],
  ['P', 'the lamps alone'],
]
