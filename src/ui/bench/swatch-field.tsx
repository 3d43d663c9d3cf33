'use client'

import { WHITE_CARD } from '@/core/colour/appearance'
import { flatReflectance, type Reflectance } from '@/core/colour/spectrum'
import { candidateWords } from './candidate-words'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { RelitPatch } from '../swatch/relit-patch'
import { useSurfaceWords } from '../swatch/use-relit'
import type { BenchKeeper, BenchPair } from './bench-model'

// L* 50: what a photographer's mid grey is.
const MID_GREY = flatReflectance(0.184)

export const SURROUNDS = ['card', 'grey', 'room'] as const
/** What lies around a pair: white card, mid grey, or what else stays in the room, by its shares. */
export type Surround = (typeof SURROUNDS)[number]

/**
 * Keeper and candidate edge to edge, one straight seam, a margin of card or grey around both. As a fan several candidates
 * touch, the one in hand stands wide; a second finish stands at their other side. Laid on, the candidate lies in the middle
 * of the finish.
 */
export function SwatchField({
  pair,
  fan,
  second,
  isLaidOn,
  surround,
  around,
}: {
  readonly pair: BenchPair
  /** Pairs that are held up together, the one at hand among them; empty where it is held up alone. */
  readonly fan: readonly BenchPair[]
  readonly second: BenchKeeper | null
  readonly isLaidOn: boolean
  readonly surround: Surround
  /** What else stays in the room. */
  readonly around: readonly BenchKeeper[]
}) {
  const { keeper, candidate } = pair
  return (
    <div className="relative min-h-60 flex-1 overflow-hidden" data-surround={surround}>
      <div className="absolute inset-0">
        {surround === 'room' && around.length > 0 ? (
          <div className="flex h-full">
            {around.map((keeper) => (
              <Finish key={keeper.id} keeper={keeper} />
            ))}
          </div>
        ) : (
          <RelitPatch
            reflectance={surround === 'grey' ? MID_GREY : WHITE_CARD}
            className="h-full w-full"
          />
        )}
      </div>
      <div className="absolute inset-x-6 inset-y-3 flex max-sm:inset-x-3 max-sm:inset-y-3">
        <Finish keeper={keeper} />
        {fan.length === 0 ? (
          <div
            className={isLaidOn ? 'absolute inset-x-[30%] inset-y-[25%]' : 'flex-1'}
            data-testid="candidate-swatch"
          >
            <LabelledPatch reflectance={candidate.reflectance} name={candidateWords(candidate)} />
          </div>
        ) : (
          <ul aria-label="The fan" className="flex flex-[2]">
            {fan.map(({ candidate: each }) => (
              <li
                key={each.id}
                aria-current={each.id === candidate.id ? 'true' : undefined}
                data-testid={each.id === candidate.id ? 'candidate-swatch' : undefined}
                className={each.id === candidate.id ? 'flex-[5]' : 'flex-1'}
              >
                <LabelledPatch reflectance={each.reflectance} name={candidateWords(each)} />
              </li>
            ))}
          </ul>
        )}
        {second && <Finish keeper={second} />}
      </div>
    </div>
  )
}

function Finish({ keeper }: { readonly keeper: BenchKeeper }) {
  return (
    <div className="flex-1">
      <KeeperSwatch colours={keeper.colours} stacked>
        {({ part, reflectance }) => (
          <LabelledPatch reflectance={reflectance} name={`${keeper.name}, ${part}`} />
        )}
      </KeeperSwatch>
    </div>
  )
}

function LabelledPatch({
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
