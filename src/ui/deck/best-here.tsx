'use client'

import { useMemo, useRef, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { chancePercent, judgementOf } from '@/core/pairing/chance'
import { sharesLean } from '@/core/ranking/next-try'
import { reflectanceOfRow, type DeckRows } from '@/core/ranking/rank-for-room'
import { variedFirst } from '@/core/ranking/variety'
import { hueNameAmongKind } from '@/core/undertone/hue-name'
import { undertoneOf, type Undertone } from '@/core/undertone/undertone'
import { rankInWorker } from '@/workers/rank-client'
import type { RankedDeck } from '@/workers/rank-protocol'
import { TextKey } from '../form/text-key'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import { JudgementMark } from '../verdict/verdict-mark'
import type { DeckEntry } from './deck-strips'
import { NextTries } from './next-tries'
import { compromiseWords, deckRows, type RankedFor } from './room-ranking'

const MOST = 12
// So many are ranked that a varied dozen is found among them, leans ruled out or not.
const RANKED = 400

interface Ranking {
  readonly deck: DeckRows
  readonly reply: RankedDeck
}

/** The deck ranked for the room: by its weakest pair with what stays over the room's key lights, and by what it gives. */
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
  readonly onPick: (place: number, strengthPercent: number) => void
}) {
  const { roomDay } = useLight()
  const [ranking, setRanking] = useState<Ranking | null>(null)
  const [ruledOut, setRuledOut] = useState<readonly Undertone[]>([])
  const [message, setMessage] = useState('')
  const [done, setDone] = useState<number | null>(null)
  const running = useRef<AbortController | null>(null)
  const { finishes, lights } = by
  if (finishes.length === 0 || lights.length === 0)
    return (
      <p className="text-small">
        With what stays and a light entered, the deck can be ranked for this room.
      </p>
    )

  async function rank(all: readonly Reflectance[]): Promise<void> {
    running.current = new AbortController()
    setMessage('')
    setDone(0)
    const deck = deckRows(entries, all, whiteBase, by.weakestPercent)
    const reply = await rankInWorker(
      { roomDay, room: by, deck, most: RANKED },
      setDone,
      running.current.signal,
    ).catch(() => null)
    setDone(null)
    if (reply) setRanking({ deck, reply })
    else setMessage('The ranking stopped; press again.')
  }

  return (
    <section aria-label="Best in this room">
      <button
        type="button"
        className="key"
        disabled={!reflectances || done !== null}
        onClick={() => reflectances && void rank(reflectances)}
      >
        Which suit this room?
      </button>
      <span role="status" className="ml-3 text-small">
        {done === null ? message : `Ranking, ${Math.round(100 * done)} %`}
      </span>
      {done !== null && (
        <TextKey className="ml-3" onClick={() => running.current?.abort()}>
          Stop
        </TextKey>
      )}
      {ranking && (
        <>
          <CompromiseLine {...{ ranking, entries, by }} />
          {picked !== null && (
            <NextTries {...{ deck: ranking.deck, by, entries, picked, onPick }} />
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

/** Said aloud where nothing works with all: the best across, what it is weakest beside, whose change would lift it. */
function CompromiseLine({
  ranking: { deck, reply },
  entries,
  by,
}: {
  readonly ranking: Ranking
  readonly entries: readonly DeckEntry[]
  readonly by: RankedFor
}) {
  const words = compromiseWords(reply.compromise, entries, deck, by)
  return words && <p className="mt-2 border-l-4 border-ink pl-3 text-small">{words}</p>
}

function RankedList({
  ranking: { deck, reply },
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
  readonly onPick: (place: number, strengthPercent: number) => void
  readonly onRuleOut: (lean: Undertone) => void
}) {
  const { prepared } = useLight()
  const ranked = useMemo(
    () =>
      prepared
        ? variedFirst(reply.ranked, deck, prepared, MOST, (own) =>
            ruledOut.some((lean) => sharesLean(lean, own)),
          )
        : [],
    [deck, reply, ruledOut, prepared],
  )
  return (
    <ol className="mt-2">
      {ranked.map(({ row, chance, finish, light, reasons }) => {
        const place = deck.places[row]!
        const entry = entries[place]!
        const reflectance = reflectanceOfRow(deck.rows, row)
        return (
          <li key={place} className="border-b border-rule pb-1">
            <button
              type="button"
              className="flex min-h-14 w-full items-start gap-3 pt-1 text-left hover:bg-mist"
              onClick={() => onPick(place, deck.strengthsPercent[row]!)}
            >
              <RelitPatch reflectance={reflectance} className="h-14 w-16 shrink-0" />
              <JudgementMark judgement={judgementOf(chance)} />
              <span className="text-small">
                {entry.name} at {deck.strengthsPercent[row]} %, {judgementOf(chance)}
                {reasons.length > 0 && (
                  <span className="block text-fine">{reasons.join('; ')}</span>
                )}
                <span className="block text-fine text-dim">
                  {entry.code}; weakest beside {by.finishes[finish]!.name} {by.lights[light]!.name},{' '}
                  chance {chancePercent(chance)}
                </span>
              </span>
            </button>
            {prepared && (
              <button
                type="button"
                className="min-h-11 pl-[7.25rem] text-fine underline underline-offset-4"
                aria-label={`No to the lean of ${entry.name}`}
                onClick={() => onRuleOut(undertoneOf(prepared, reflectance))}
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
