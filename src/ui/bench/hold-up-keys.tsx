'use client'

import { useState, type ReactNode } from 'react'
import { useKeys, type KeyWords } from '../keys/use-keys'
import type { BenchKeeper, BenchPair } from './bench-model'
import { SURROUNDS, type Surround } from './swatch-field'

const SURROUND_WORDS: Record<Surround, string> = {
  card: 'White card',
  grey: 'Mid grey',
  room: 'In the room',
  leaving: 'Beside what leaves',
}

const KEY_WORDS: KeyWords = [
  ['F', 'the fan: up to ten past one finish'],
  ['B', 'the best of these'],
  ['T', 'two finishes at once'],
  ['Y', 'lay the candidate on the finish'],
  ['G', 'white card, mid grey, the room or what leaves around'],
  ['J', 'a chip, or the colour on all four walls'],
]

/** How a pair is held up: alone or in a fan, to one finish or between two, beside or on it, and on what. */
export function useHeldUp(canBeTwo: boolean, hasLeaving: boolean) {
  const [isFan, setIsFan] = useState(false)
  const [isTwo, setIsTwo] = useState(false)
  const [isLaidOn, setIsLaidOn] = useState(false)
  const [surround, setSurround] = useState<Surround>('card')
  const [isOnWalls, setIsOnWalls] = useState(false)
  // What leaves is never beside it unless it is asked for.
  const surrounds = SURROUNDS.filter((each) => each !== 'leaving' || hasLeaving)
  const next = surrounds[(surrounds.indexOf(surround) + 1) % surrounds.length]!
  return {
    isFan,
    isTwo,
    isLaidOn,
    isOnWalls,
    surround,
    /** What lies around it after the next press. */
    next,
    fan: () => setIsFan(!isFan),
    two: () => setIsTwo(!isTwo && canBeTwo),
    layOn: () => setIsLaidOn(!isLaidOn),
    around: () => setSurround(next),
    onWalls: () => setIsOnWalls(!isOnWalls),
  }
}

/** The keys of it. */
export function HoldUpKeys({
  heldUp,
  fan,
  second,
  canBeTwo,
  onBest,
}: {
  readonly heldUp: ReturnType<typeof useHeldUp>
  readonly fan: readonly BenchPair[]
  readonly second: BenchKeeper | null
  readonly canBeTwo: boolean
  /** The one at hand is the best of the fan. */
  readonly onBest: () => void
}) {
  useKeys(
    {
      f: heldUp.fan,
      t: heldUp.two,
      b: onBest,
      y: heldUp.layOn,
      g: heldUp.around,
      j: heldUp.onWalls,
    },
    KEY_WORDS,
  )
  return (
    <>
      {fan.length > 1 && (
        <BenchKey onClick={onBest} letter="B">
          Best of these {fan.length}
        </BenchKey>
      )}
      <BenchKey onClick={heldUp.fan} letter="F" pressed={heldUp.isFan}>
        Fan
      </BenchKey>
      {canBeTwo && (
        <BenchKey onClick={heldUp.two} letter="T" pressed={heldUp.isTwo}>
          {second ? `And ${second.name}` : 'Two finishes'}
        </BenchKey>
      )}
      <BenchKey onClick={heldUp.layOn} letter="Y" pressed={heldUp.isLaidOn}>
        Laid on
      </BenchKey>
      <BenchKey onClick={heldUp.around} letter="G">
        {SURROUND_WORDS[heldUp.next]}
      </BenchKey>
      <BenchKey onClick={heldUp.onWalls} letter="J" pressed={heldUp.isOnWalls}>
        Four walls
      </BenchKey>
    </>
  )
}

/** A key of the bench with its letter. */
export function BenchKey({
  letter,
  pressed,
  onClick,
  children,
}: {
  readonly letter: string
  readonly pressed?: boolean
  readonly onClick: () => void
  readonly children: ReactNode
}) {
  return (
    <button
      type="button"
      className="min-h-6 underline underline-offset-4 pointer-coarse:min-h-11 aria-pressed:font-semibold aria-pressed:text-ink"
      aria-pressed={pressed}
      onClick={onClick}
    >
      {children} <kbd>{letter}</kbd>
    </button>
  )
}
