'use client'

import { useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import type { LightChoice } from '@/core/light/light-choice'
import { rankInWorker } from '@/workers/rank-client'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import { VerdictMark } from '../verdict/verdict-mark'
import type { DeckEntry } from './deck-strips'
import { bestColours, rankRows, type RankedColour } from './room-ranking'

const MOST = 12

export interface RankedAgainst {
  readonly name: string
  readonly reflectance: Reflectance
  readonly weight: number
}

/** The deck ranked for the room: by its weakest pair with what stays, over the room's key lights. */
export function BestHere({
  entries,
  reflectances,
  whiteBase,
  weakestPercent,
  finishes,
  lights,
  onPick,
}: {
  readonly entries: readonly DeckEntry[]
  readonly reflectances: readonly Reflectance[] | null
  readonly whiteBase: Reflectance
  readonly weakestPercent: number
  readonly finishes: readonly RankedAgainst[]
  readonly lights: readonly { readonly name: string; readonly choice: LightChoice }[]
  readonly onPick: (place: number) => void
}) {
  const { roomDay } = useLight()
  const [ranked, setRanked] = useState<readonly RankedColour[] | null>(null)
  const [message, setMessage] = useState('')
  if (finishes.length === 0 || lights.length === 0)
    return (
      <p className="text-small">
        With what stays and a light entered, the deck can be ranked for this room.
      </p>
    )

  async function rank(all: readonly Reflectance[]): Promise<void> {
    setMessage('Ranking')
    const { of, rows } = rankRows(entries, all, whiteBase, weakestPercent)
    const reply = await rankInWorker({
      roomDay,
      lights: lights.map(({ choice }) => choice),
      finishes: finishes.map(({ reflectance, weight }) => ({ reflectance, weight })),
      rows,
    }).catch(() => null)
    setMessage(reply ? '' : 'The ranking stopped; try again.')
    if (reply) setRanked(bestColours(of, rows, reply, MOST))
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
      {ranked && (
        <ol className="mt-2">
          {ranked.map((each) => {
            const entry = entries[each.place]!
            return (
              <li key={each.place}>
                <button
                  type="button"
                  className="flex min-h-14 w-full items-center gap-3 border-b border-rule text-left hover:bg-mist"
                  onClick={() => onPick(each.place)}
                >
                  <RelitPatch reflectance={each.reflectance} className="h-14 w-16 shrink-0" />
                  <VerdictMark verdict={each.verdict} />
                  <span className="text-small">
                    {entry.name} at {each.strengthPercent} %
                    <span className="block text-fine text-dim">
                      {entry.code}; weakest beside {finishes[each.weakestFinish]!.name},{' '}
                      {lights[each.weakestLight]!.name}
                    </span>
                  </span>
                </button>
              </li>
            )
          })}
        </ol>
      )}
    </section>
  )
}
