'use client'

import { judgementOf } from '@/core/pairing/chance'
import { compromiseWords } from '@/core/ranking/compromise-words'
import type { AsIf, Blocks } from '@/core/ranking/what-blocks'
import type { AtStrength, FirstRanked } from '@/workers/rank-protocol'
import type { ListedDecks } from '../deck/listed-decks'
import { TextKey } from '../form/text-key'
import type { RankedFor } from './ranked-for'

// So many of what blocks are named; who needs more has another problem.
const MOST_NAMED = 4

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
  const nameOf = (id: string): string =>
    room.finishes.find(({ keeperId }) => keeperId === id)?.name ?? ''
  return (
    <section aria-label="What blocks" className="my-1 border-l-4 border-ink pl-3 text-fine">
      <p>
        {blocks && blocks.works > 0
          ? `${paints(blocks.works)} with all that stays, few of the best.`
          : 'Nothing works with all that stays.'}
        {compromise && ` ${compromiseSaid(compromise, decks, room)}`}
      </p>
      {blocks && blocks.blocks.length > 0 && (
        <ul>
          {blocks.blocks.slice(0, MOST_NAMED).map(({ keeperId, without, paintedWhite }) => (
            <li key={keeperId}>
              <span className="font-medium">{nameOf(keeperId)}</span> blocks:{' '}
              {paintedWhite !== null && (
                <>
                  painted clean white, {paints(paintedWhite)}
                  <Show
                    words={`with ${nameOf(keeperId)} painted white`}
                    onShow={() => onAsIf({ keeperId, how: 'painted white' })}
                  />
                  ;{' '}
                </>
              )}
              without it, {without === 1 ? '1 works' : `${without} work`}
              <Show
                words={`without ${nameOf(keeperId)}`}
                onShow={() => onAsIf({ keeperId, how: 'without' })}
              />
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

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

const paints = (count: number): string => (count === 1 ? '1 paint works' : `${count} paints work`)

function Show({ words, onShow }: { readonly words: string; readonly onShow: () => void }) {
  return (
    <TextKey className="ml-1 text-fine" onClick={onShow}>
      Show<span className="sr-only"> the list {words}</span>
    </TextKey>
  )
}
