'use client'

import { useSearchParams } from 'next/navigation'
import { useMemo, useState, useTransition } from 'react'
import type { Reason, Verdict } from '@/core/record/verdict'
import { RIBBON_STEP_MINUTES } from '@/core/light/ribbon'
import { lrvPercent } from '@/core/paint/lrv'
import type { ActionResult } from '../form/action-result'
import { useLight, writeAddress } from '../light-bar/light-context'
import { GamutMark } from '../swatch/patch'
import { useRelitColour, useSurfaceWords } from '../swatch/use-relit'
import {
  benchPairs,
  type BenchCandidate,
  type BenchKeeper,
  type BenchLook,
  type BenchPair,
} from './bench-model'
import { KeyList } from './key-list'
import { Readings } from './readings'
import { SwatchField, type Surround } from './swatch-field'
import { useKeys } from './use-keys'
import { VerdictKeys } from './verdict-keys'

export interface LookInput extends Omit<BenchLook, 'retracted' | 'reasons'> {
  readonly roomId: string
  readonly reasons: Reason[]
}

interface Props {
  readonly roomId: string
  readonly keepers: readonly BenchKeeper[]
  readonly candidates: readonly BenchCandidate[]
  readonly looks: readonly BenchLook[]
  readonly actions: {
    readonly recordLook: (look: LookInput) => Promise<ActionResult>
    readonly undoLook: (id: string) => Promise<ActionResult>
  }
}

/** One pair at a time, as large as the screen allows; the eye rules, then the model shows its reading. */
export function BenchView({ roomId, keepers, candidates, looks, actions }: Props) {
  const pairs = useMemo(() => benchPairs(keepers, candidates), [keepers, candidates])
  const parameters = useSearchParams()
  const [index, setIndex] = useState(() => indexFromAddress(pairs, parameters))
  const [surround, setSurround] = useState<Surround>('card')
  const [message, setMessage] = useState('')
  const [busy, start] = useTransition()
  const { choice, roomDay, settle } = useLight()
  const pair = pairs[Math.min(index, pairs.length - 1)]!
  const pairLooks = looks.filter(
    (look) => look.candidateId === pair.candidate.id && look.keeperId === pair.keeper.id,
  )

  function go(by: number): void {
    const next = (index + by + pairs.length) % pairs.length
    setIndex(next)
    setMessage('')
    writeAddress({ keeper: pairs[next]!.keeper.id, candidate: pairs[next]!.candidate.id })
  }

  function stepTime(by: number): void {
    const minute = Math.min(roomDay.day.lengthMinutes - 1, Math.max(0, choice.minute + by))
    settle({ source: 'room', minute })
  }

  function say(work: () => Promise<ActionResult>, done: string): void {
    setMessage('')
    start(async () => {
      const answer = await work().catch(() => null)
      if (answer?.ok) setMessage(done)
      else setMessage(answer?.message ?? 'Not kept: the server did not answer. Try again.')
    })
  }

  function keep(verdict: Verdict, reasons: readonly Reason[], note: string): void {
    const look: LookInput = {
      id: crypto.randomUUID(),
      candidateId: pair.candidate.id,
      keeperId: pair.keeper.id,
      roomId,
      lightSource: choice.source,
      lightMinute: choice.minute,
      sky: choice.sky,
      lampsOn: choice.lampsOn,
      spot: choice.spot,
      verdict,
      reasons: [...reasons],
      note,
    }
    say(() => actions.recordLook(look), 'Kept.')
  }

  useKeys({
    ArrowRight: () => go(1),
    ArrowLeft: () => go(-1),
    ',': () => stepTime(-RIBBON_STEP_MINUTES),
    '.': () => stepTime(RIBBON_STEP_MINUTES),
    r: () => settle({ source: 'room' }),
    o: () => settle({ source: 'north' }),
    e: () => settle({ source: 'west' }),
    p: () => roomDay.room.lamps.length > 0 && settle({ source: 'lamps' }),
    g: () => setSurround((before) => (before === 'card' ? 'grey' : 'card')),
  })

  return (
    <main className="flex min-h-0 flex-1 flex-col max-sm:overflow-y-auto">
      <h1 className="sr-only">Bench</h1>
      <SwatchField pair={pair} surround={surround} />
      <div className="flex flex-col gap-1 px-4 py-1">
        <PairLine pair={pair} index={index} count={pairs.length} onGo={go} />
        <Readings
          pair={pair}
          looks={pairLooks}
          busy={busy}
          onUndo={(id) => say(() => actions.undoLook(id), 'Struck out.')}
        />
        <VerdictKeys key={`${pair.keeper.id} ${pair.candidate.id}`} busy={busy} onKeep={keep} />
        <div className="flex items-center justify-between gap-4 text-fine text-dim">
          <span>A screen is not paint: rule from boards and eyes.</span>
          <span role="status" className="text-small font-semibold text-ink">
            {busy ? 'Keeping' : message}
          </span>
          <span className="flex gap-4">
            <button
              type="button"
              className="min-h-6 underline underline-offset-4"
              onClick={() => setSurround(surround === 'card' ? 'grey' : 'card')}
            >
              {surround === 'card' ? 'On mid grey' : 'On white card'} <kbd>G</kbd>
            </button>
            <KeyList />
          </span>
        </div>
      </div>
    </main>
  )
}

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
  onGo,
}: {
  readonly pair: BenchPair
  readonly index: number
  readonly count: number
  readonly onGo: (by: number) => void
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
        </span>
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
          {candidate.maker} {candidate.code}, LRV{' '}
          <span data-testid="lrv">{Math.round(lrvPercent(candidate.reflectance))}</span>; {words}{' '}
          <GamutMark colour={colour} />
        </span>
      </p>
    </div>
  )
}
