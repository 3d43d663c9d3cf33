'use client'

import { useMemo, useState } from 'react'
import { judgementOf } from '@/core/pairing/chance'
import { atStrength } from '@/core/paint/strength'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { pairingTable } from '@/core/ranking/pairing-table'
import { proposalLines } from '@/core/ranking/proposal-line'
import { leanOf, leanWords, type Lean } from '@/core/undertone/lean'
import type { AtStrength, FirstRanked } from '@/workers/rank-protocol'
import type { RankedFor } from './ranked-for'
import { TextKey } from '../form/text-key'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import { JudgementMark } from '../verdict/verdict-mark'
import { compromiseWords } from './compromise-words'
import type { ListedDecks } from './listed-decks'
import type { Ranking } from './use-ranking'

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
}) {
  const { first, done, failed } = ranking
  const lean = decks && picked ? leanOf(decks.undertoneOf(picked.place)) : null
  if (room.finishes.length === 0 || room.lights.length === 0)
    return (
      <p className="text-small">
        With what stays and a light entered, the decks are ranked for this room.
      </p>
    )
  return (
    <section aria-label="First ten" className="flex flex-col">
      <div className="flex min-h-9 items-center gap-4">
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
                None of this lean ({leanWords(lean)})
              </TextKey>
            )}
          </span>
        )}
      </div>
      {first?.compromise && decks && (
        <p className="my-1 border-l-4 border-ink pl-3 text-fine">
          {compromiseWords(first.compromise, decks, room)}
        </p>
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
                In again<span className="sr-only"> {leanWords(lean)}</span>
              </button>
            </span>
          ))}
        </p>
      )}
      {decks && first && <Lines {...{ decks, first, room, picked, onPick, onMoreLike, onLean }} />}
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

function Lines({
  decks,
  first,
  room,
  picked,
  onPick,
}: {
  readonly decks: ListedDecks
  readonly first: FirstRanked
  readonly room: RankedFor
  readonly picked: AtStrength | null
  readonly onPick: (colour: AtStrength) => void
}) {
  const { roomDay } = useLight()
  const [shown, setShown] = useState(10)
  const lines = useMemo(() => {
    const colours = first.laidOut.map((each) => {
      const { whiteBase, source } = decks.colours[each.place]!
      const reflectance = atStrength(
        decks.reflectanceOf(each.place),
        whiteBase,
        each.strengthPercent,
      )
      return { ...each, reflectance, table: pairingTable(room, roomDay, reflectance, source) }
    })
    const lights = rankedRoomOf(room, roomDay).lights.map(({ name }) => name)
    const said = proposalLines(colours, room, lights)
    return colours.map((each, i) => ({ ...each, ...said[i]! }))
  }, [decks, first, room, roomDay])
  return (
    <ol>
      {lines.slice(0, shown).map((each) => {
        const { reflectance, gives, weakest } = each
        const colour = decks.colours[each.place]!
        const isPicked = picked?.place === each.place
        return (
          <li key={each.place} className={`border-b border-rule ${isPicked ? 'bg-mist' : ''}`}>
            <button
              type="button"
              aria-pressed={isPicked}
              className="flex min-h-14 w-full items-stretch gap-2 text-left hover:bg-mist"
              onClick={() => onPick(each)}
            >
              <RelitPatch reflectance={reflectance} className="w-16 shrink-0" />
              <span className="min-w-0 flex-1 py-0.5 text-fine">
                <span className="flex items-center gap-1 text-small">
                  <JudgementMark judgement={judgementOf(each.chance)} />
                  <span className="min-w-0 flex-1 truncate font-medium">
                    {colour.name} {colour.code}, {each.strengthPercent} %
                  </span>
                  <span className="shrink-0">{judgementOf(each.chance)}</span>
                </span>
                <span className="block truncate" title={gives}>
                  {gives}
                </span>
                <span className="block truncate text-dim" title={weakest}>
                  {weakest}
                </span>
              </span>
            </button>
          </li>
        )
      })}
      {lines.length > shown && (
        <li>
          <TextKey onClick={() => setShown(lines.length)}>
            {lines.length - shown === 10 ? 'Ten' : lines.length - shown} more
          </TextKey>
        </li>
      )}
      {first.laidOut.length === 0 && (
        <li className="py-2 text-small">Nothing of these decks is left for this room.</li>
      )}
    </ol>
  )
}
