'use client'

import { useSearchParams } from 'next/navigation'
import { useMemo, useState } from 'react'
import { MS_PER_MINUTE } from '@/core/light/day-clock'
import { isLampsAlone } from '@/core/light/lamps-alone'
import { RIBBON_STEP_MINUTES } from '@/core/light/ribbon'
import { dateByClock } from '@/core/light/zone-clock'
import type { LightSource } from '@/core/light/light-choice'
import { isVerdict } from '@/core/record/look'
import { againstSaid } from '@/core/record/look-words'
import type { Verdict } from '@/core/record/verdict'
import { lightThatMatters } from '@/core/round/light-that-matters'
import { roundOf, type Round, type RoundManner } from '@/core/round/round'
import { keyLights, type KeyLight } from '@/core/light/key-lights'
import type { Lean } from '@/core/undertone/lean'
import { lrvPercent } from '@/core/paint/lrv'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { useLight, writeAddress } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { NO_ANSWER, retryNow, useOutbox } from '../record/send'
import { useLooks, useVisitRecord, type Sayings, type ShownLook } from '../record/visit-record'
import { GamutMark } from '../swatch/patch'
import { useRelitColour, useSurfaceWords } from '../swatch/use-relit'
import {
  againstKeeper,
  pairsOf,
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
import { heldAs, nextHeld, ON_SCREEN, type HeldSample } from './held-sample'
import { LastLook } from './last-look'
import { Readings } from './readings'
import { SwatchField, type Surround } from './swatch-field'
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

const momentOf = (date: string, minute: number): string => `${date} ${Math.round(minute)}`

/** One pair at a time, as large as the screen allows; the eye rules, then the model shows its reading. */
export function BenchView(props: Props) {
  const { visitId, roomId, keepers, candidates, without, looks: known } = props
  const parameters = useSearchParams()
  const [at, setAt] = useState<Place | null>(() => placeInAddress(parameters))
  const [surround, setSurround] = useState<Surround>('card')
  const [part, setPart] = useState<string | null>(null)
  const [message, setMessage] = useState('')
  // Pairs whose look has no answer yet.
  const [waitingFor, setWaitingFor] = useState<ReadonlySet<string>>(new Set())
  const { trouble } = useOutbox()
  // The look that was given here last: what is said next is said of it.
  const [lastId, setLastId] = useState<string | null>(null)
  const { give, strike, say } = useVisitRecord()
  const { choice, light, prepared, roomDay, zone, settle, showDay } = useLight()
  const looks = useLooks(known, roomId)

  // A sample is seen in the light that is here: once the bar is moved from it, one looks at the screen again.
  const [sample, setSample] = useState(ON_SCREEN)
  const [hereAndNow, setHereAndNow] = useState('')
  const isHere =
    hereAndNow === momentOf(roomDay.day.date, choice.minute) &&
    (choice.source === 'room' || (choice.source === 'lamps' && isLampsAlone(roomDay, choice)))
  const held = sample.held !== null && isHere ? sample : { ...sample, held: null }

  const manner = mannerOf(held, choice.source)
  const round = useMemo(
    () =>
      roundOf(
        keepers,
        candidates.map(({ id }) => id),
        looks,
        manner,
        roomId,
      ),
    [keepers, candidates, looks, manner, roomId],
  )
  const pairs = useMemo(() => pairsOf(round, keepers, candidates), [round, keepers, candidates])
  // Where nothing was asked for, the round goes on where it was left.
  const index = indexOf(pairs, at ?? round.left[0] ?? null)
  const pair = pairs[index]!
  const pairLooks = looksAt(looks, pair)
  const pairId = `${pair.keeper.id} ${pair.candidate.id}`
  const last = looks.find(({ id }) => id === lastId)
  // By day; under lamps there is one light.
  const days = useMemo(() => keyLights(roomDay).filter(({ name }) => name !== 'lamps'), [roomDay])
  const hardest = useMemo(
    () =>
      days.length === 0
        ? null
        : days[
            lightThatMatters(
              days.map(({ prepared: each }) => each),
              pair.keeper,
              candidates,
            )
          ]!,
    [days, pair.keeper, candidates],
  )

  /** Moves the bar to now, by the clock of the place; false where this device is in another year. */
  function moveToNow(): boolean {
    const now = Date.now()
    const day = dateByClock(zone, now)
    if (!day) return false
    const minute = Math.round((now - day.startUtcMs) / MS_PER_MINUTE)
    const source =
      choice.source === 'lamps' && isLampsAlone({ ...roomDay, day }, { ...choice, minute })
        ? 'lamps'
        : 'room'
    showDay(day.date)
    settle({ source, minute })
    setHereAndNow(momentOf(day.date, minute))
    return true
  }

  function hold(to: HeldSample): void {
    setMessage('')
    if (to.held !== null && held.held === null && !moveToNow())
      return setMessage('The clock of this device is far from the visit; a sample is seen now.')
    setSample(to)
  }

  const go = (by: number): void => {
    setMessage('')
    show(pairs[(index + by + pairs.length) % pairs.length]!)
  }

  function show({ keeper, candidate }: BenchPair): void {
    setAt({ keeperId: keeper.id, candidateId: candidate.id })
    setPart(null)
    if (held.held !== null) {
      // Time goes on from pair to pair.
      moveToNow()
      setSample(heldAs(held, held.held, candidate.strengthPercent))
    }
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

  async function rule(verdict: Verdict): Promise<void> {
    // Pressed again before there was an answer: it is the same look.
    if (waitingFor.has(pairId)) return retryNow()
    setMessage('')
    setWaitingFor((before) => new Set([...before, pairId]))
    const { candidate } = pair
    const lookId = newId()
    const next = nextAfter(verdict)
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
      verdict,
      reasons: [],
      lean: null,
      note: '',
      client: null,
      // It was shown after each look, also one that was taken back.
      modelSeenBefore: pairLooks.length > 0,
      model: prepared && modelThen(readingOf(prepared, pair, part)),
    })
    setLastId(lookId)
    // The eye goes on at once; what was given is kept meanwhile.
    if (next) show(next)
    const answer = await given
    setWaitingFor((before) => new Set([...before].filter((each) => each !== pairId)))
    if (!answer.ok) show(pair)
    setMessage(
      answer.ok
        ? ['Kept.', answer.note, next ? '' : 'That was the last pair of the round.']
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
      g: () => setSurround((before) => (before === 'card' ? 'grey' : 'card')),
    },
    BENCH_KEYS,
  )

  return (
    <main className="flex min-h-0 flex-1 flex-col max-sm:overflow-y-auto">
      <h1 className="sr-only">Bench</h1>
      <SwatchField pair={pair} surround={surround} />
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
            {waitingFor.size > 0 ? (trouble ? NO_ANSWER : 'Keeping') : message}
          </span>
          <span className="flex flex-wrap justify-end gap-x-4">
            <LeanKey {...{ visitId, roomId, without }} lean={pair.candidate.lean} />
            <button
              type="button"
              className="min-h-6 underline underline-offset-4"
              onClick={() => setSurround(surround === 'card' ? 'grey' : 'card')}
            >
              {surround === 'card' ? 'On mid grey' : 'On white card'} <kbd>G</kbd>
            </button>
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
  ['G', 'white card or mid grey around'],
]

/** A pair that is asked for; of a candidate alone whichever finish comes first. */
interface Place {
  readonly candidateId: string
  readonly keeperId: string | null
}

function placeInAddress(parameters: URLSearchParams): Place | null {
  const candidateId = parameters.get('candidate')
  return candidateId === null ? null : { candidateId, keeperId: parameters.get('keeper') }
}

function indexOf(pairs: readonly BenchPair[], at: Place | null): number {
  const of = pairs.findIndex(({ candidate }) => candidate.id === at?.candidateId)
  const exact = pairs.findIndex(
    ({ candidate, keeper }) => candidate.id === at?.candidateId && keeper.id === at.keeperId,
  )
  return Math.max(0, exact >= 0 ? exact : of)
}

function mannerOf({ held }: HeldSample, source: LightSource): RoundManner {
  if (held === null) return 'screen'
  return source === 'lamps' ? 'samples under lamps' : 'samples by day'
}

/** What a look was at, by names. */
function ofLook(
  { against, candidate }: ShownLook,
  keepers: readonly BenchKeeper[],
  candidates: readonly ProposedCandidate[],
): string {
  const paint = candidates.find(({ id }) => id === candidate.candidateId)
  const beside = againstSaid(
    against,
    (id) => keepers.find((keeper) => keeper.id === id)?.name ?? 'what was taken out since',
  )
  return `${paint ? `${paint.name} at ${paint.strengthPercent} %` : 'A candidate'} beside ${beside}`
}

function PairLine({
  pair,
  index,
  round,
  part,
  hardest,
  onGo,
  onPart,
}: {
  readonly pair: BenchPair
  readonly index: number
  readonly round: Round
  /** The light by day in which the finish is hardest to live with, and how to stand in it. */
  readonly hardest: { readonly name: KeyLight['name']; readonly show: () => void } | null
  readonly part: string | null
  readonly onGo: (by: number) => void
  readonly onPart: (part: string | null) => void
}) {
  const { keeper, candidate } = pair
  const words = useSurfaceWords(candidate.reflectance)
  const colour = useRelitColour(candidate.reflectance)
  return (
    <div className="grid grid-cols-[1fr_auto_1fr] items-center gap-4 max-sm:grid-cols-2 max-sm:gap-2">
      <p>
        <span className="font-display text-title leading-6">{keeper.name}</span>{' '}
        <span className="text-small text-dim">
          {keeper.state === 'arriving' ? 'arriving, judged as if here' : keeper.state}
        </span>{' '}
        {hardest && (
          <button
            type="button"
            className="min-h-6 text-small underline underline-offset-4"
            onClick={hardest.show}
          >
            hardest {hardest.name === 'sun' ? 'in the low sun' : 'at midday'}
          </button>
        )}{' '}
        {keeper.colours.length > 1 && (
          <select
            aria-label="Held against"
            className="min-h-9 border border-ash bg-paper px-1 text-small"
            value={part ?? ''}
            onChange={(event) => onPart(event.target.value || null)}
          >
            <option value="">the whole</option>
            {keeper.colours.map((colour) => (
              <option key={colour.part}>{colour.part}</option>
            ))}
          </select>
        )}
      </p>
      <div className="flex items-center gap-2 max-sm:order-last max-sm:col-span-2 max-sm:justify-center">
        <button
          type="button"
          className="key px-3"
          onClick={() => onGo(-1)}
          aria-label="Previous pair"
        >
          ←
        </button>
        <span className="w-28 text-center text-small leading-4">
          <span data-testid="place">
            {index + 1} of {round.pairs.length}
          </span>
          <span className="block text-fine text-dim" data-testid="progress">
            {round.left.length === 0
              ? `all ${round.asked} asked`
              : `${round.asked} of about ${round.about}`}
          </span>
        </span>
        <button type="button" className="key px-3" onClick={() => onGo(1)} aria-label="Next pair">
          →
        </button>
      </div>
      <p className="text-right leading-5">
        <span className="font-display text-title leading-6">
          {candidate.name} at {candidate.strengthPercent} %
        </span>{' '}
        <span className="text-small text-dim">
          {candidate.deckName}, {candidate.code}, LRV{' '}
          <span data-testid="lrv">{Math.round(lrvPercent(candidate.reflectance))}</span>; {words}{' '}
          <GamutMark colour={colour} />
        </span>
      </p>
    </div>
  )
}
