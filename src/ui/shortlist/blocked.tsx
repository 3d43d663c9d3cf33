'use client'

import { judgementOf } from '@/core/pairing/chance'
import { compromiseWords } from '@/core/ranking/compromise-words'
import type { AsIf, Blocks } from '@/core/ranking/what-blocks'
import type { AtStrength, FirstRanked } from '@/workers/rank-protocol'
import type { ListedDecks } from '../deck/listed-decks'
import { TextKey } from '../form/text-key'
import type { RankedFor } from './ranked-for'

// So many of what blocks are named; who needs more has another problem.
const MOST_NAMED = 3

/** Said before the list where nothing works with all that stays, or little does: the best there is, then what blocks. */
export function Blocked({
  decks,
  compromise,
  blocks,
  room,
  onAsIf,
}: {
  readonly decks: ListedDecks
  /** Null where something works. */
  readonly compromise: FirstRanked['compromise']
  /** Null until they are counted. */
  readonly blocks: Blocks | null
  readonly room: RankedFor
  readonly onAsIf: (as: AsIf) => void
}) {
  return (
    // As high while it counts, so that the list below stays where it is.
    <section
      aria-label="What blocks"
      className="my-1 min-h-28 border-l-4 border-ink pl-3 text-fine"
    >
      <p>
        {compromise && `${compromiseSaid(compromise, decks, room)} `}
        {blocks ? worksSaid(blocks, decks.colours.length) : 'Counting what works …'}
      </p>
      <ul>
        {blocks?.blocks.slice(0, MOST_NAMED).map(({ keeperId, ...counted }) => {
          const name = room.finishes.find((finish) => finish.keeperId === keeperId)?.name ?? ''
          return (
            <li key={keeperId} className="flex flex-wrap gap-x-4">
              {HOWS.map(([how, field, words]) => {
                const works = counted[field]
                return (
                  works !== null &&
                  works > blocks.works && (
                    <TextKey key={how} onClick={() => onAsIf({ keeperId, how })}>
                      {words(name)}: {numbered(works)}
                    </TextKey>
                  )
                )
              })}
            </li>
          )
        })}
      </ul>
    </section>
  )
}

const HOWS = [
  ['painted white', 'paintedWhite', (name: string) => `${name} painted clean white`],
  ['without', 'without', (name: string) => `Without ${name}`],
] as const

const numbered = (count: number): string => count.toLocaleString('en-GB')

const worksSaid = ({ works, blocks }: Blocks, of: number): string =>
  (works === 0
    ? 'Nothing works with all that stays'
    : `${numbered(works)} of ${numbered(of)} paints ${works === 1 ? 'works' : 'work'} with all that stays`) +
  (blocks.length > 0 ? '; with one change, so many would:' : '.')

function compromiseSaid(
  compromise: NonNullable<FirstRanked['compromise']>,
  decks: ListedDecks,
  room: RankedFor,
): string {
  const called = ({ place, strengthPercent }: AtStrength): string =>
    `${decks.nameOf(place)} at ${strengthPercent} %`
  const { softest } = compromise
  const words = compromiseWords(compromise, called(compromise), room)
  return softest
    ? `${words} Softest with a chance: ${called(softest)}, ${judgementOf(softest.chance)} beside ${room.finishes[softest.finish]!.name}.`
    : words
}
