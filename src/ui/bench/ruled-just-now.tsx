import { BenchKey } from './hold-up-keys'

/** The key that rules again on a pair that was just ruled on: every letter has its work already. */
export const AGAIN_KEY = '+'

/** What came of a round that is through, and the way to rule again on a pair that was just ruled on. */
export function RuledJustNow({
  came,
  onAgain,
}: {
  /** In words; null while the round goes on. */
  readonly came: string | null
  /** Null where the verdicts' keys are open again. */
  readonly onAgain: (() => void) | null
}) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 text-small">
      {came !== null && (
        <p role="status" aria-label="What came of the round">
          <span className="font-semibold">The round is through.</span> {came}
        </p>
      )}
      {onAgain && (
        <BenchKey onClick={onAgain} letter={AGAIN_KEY}>
          Rule on it again
        </BenchKey>
      )}
    </div>
  )
}
