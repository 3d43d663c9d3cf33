'use client'

import { useMemo, useState } from 'react'
import { judgementOf, judgedWords } from '@/core/pairing/chance'
import { atStrength } from '@/core/paint/strength'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { pairingTable } from '@/core/ranking/pairing-table'
import { proposalLines } from '@/core/ranking/proposal-line'
import { WORST_FIRST } from '@/core/record/cell'
import type { EyeSaid, LookedPaint } from '@/core/record/eye-said'
import type { AtStrength, FirstRanked } from '@/workers/rank-protocol'
import { TextKey } from '../form/text-key'
import { useLight } from '../light-bar/light-context'
import { useShown } from '../record/model-shown'
import { TakeKey } from '../record/taking'
import { RelitPatch } from '../swatch/relit-patch'
import { EyeLine } from '../verdict/eye-line'
import { JudgementMark } from '../verdict/verdict-mark'
import type { ListedDecks } from '../deck/listed-decks'
import type { RankedFor } from './ranked-for'

/** The worst that the eye said of a paint in the room; null where it was never looked at here. */
function worstSaid({ eye }: RankedFor, paint: LookedPaint): EyeSaid | null {
  const said = eye.filter(
    (each) =>
      each.deckColourId === paint.deckColourId && each.strengthPercent === paint.strengthPercent,
  )
  return (
    WORST_FIRST.flatMap((verdict) => said.find((each) => each.verdict === verdict) ?? [])[0] ?? null
  )
}

/** What the ranking lays out, each in one line of its own: ten, and ten more on request. */
export function RankedLines({
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
  useShown(
    lines.slice(0, shown).map(({ place, strengthPercent }) => ({
      deckColourId: decks.colours[place]!.id,
      strengthPercent,
    })),
  )
  return (
    <ol aria-label="Laid out">
      {lines.slice(0, shown).map((each) => {
        const { reflectance, called, gift, weakest } = each
        const eye = worstSaid(room, { ...each, deckColourId: decks.colours[each.place]!.id })
        const washesOut = each.against.some((words) => words.startsWith('washes out'))
        const isPicked = picked?.place === each.place
        return (
          <li
            key={each.place}
            className={`relative flex border-b border-rule ${isPicked ? 'bg-mist' : ''}`}
          >
            <button
              type="button"
              aria-pressed={isPicked}
              className="flex min-h-12 min-w-0 flex-1 items-stretch gap-2 text-left hover:bg-mist"
              onClick={() => onPick(each)}
            >
              <RelitPatch reflectance={reflectance} className="w-16 shrink-0" />
              <span className="min-w-0 flex-1 py-0.5 text-fine">
                <span className="flex items-center gap-1 text-small">
                  <JudgementMark judgement={judgementOf(each.chance)} />
                  <span className="min-w-0 flex-1 truncate font-medium">
                    {decks.nameOf(each.place)}
                    {each.strengthPercent !== 100 && `, ${each.strengthPercent} %`}
                  </span>
                  <span className="shrink-0 max-xl:sr-only">{judgedWords(each.chance)}</span>
                </span>
                {eye && <EyeLine said={eye} />}
                <span className="block leading-4">
                  {called}
                  {washesOut && ', washes out in this room'}
                  <span className={isPicked ? undefined : 'sr-only'}>
                    {gift !== null && `, ${gift}`}
                    <span className="text-dim">; {weakest}</span>
                  </span>
                </span>
              </span>
            </button>
            <TakeKey
              short
              className="key w-11 self-stretch border-0 px-0"
              colour={{
                deckColourId: decks.colours[each.place]!.id,
                name: decks.nameOf(each.place),
                strengthPercent: each.strengthPercent,
              }}
            />
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
        <li className="py-2 text-small">No colour in these decks is left for this room.</li>
      )}
    </ol>
  )
}
