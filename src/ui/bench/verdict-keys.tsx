'use client'

import { VERDICT_WORDS, type Verdict } from '@/core/record/verdict'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { VerdictMark } from '../verdict/verdict-mark'
import { VERDICT_KEYS } from './bench-model'

const keyWords = (verdicts: readonly Verdict[]): KeyWords =>
  verdicts.map((verdict) => [VERDICT_KEYS[verdict].toUpperCase(), VERDICT_WORDS[verdict]] as const)

/** Verdicts as one row of keys; each is kept at a press. */
export function VerdictKeys<V extends Verdict>({
  verdicts,
  isLocked = false,
  onVerdict,
}: {
  readonly verdicts: readonly V[]
  /** A press rules on nothing, and says why. */
  readonly isLocked?: boolean
  readonly onVerdict: (verdict: V) => void
}) {
  useKeys(
    Object.fromEntries(verdicts.map((each) => [VERDICT_KEYS[each], () => onVerdict(each)])),
    keyWords(verdicts),
  )
  return (
    <div role="group" aria-label="Your verdict" className="flex max-sm:flex-wrap">
      {verdicts.map((each) => (
        <button
          key={each}
          type="button"
          className="key -ml-px min-h-13 flex-1 first:ml-0"
          // A thumb that comes down twice meant it once: the second would rule on a pair nobody has seen.
          onClick={({ detail }) => detail < 2 && onVerdict(each)}
          aria-disabled={isLocked}
          aria-keyshortcuts={VERDICT_KEYS[each]}
        >
          <VerdictMark verdict={each} />
          {VERDICT_WORDS[each]}
          <kbd className="text-fine text-dim">{VERDICT_KEYS[each].toUpperCase()}</kbd>
        </button>
      ))}
    </div>
  )
}
