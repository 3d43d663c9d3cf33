'use client'

import { useSurfaceWords } from '../swatch/use-relit'
import { RelitPatch } from '../swatch/relit-patch'
import { JudgementMark } from '../verdict/verdict-mark'
import type { Judgement } from '@/core/pairing/chance'
import type { BenchKeeper, ProposedCandidate } from './bench-model'
import { candidateWords } from './candidate-words'
import { Finish } from './finish'
import { HeldOn, type Surround } from './swatch-field'

/**
 * All candidates in equal widths against one finish, each touching it, in as many rows as they need; what is out is taken away, and the
 * finish shows in its place.
 */
export function SweepField({
  keeper,
  second,
  inHand,
  out,
  atId,
  judged,
  surround,
  around,
  onAt,
}: {
  readonly keeper: BenchKeeper
  /** A finish at their other side. */
  readonly second: BenchKeeper | null
  readonly inHand: readonly ProposedCandidate[]
  readonly out: ReadonlySet<string>
  /** The one that keys speak of. */
  readonly atId: string | null
  /** What the model said, of those that it may speak of. */
  readonly judged: ReadonlyMap<string, Judgement>
  readonly surround: Surround
  readonly around: readonly BenchKeeper[]
  /** One was tapped. */
  readonly onAt: (candidate: ProposedCandidate) => void
}) {
  return (
    <HeldOn {...{ surround, around }} className="flex-col">
      <div className="absolute inset-0">
        <Finish keeper={keeper} />
      </div>
      <div className="min-h-12 flex-[2]" />
      <ul
        aria-label={`In hand beside ${keeper.name}`}
        className="relative grid min-h-0 flex-[3] auto-rows-fr grid-cols-[repeat(auto-fit,minmax(3.5rem,1fr))] gap-y-8"
      >
        {inHand.map((candidate) => (
          <li
            key={candidate.id}
            aria-current={candidate.id === atId ? 'true' : undefined}
            className="min-h-20"
          >
            <InHand
              candidate={candidate}
              isOut={out.has(candidate.id)}
              isAt={candidate.id === atId}
              judged={judged.get(candidate.id) ?? null}
              onPress={() => onAt(candidate)}
            />
          </li>
        ))}
      </ul>
      {second && (
        <div className="relative min-h-12 flex-1">
          <Finish keeper={second} />
        </div>
      )}
    </HeldOn>
  )
}

function InHand({
  candidate,
  isOut,
  isAt,
  judged,
  onPress,
}: {
  readonly candidate: ProposedCandidate
  readonly isOut: boolean
  readonly isAt: boolean
  readonly judged: Judgement | null
  readonly onPress: () => void
}) {
  const words = useSurfaceWords(candidate.reflectance)
  return (
    <button
      type="button"
      className="flex h-full w-full flex-col"
      aria-pressed={isOut}
      aria-label={`${candidateWords(candidate, false)}: ${words}${isOut ? ', out' : ''}`}
      // Enter goes on to the next finish, also after a tap: the focus stays where it was.
      onMouseDown={(event) => event.preventDefault()}
      onClick={onPress}
    >
      <span className="block min-h-0 w-full flex-1">
        {!isOut && <RelitPatch reflectance={candidate.reflectance} className="h-full w-full" />}
      </span>
      <span
        aria-hidden="true"
        className={`flex w-full items-center justify-center gap-1 overflow-hidden py-0.5 text-fine ${isAt ? 'bg-ink text-paper' : 'bg-paper'}`}
      >
        {judged && <JudgementMark judgement={judged} />}
        <span className={`min-w-0 leading-4 ${isOut ? 'line-through' : ''}`}>
          {candidate.code} <span className="whitespace-nowrap">{candidate.strengthPercent} %</span>
        </span>
      </span>
    </button>
  )
}
