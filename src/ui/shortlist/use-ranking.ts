'use client'

import { useEffect, useMemo, useState } from 'react'
import type { Blocks } from '@/core/ranking/what-blocks'
import type { BestOfColours } from '@/core/ranking/whole-ranking'
import type { Lean } from '@/core/undertone/lean'
import { rankInWorker } from '@/workers/rank-client'
import type { DeckName } from '@/workers/fetch-deck'
import type { FirstRanked } from '@/workers/rank-protocol'
import type { RankedFor } from './ranked-for'
import { useLight } from '../light-bar/light-context'

// So many rows are judged first, and so many laid out: ten, and ten more on request.
const FIRST = 1500
const LAID_OUT = 20

export interface Ranking {
  readonly first: FirstRanked | null
  readonly whole: BestOfColours | null
  /** What blocks, where nothing works with all that stays; null until it is counted. */
  readonly blocks: Blocks | null
  /** How much is done, 0 to 1; null once it ended. */
  readonly done: number | null
  readonly failed: boolean
}

const NOTHING: Ranking = { first: null, whole: null, blocks: null, done: 0, failed: false }

/**
 * The decks ranked for the room in the worker: at once, and anew whenever what stays, the room's lights, the house rules
 * or the leans that are out become others. What the light bar shows changes nothing.
 */
export function useRanking(
  decks: readonly DeckName[],
  room: RankedFor,
  without: readonly Lean[],
): Ranking & { readonly stop: () => void; readonly again: () => void } {
  const { roomDay } = useLight()
  const [turn, setTurn] = useState(0)
  const [state, setState] = useState<Ranking & { readonly key: string }>({ key: '', ...NOTHING })
  // What comes anew from the server and says the same is the same.
  const key = useMemo(
    () => JSON.stringify([turn, decks, without, room, roomDay]),
    [turn, decks, without, room, roomDay],
  )
  const [asked, setAsked] = useState({ key, decks, without, room, roomDay })
  if (asked.key !== key) setAsked({ key, decks, without, room, roomDay })
  const [stopping, setStopping] = useState<{ readonly stop: () => void } | null>(null)
  useEffect(() => {
    const { key: own, room: by } = asked
    if (by.finishes.length === 0 || by.lights.length === 0) return
    const put = (change: Partial<Ranking>): void =>
      setState((before) => ({
        ...(before.key === own ? before : { ...NOTHING }),
        ...change,
        key: own,
      }))
    const stop = rankInWorker(
      {
        decks: asked.decks,
        without: asked.without,
        roomDay: asked.roomDay,
        room: by,
        weakestPercent: by.weakestPercent,
        first: FIRST,
        laidOut: LAID_OUT,
      },
      {
        onProgress: (done) => put({ done }),
        onFirst: (first) => put({ first }),
        onWhole: (whole) => put({ whole, done: null }),
        onBlocks: (blocks) => put({ blocks }),
        onFailure: () => put({ failed: true, done: null }),
      },
    )
    // eslint-disable-next-line react-hooks/set-state-in-effect -- what ends it comes with its start
    setStopping({ stop: () => (stop(), put({ done: null, failed: true })) })
    return stop
  }, [asked])
  const current = state.key === key ? state : NOTHING
  return {
    first: current.first,
    whole: current.whole,
    blocks: current.blocks,
    done: current.done,
    failed: current.failed,
    stop: () => stopping?.stop(),
    again: () => setTurn(turn + 1),
  }
}
