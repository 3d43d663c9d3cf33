'use client'

import { useMemo, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { hueNameAmongKind } from '@/core/undertone/hue-name'
import type { HouseRules } from '@/core/advice/house-rules'
import { sharesLean } from '@/core/ranking/next-try'
import type { RoomCharacter } from '@/core/advice/room-advice'
import { undertoneOf, type Undertone } from '@/core/undertone/undertone'
import type { LightChoice } from '@/core/light/light-choice'
import { rankInWorker } from '@/workers/rank-client'
import type { RankReply } from '@/workers/rank-protocol'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import { VerdictMark } from '../verdict/verdict-mark'
import type { DeckEntry } from './deck-strips'
import { NextTries } from './next-tries'
import {
  bestColours,
  happyMediumWords,
  heldBackWords,
  rankRows,
  type RankedAgainst,
  type RankRow,
} from './room-ranking'

const MOST = 12

interface Ranking {
  readonly of: readonly RankRow[]
  readonly rows: Float64Array
  readonly reply: RankReply
}

/** What a room is ranked by besides its lights: what stays, what speaks for or against a colour, and the schools. */
export interface RankedFor {
  readonly finishes: readonly RankedAgainst[]
  readonly lights: readonly { readonly name: string; readonly choice: LightChoice }[]
  readonly room: RoomCharacter
  readonly rules: HouseRules
  readonly weakestPercent: number
}

/** The deck ranked for the room: by its weakest pair with what stays, over the room's key lights. */
export function BestHere({
  entries,
  reflectances,
  whiteBase,
  by,
  picked,
  onPick,
}: {
  readonly entries: readonly DeckEntry[]
  readonly reflectances: readonly Reflectance[] | null
  readonly whiteBase: Reflectance
  readonly by: RankedFor
  /** The colour at hand: where it fails, what to fetch next is said. */
  readonly picked: number | null
  readonly onPick: (place: number) => void
}) {
  const { roomDay } = useLight()
  const [ranking, setRanking] = useState<Ranking | null>(null)
  const [ruledOut, setRuledOut] = useState<readonly Undertone[]>([])
  const [message, setMessage] = useState('')
  const { finishes, lights } = by
  if (finishes.length === 0 || lights.length === 0)
    return (
      <p className="text-small">
        With what stays and a light entered, the deck can be ranked for this room.
      </p>
    )

  async function rank(all: readonly Reflectance[]): Promise<void> {
    setMessage('Ranking')
    const { of, rows } = rankRows(entries, all, whiteBase, by.weakestPercent)
    const reply = await rankInWorker({
      roomDay,
      lights: lights.map(({ choice }) => choice),
      finishes: finishes.map(({ keeperId, reflectance, weight, mayBeSetOff }) => ({
        keeperId,
        reflectance,
        weight,
        mayBeSetOff,
      })),
      room: by.room,
      rules: by.rules,
      rows,
    }).catch(() => null)
    setMessage(reply ? '' : 'The ranking stopped; try again.')
    if (reply) setRanking({ of, rows, reply })
  }

  return (
    <section aria-label="Best in this room">
      <button
        type="button"
        className="key"
        disabled={!reflectances}
        onClick={() => reflectances && void rank(reflectances)}
      >
        Which suit this room?
      </button>
      <span role="status" className="ml-3 text-small">
        {message}
      </span>
      {ranking && (
        <>
          <HappyMediumLine {...{ ranking, entries, by }} />
          {picked !== null && (
            <NextTries {...{ ranking, entries, picked, onPick }} reflectances={reflectances} />
          )}
          {ruledOut.length > 0 && (
            <p className="mt-2 text-small">
              No to{' '}
              {[...new Set(ruledOut.map(({ hueDeg }) => hueNameAmongKind(hueDeg)))].join(', ')}{' '}
              leans.
              <button
                type="button"
                className="ml-2 min-h-11 underline underline-offset-4"
                onClick={() => setRuledOut([])}
              >
                Take it back
              </button>
            </p>
          )}
          <RankedList
            {...{ ranking, entries, by, ruledOut, onPick }}
            onRuleOut={(lean) => setRuledOut([...ruledOut, lean])}
          />
        </>
      )}
    </section>
  )
}

/** Said aloud where nothing fits all: the best across, what it is weakest against, whose change would lift it. */
function HappyMediumLine({
  ranking: { of, rows, reply },
  entries,
  by,
}: {
  readonly ranking: Ranking
  readonly entries: readonly DeckEntry[]
  readonly by: RankedFor
}) {
  const { roomDay } = useLight()
  const words = useMemo(
    () => happyMediumWords(reply.happyMedium, { of, rows, entries, roomDay, ...by }),
    [reply, of, rows, entries, roomDay, by],
  )
  return words && <p className="mt-2 border-l-4 border-ink pl-3 text-small">{words}</p>
}

function RankedList({
  ranking: { of, rows, reply },
  entries,
  by,
  ruledOut,
  onPick,
  onRuleOut,
}: {
  readonly ranking: Ranking
  readonly entries: readonly DeckEntry[]
  readonly by: RankedFor
  readonly ruledOut: readonly Undertone[]
  readonly onPick: (place: number) => void
  readonly onRuleOut: (lean: Undertone) => void
}) {
  const { prepared } = useLight()
  const ranked = useMemo(
    () =>
      bestColours(of, rows, reply, MOST, (reflectance) => {
        if (!prepared || ruledOut.length === 0) return false
        const own = undertoneOf(prepared, reflectance)
        return ruledOut.some((lean) => sharesLean(lean, own))
      }),
    [of, rows, reply, ruledOut, prepared],
  )
  return (
    <ol className="mt-2">
      {ranked.map((each) => {
        const entry = entries[each.place]!
        const against = heldBackWords(each.reflectance, by)
        return (
          <li key={each.place} className="flex items-center border-b border-rule">
            <button
              type="button"
              className="flex min-h-14 flex-1 items-center gap-3 text-left hover:bg-mist"
              onClick={() => onPick(each.place)}
            >
              <RelitPatch reflectance={each.reflectance} className="h-14 w-16 shrink-0" />
              <VerdictMark verdict={each.verdict} />
              <span className="text-small">
                {entry.name} at {each.strengthPercent} %{each.degree && `, ${each.degree}`}
                <span className="block text-fine text-dim">
                  {entry.code}; weakest beside {by.finishes[each.weakestFinish]!.name},{' '}
                  {by.lights[each.weakestLight]!.name}
                </span>
                {against && <span className="block text-fine text-dim">Held back: {against}</span>}
              </span>
            </button>
            {prepared && (
              <button
                type="button"
                className="min-h-11 shrink-0 px-2 text-fine underline underline-offset-4"
                aria-label={`No to the lean of ${entry.name}`}
                onClick={() => onRuleOut(undertoneOf(prepared, each.reflectance))}
              >
                No to its lean
              </button>
            )}
          </li>
        )
      })}
    </ol>
  )
}
