'use client'

import { useSearchParams } from 'next/navigation'
import { useMemo, useState } from 'react'
import { MS_PER_MINUTE } from '@/core/light/day-clock'
import { isLampsAlone } from '@/core/light/lamps-alone'
import { RIBBON_STEP_MINUTES } from '@/core/light/ribbon'
import { dateByClock } from '@/core/light/zone-clock'
import type { Lean } from '@/core/undertone/lean'
import { lrvPercent } from '@/core/paint/lrv'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { useLight, writeAddress } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { NO_ANSWER, retryNow, useOutbox } from '../record/send'
import { useLooks, useVisitRecord, type ShownLook } from '../record/visit-record'
import { GamutMark } from '../swatch/patch'
import { useRelitColour, useSurfaceWords } from '../swatch/use-relit'
import {
  againstKeeper,
  benchPairs,
  lookLight,
  looksAt,
  modelThen,
  readingOf,
  type BenchKeeper,
  type BenchPair,
  type ProposedCandidate,
  type Said,
} from './bench-model'
import { LeanKey } from './lean-key'
import { HeldKeys } from './held-keys'
import { heldAs, nextHeld, ON_SCREEN, type HeldSample } from './held-sample'
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
  const pairs = useMemo(() => benchPairs(keepers, candidates), [keepers, candidates])
  const parameters = useSearchParams()
  const [index, setIndex] = useState(() => indexFromAddress(pairs, parameters))
  const [surround, setSurround] = useState<Surround>('card')
  const [part, setPart] = useState<string | null>(null)
  const [message, setMessage] = useState('')
  // Pairs whose look has no answer yet.
  const [waitingFor, setWaitingFor] = useState<ReadonlySet<string>>(new Set())
  const { trouble } = useOutbox()
  const { give, strike } = useVisitRecord()
  const { choice, light, prepared, roomDay, zone, settle, showDay } = useLight()
  const pair = pairs[Math.min(index, pairs.length - 1)]!
  const pairLooks = looksAt(useLooks(known, roomId), pair)
  const pairId = `${pair.keeper.id} ${pair.candidate.id}`
  const busy = waitingFor.has(pairId)

  // A sample is seen in the light that is here: once the bar is moved from it, one looks at the screen again.
  const [sample, setSample] = useState(ON_SCREEN)
  const [hereAndNow, setHereAndNow] = useState('')
  const isHere =
    hereAndNow === momentOf(roomDay.day.date, choice.minute) &&
    (choice.source === 'room' || (choice.source === 'lamps' && isLampsAlone(roomDay, choice)))
  const held = sample.held !== null && isHere ? sample : { ...sample, held: null }

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

  function go(by: number): void {
    const next = (index + by + pairs.length) % pairs.length
    setIndex(next)
    setPart(null)
    setMessage('')
    const { keeper, candidate } = pairs[next]!
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

  async function keep(said: Said): Promise<boolean> {
    // Pressed again before there was an answer: it is the same look.
    if (busy) {
      retryNow()
      return false
    }
    setMessage('')
    setWaitingFor((before) => new Set([...before, pairId]))
    const { candidate } = pair
    const answer = await give({
      visitId,
      lookId: newId(),
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
      ...said,
      reasons: [...said.reasons],
      // It was shown after each look, also one that was taken back.
      modelSeenBefore: pairLooks.length > 0,
      model: prepared && modelThen(readingOf(prepared, pair, part)),
    })
    setWaitingFor((before) => new Set([...before].filter((each) => each !== pairId)))
    setMessage(answer.ok ? ['Kept.', answer.note].filter(Boolean).join(' ') : answer.message)
    return answer.ok
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
        <PairLine {...{ pair, index, part }} count={pairs.length} onGo={go} onPart={setPart} />
        <Readings
          pair={pair}
          looks={pairLooks}
          busy={busy}
          onStrike={(look) => void takeBack(look)}
        />
        <HeldKeys sample={held} candidatePercent={pair.candidate.strengthPercent} onChange={hold} />
        {/* On a phone they stay under the thumb, whatever is read above. */}
        <div className="max-sm:sticky max-sm:bottom-0 max-sm:z-10 max-sm:-mx-4 max-sm:bg-paper max-sm:px-2 max-sm:py-1">
          <VerdictKeys key={pairId} busy={busy} onKeep={keep} />
        </div>
        <div className="flex items-center justify-between gap-4 text-fine text-dim">
          <span>A screen is not paint: rule from boards and eyes.</span>
          <span
            role="status"
            aria-label="What came of it"
            className="text-small font-semibold text-ink"
          >
            {busy ? (trouble ? NO_ANSWER : 'Keeping') : message}
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

function indexFromAddress(pairs: readonly BenchPair[], parameters: URLSearchParams): number {
  const candidate = parameters.get('candidate')
  const keeper = parameters.get('keeper')
  const exact = pairs.findIndex(
    (pair) => pair.candidate.id === candidate && pair.keeper.id === keeper,
  )
  if (exact >= 0) return exact
  return Math.max(
    0,
    pairs.findIndex((pair) => pair.candidate.id === candidate),
  )
}

function PairLine({
  pair,
  index,
  count,
  part,
  onGo,
  onPart,
}: {
  readonly pair: BenchPair
  readonly index: number
  readonly count: number
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
        <span className="w-20 text-center text-small" data-testid="place">
          {index + 1} of {count}
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
