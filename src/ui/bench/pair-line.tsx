'use client'

import type { KeyLight } from '@/core/light/key-lights'
import { lrvPercent } from '@/core/paint/lrv'
import type { Round } from '@/core/round/round'
import { GamutMark } from '../swatch/patch'
import { useRelitColour, useSurfaceWords } from '../swatch/use-relit'
import type { BenchPair } from './bench-model'
import { PaintLink } from '../frame/paint-link'

/** Which pair is held up, how far the round has come, and the ways on. */
export function PairLine({
  pair,
  index,
  round,
  part,
  hardest,
  isNamed,
  onGo,
  onPart,
}: {
  readonly pair: BenchPair
  /** Whether the candidate is called by its name: names sway, and wait for the verdict. */
  readonly isNamed: boolean
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
          {keeper.state === 'arriving' && 'arriving, judged as if here'}
          {keeper.state !== 'arriving' && keeper.state !== 'staying' && keeper.state}
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
        <span className="relative w-24 text-center text-small leading-4">
          <span data-testid="place">
            {index + 1} of {round.pairs.length}
          </span>
          <span className="sr-only" data-testid="progress">
            {round.left.length === 0
              ? `all ${round.asked} asked`
              : `${round.asked} asked, at most ${round.left.length} to go`}
          </span>
        </span>
        <button type="button" className="key px-3" onClick={() => onGo(1)} aria-label="Next pair">
          →
        </button>
      </div>
      <p className="relative text-right leading-5">
        <span className="font-display text-title leading-6">
          {isNamed ? (
            <PaintLink
              deckColourId={candidate.deckColourId}
              strengthPercent={candidate.strengthPercent}
            >
              {candidate.name}
            </PaintLink>
          ) : (
            candidate.code
          )}{' '}
          at {candidate.strengthPercent} %
        </span>{' '}
        <span className="text-small text-dim">
          {isNamed && `${candidate.code}, `}LRV{' '}
          <span data-testid="lrv">{Math.round(lrvPercent(candidate.reflectance))}</span>
          <span className="sr-only">; {words}</span> <GamutMark colour={colour} />
        </span>
      </p>
    </div>
  )
}
