'use client'

import type { ReactNode } from 'react'
import { WHITE_CARD } from '@/core/colour/appearance'
import { flatReflectance, type Reflectance } from '@/core/colour/spectrum'
import { candidateWords } from './candidate-words'
import { RelitPatch } from '../swatch/relit-patch'
import { useSurfaceWords } from '../swatch/use-relit'
import type { BenchKeeper, BenchPair } from './bench-model'
import { Finish } from './finish'

// L* 50: what a photographer's mid grey is.
const MID_GREY = flatReflectance(0.184)

export const SURROUNDS = ['card', 'grey', 'room', 'leaving'] as const
/** What lies around a pair: white card, mid grey, what else stays in the room, or what is there now and leaves. */
export type Surround = (typeof SURROUNDS)[number]

/** What is held up, with a margin around it of card, grey, or what else stays in the room or leaves it. */
export function HeldOn({
  surround,
  around,
  className = '',
  children,
}: {
  readonly surround: Surround
  /** What else stays in the room, or leaves it, where that is asked for. */
  readonly around: readonly BenchKeeper[]
  /** How what is held up lies on it. */
  readonly className?: string
  readonly children: ReactNode
}) {
  return (
    <div className="relative min-h-56 flex-1 overflow-hidden" data-surround={surround}>
      <div className="absolute inset-0">
        {(surround === 'room' || surround === 'leaving') && around.length > 0 ? (
          <div className="flex h-full">
            {around.map((keeper) => (
              <div key={keeper.id} className="min-w-0 flex-1">
                <Finish keeper={keeper} />
              </div>
            ))}
          </div>
        ) : (
          <RelitPatch
            reflectance={surround === 'grey' ? MID_GREY : WHITE_CARD}
            className="h-full w-full"
          />
        )}
      </div>
      <div className={`absolute inset-x-6 inset-y-3 flex max-sm:inset-x-3 ${className}`}>
        {children}
      </div>
    </div>
  )
}

/**
 * Keeper and candidate edge to edge, one straight seam, a margin of card or grey around both. A second finish stands at the
 * candidate's other side. Laid on, the candidate lies in the middle of the finish.
 */
export function SwatchField({
  pair: { keeper, candidate },
  isNamed,
  second,
  part = null,
  isLaidOn,
  surround,
  around,
}: {
  readonly pair: BenchPair
  /** Whether the candidate is called by its name: names sway, and wait for the verdict. */
  readonly isNamed: boolean
  readonly second: BenchKeeper | null
  /** The part of the finish that is held to it; null for the whole. */
  readonly part?: string | null
  readonly isLaidOn: boolean
  readonly surround: Surround
  readonly around: readonly BenchKeeper[]
}) {
  return (
    <HeldOn {...{ surround, around }}>
      <div className="min-w-0 flex-1">
        <Finish keeper={keeper} part={part} />
      </div>
      <div
        className={isLaidOn ? 'absolute inset-x-[30%] inset-y-[25%]' : 'flex-1'}
        data-testid="candidate-swatch"
      >
        <LabelledPatch
          reflectance={candidate.reflectance}
          name={candidateWords(candidate, isNamed)}
        />
      </div>
      {second && (
        <div className="min-w-0 flex-1">
          <Finish keeper={second} />
        </div>
      )}
    </HeldOn>
  )
}

export function LabelledPatch({
  reflectance,
  name,
}: {
  readonly reflectance: Reflectance
  readonly name: string
}) {
  const words = useSurfaceWords(reflectance)
  return (
    <RelitPatch reflectance={reflectance} label={`${name}: ${words}`} className="h-full w-full" />
  )
}
