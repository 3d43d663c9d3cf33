'use client'

import dynamic from 'next/dynamic'
import { part } from '../frame/part'
import type { AsIf } from '@/core/ranking/what-blocks'
import { leanOf, leanWords, type Lean } from '@/core/undertone/lean'
import type { AtStrength } from '@/workers/rank-protocol'
import type { RankedFor } from './ranked-for'
import { TextKey } from '../form/text-key'
import { Link } from '../frame/page-link'
import type { ListedDecks } from '../deck/listed-decks'
import type { Ranking } from './use-ranking'
import { NOTHING_YET } from '../frame/nothing-yet'

const Blocked = dynamic(() => part(() => import('./blocked').then(({ Blocked }) => Blocked)), {
  loading: NOTHING_YET,
})
const RankedLines = dynamic(
  () => part(() => import('./ranked-lines').then(({ RankedLines }) => RankedLines)),
  {
    loading: NOTHING_YET,
  },
)

/** The best ten, unlike each other, each in one line of its own. */
export function FirstTen({
  decks,
  ranking,
  room,
  picked,
  without,
  ruleSwitch,
  onPick,
  onMoreLike,
  onLean,
  asIf,
  onAsIf,
}: {
  readonly decks: ListedDecks | null
  readonly ranking: Ranking & { readonly stop: () => void; readonly again: () => void }
  readonly room: RankedFor
  readonly picked: AtStrength | null
  readonly without: readonly Lean[]
  /** The rules it goes by, and another school to try. */
  readonly ruleSwitch: React.ReactNode
  readonly onPick: (colour: AtStrength) => void
  readonly onMoreLike: (colour: AtStrength) => void
  /** Takes a lean out of the room, or in again. */
  readonly onLean: (lean: Lean, out: boolean) => void
  /** A change of what stays that the list is shown with, in words. */
  readonly asIf: { readonly words: string } | null
  readonly onAsIf: (as: AsIf | null) => void
}) {
  const { first, done, failed } = ranking
  const lean = decks && picked ? leanOf(decks.undertoneOf(picked.place)) : null
  if (room.finishes.length === 0 || room.lights.length === 0)
    return (
      <div className="flex flex-col items-start gap-2 py-2 text-small">
        <p>The decks are ranked for this room by what stays in it and its light.</p>
        {room.finishes.length === 0 && (
          <Link href="keepers" className="key">
            Enter what stays
          </Link>
        )}
        {room.lights.length === 0 && (
          <Link href="light" className="key">
            Add a window or a lamp
          </Link>
        )}
      </div>
    )
  return (
    <section aria-label="First ten" className="flex flex-col">
      <div className="flex min-h-9 flex-wrap items-center gap-x-4">
        <h2 className="text-title">First ten</h2>
        <span role="status" className="text-fine text-dim">
          {failed
            ? 'The ranking stopped.'
            : done !== null && `Ranking, ${Math.round(100 * done)} %`}
        </span>
        {failed ? (
          <TextKey onClick={ranking.again}>Rank again</TextKey>
        ) : (
          done !== null && <TextKey onClick={ranking.stop}>Stop</TextKey>
        )}
        {decks && picked && (
          <span className="ml-auto flex gap-3">
            <TextKey className="text-fine" onClick={() => onMoreLike(picked)}>
              More like this
            </TextKey>
            {lean && (
              <TextKey className="text-fine" onClick={() => onLean(lean, true)}>
                No {leanWords(lean)}
              </TextKey>
            )}
          </span>
        )}
      </div>
      {asIf && (
        <p className="my-1 border-l-4 border-ink pl-3 text-fine">
          As if {asIf.words}. <TextKey onClick={() => onAsIf(null)}>As it is</TextKey>
        </p>
      )}
      {decks && first && (first.compromise ?? ranking.blocks) && (
        <Blocked
          {...{ decks, room, onAsIf }}
          compromise={first.compromise}
          blocks={ranking.blocks}
        />
      )}
      {without.length > 0 && (
        <p className="text-fine">
          {without.map((lean) => (
            <span key={leanWords(lean)} className="mr-3">
              No {leanWords(lean)}
              {decks && ` (${countOf(decks, lean).toLocaleString('en-GB')} colours)`}.
              <button
                type="button"
                className="ml-1 min-h-11 underline underline-offset-4"
                onClick={() => onLean(lean, false)}
              >
                Bring back<span className="sr-only"> {leanWords(lean)}</span>
              </button>
            </span>
          ))}
        </p>
      )}
      {decks && first && <RankedLines {...{ decks, first, room, picked, onPick }} />}
      {ruleSwitch}
    </section>
  )
}

/** How many colours of the decks are of a lean. */
function countOf(decks: ListedDecks, { lean, strong }: Lean): number {
  return decks.colours.filter(({ place }) => {
    const own = leanOf(decks.undertoneOf(place))
    return own?.lean === lean && own.strong === strong
  }).length
}
