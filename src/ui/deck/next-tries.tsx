'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { nextTries } from '@/core/ranking/next-try'
import { undertoneOf } from '@/core/undertone/undertone'
import type { RankReply } from '@/workers/rank-protocol'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { DeckEntry } from './deck-strips'
import { seenRows, type RankRow } from './room-ranking'
import { verdictOfGrade } from '@/core/pairing/pair-grade'

const MOST = 3

/** Where the colour at hand does not work in the room: the nearest that do, and where they lie from it. */
export function NextTries({
  ranking: { of, rows, reply },
  entries,
  reflectances,
  picked,
  onPick,
}: {
  readonly ranking: {
    readonly of: readonly RankRow[]
    readonly rows: Float64Array
    readonly reply: RankReply
  }
  readonly entries: readonly DeckEntry[]
  readonly reflectances: readonly Reflectance[] | null
  readonly picked: number
  readonly onPick: (place: number) => void
}) {
  const { prepared } = useLight()
  const full = reflectances?.[picked]
  const tries = useMemo(() => {
    if (!prepared || !full) return []
    const own = of.findIndex(
      ({ place, strengthPercent }) => place === picked && strengthPercent === 100,
    )
    if (own < 0 || verdictOfGrade(reply.worst[own]!) === 'works') return []
    const from = { place: picked, undertone: undertoneOf(prepared, full) }
    return nextTries(from, seenRows(prepared, of, rows), reply.worst, MOST)
  }, [prepared, full, of, rows, reply, picked])
  if (tries.length === 0) return null
  return (
    <section aria-label="Fetch next" className="mt-3">
      <h3 className="text-small font-medium">
        {entries[picked]!.name} does not sit with all that stays. Fetch next:
      </h3>
      <ul>
        {tries.map(({ place, row, words }) => (
          <li key={place}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-3 text-left text-small hover:bg-mist"
              onClick={() => onPick(place)}
            >
              <RelitPatch reflectance={rows.slice(row * 36, row * 36 + 36)} className="h-11 w-16" />
              <span>
                {entries[place]!.name} at {of[row]!.strengthPercent} %
                <span className="block text-fine text-dim">
                  {entries[place]!.code}; {words}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  )
}
