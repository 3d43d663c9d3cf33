'use client'

import { Popover } from 'radix-ui'
import { useState, type ReactNode } from 'react'
import { useKeys, type KeyWords } from '../keys/use-keys'
import type { BenchKeeper } from './bench-model'
import { SURROUNDS, type Surround } from './swatch-field'

const SURROUND_WORDS: Record<Surround, string> = {
  card: 'White card',
  grey: 'Mid grey',
  room: 'In the room',
  leaving: 'Beside what leaves',
}

const AROUND_WORDS: KeyWords = [
  ['T', 'two finishes at once'],
  ['G', 'white card, mid grey, the room or what leaves around'],
]
const KEY_WORDS: KeyWords = [
  ['Y', 'lay the candidate on the finish'],
  ['J', 'a chip, or the colour on all four walls'],
]

/** How what is in hand is held up: to one finish or between two, beside or on it, and on what. */
export function useHeldUp(canBeTwo: boolean, hasLeaving: boolean) {
  const [isTwo, setIsTwo] = useState(false)
  const [isLaidOn, setIsLaidOn] = useState(false)
  const [surround, setSurround] = useState<Surround>('card')
  const [isOnWalls, setIsOnWalls] = useState(false)
  // What leaves is never beside it unless it is asked for.
  const surrounds = SURROUNDS.filter((each) => each !== 'leaving' || hasLeaving)
  const next = surrounds[(surrounds.indexOf(surround) + 1) % surrounds.length]!
  return {
    isTwo,
    isLaidOn,
    isOnWalls,
    surround,
    /** What lies around it after the next press. */
    next,
    two: () => setIsTwo(!isTwo && canBeTwo),
    layOn: () => setIsLaidOn(!isLaidOn),
    around: () => setSurround(next),
    onWalls: () => setIsOnWalls(!isOnWalls),
  }
}
export type HeldUp = ReturnType<typeof useHeldUp>

/** Another finish beside it, and what lies around: of a sweep and of a pair. */
export function AroundKeys({
  heldUp,
  second,
  canBeTwo,
}: {
  readonly heldUp: HeldUp
  readonly second: BenchKeeper | null
  readonly canBeTwo: boolean
}) {
  return (
    <>
      {canBeTwo && (
        <BenchKey onClick={heldUp.two} letter="T" pressed={heldUp.isTwo}>
          {second ? `And ${second.name}` : 'Two finishes'}
        </BenchKey>
      )}
      <BenchKey onClick={heldUp.around} letter="G">
        {SURROUND_WORDS[heldUp.next]}
      </BenchKey>
    </>
  )
}

/** The keys of it, which work whether they are in sight or not. */
export const useAroundKeys = (heldUp: HeldUp): void =>
  useKeys({ t: heldUp.two, g: heldUp.around }, AROUND_WORDS)

/** The other ways to hold a pair up: one key each, in sight behind one press. */
export function HoldUpKeys({
  heldUp,
  second,
  canBeTwo,
  children,
}: {
  readonly heldUp: HeldUp
  readonly second: BenchKeeper | null
  readonly canBeTwo: boolean
  /** What else there is to do with it. */
  readonly children: ReactNode
}) {
  useAroundKeys(heldUp)
  useKeys({ y: heldUp.layOn, j: heldUp.onWalls }, KEY_WORDS)
  return (
    <Popover.Root>
      <Popover.Trigger className="min-h-9 text-small underline underline-offset-4 pointer-coarse:min-h-11">
        Other ways
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="end"
          collisionPadding={16}
          aria-label="Other ways to hold it up"
          className="z-30 flex flex-col items-start gap-2 border border-ink bg-paper p-3 text-small"
        >
          <AroundKeys {...{ heldUp, second, canBeTwo }} />
          <BenchKey onClick={heldUp.layOn} letter="Y" pressed={heldUp.isLaidOn}>
            Laid on
          </BenchKey>
          <BenchKey onClick={heldUp.onWalls} letter="J" pressed={heldUp.isOnWalls}>
            Four walls
          </BenchKey>
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
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
