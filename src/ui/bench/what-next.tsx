'use client'

import { useEffect, useMemo, useState } from 'react'
import { pairReading } from '@/core/pairing/pair-reading'
import { atStrength } from '@/core/paint/strength'
import type { RoomBrief } from '@/core/ranking/asked-room'
import { compromiseSaid } from '@/core/ranking/compromise-words'
import { refusalOf } from '@/core/record/eye-said'
import { VERDICT_WORDS, type Verdict } from '@/core/record/verdict'
import { nextAfter, rungNext, wishWords } from '@/core/round/next-after'
import { closestSoFar, tonesOut } from '@/core/round/what-stands'
import type { DeckName } from '@/workers/fetch-deck'
import type { Lean } from '@/core/undertone/lean'
import { findInWorker } from '@/workers/rank-client'
import type { AtStrength } from '@/workers/rank-protocol'
import type { ListedDecks } from '../deck/listed-decks'
import { useDecks } from '../deck/use-decks'
import { Link } from '../frame/page-link'
import { useLight } from '../light-bar/light-context'
import { takingUp } from '../record/taking-up'
import { useChange } from '../record/use-change'
import type { ShownLook } from '../record/visit-record'
import { RelitPatch } from '../swatch/relit-patch'
import type { BenchKeeper, ProposedCandidate } from './bench-model'

/** What a room's decks are searched by. */
export interface RoomToSearch {
  readonly names: readonly DeckName[]
  readonly brief: RoomBrief
  readonly weakestPercent: number
  /** Leans that are out of the room. */
  readonly without: readonly Lean[]
}

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly search: RoomToSearch
  /** The look that asks for something else. */
  readonly look: ShownLook & { readonly verdict: Verdict }
  readonly keepers: readonly BenchKeeper[]
  readonly candidates: readonly ProposedCandidate[]
  /** Of the room, oldest first. */
  readonly looks: readonly ShownLook[]
  /** The round is one on the screen: there the screen speaks too. */
  readonly onScreen: boolean
  /** Every pair of the round was asked. */
  readonly isAllAsked: boolean
}

/** A paint to try next, and why it is one. */
interface Try extends AtStrength {
  readonly words: string
}

const WISHES = 2
const OF_EACH = 6

/** After a look that found fault: what to try next, what came closest, and where nothing fits what there is to give up. */
export function WhatNext(props: Props) {
  const { visitId, roomId, search, look, candidates, isAllAsked, onScreen } = props
  const decks = useDecks(search.names)
  const { change, message } = useChange()
  const from = candidates.find(({ id }) => id === look.candidate.candidateId)
  const tries = useTries(decks, from, props)
  const closest = closestSoFar(
    candidates.map(({ id }) => id),
    props.looks,
    onScreen,
  )
  const near = candidates.find(({ id }) => id === closest?.candidateId)
  const isNothing = isAllAsked && closest?.verdict !== 'works'
  if (!from || !decks || (tries.length === 0 && !isNothing && !near)) return null

  const fetch = ({ place, strengthPercent, words }: Try): void =>
    void change(
      'take-up',
      takingUp({
        ...{ visitId, roomId, strengthPercent },
        deckColourId: decks.colours[place]!.id,
        status: 'to fetch',
        reason: `like ${from.name} at ${from.strengthPercent} %, ${words}`,
      }),
      `${decks.nameOf(place)} at ${strengthPercent} % is on the fetch list.`,
    )

  return (
    <section aria-label="What next" className="min-w-60 flex-1 text-small">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {tries.length > 0 && <h3 className="font-semibold">Try next</h3>}
        <ul className="contents">
          {tries.map((each) => (
            <li key={`${each.place} ${each.strengthPercent}`} className="flex items-center gap-2">
              <RelitPatch
                reflectance={atStrength(
                  decks.reflectanceOf(each.place),
                  decks.colours[each.place]!.whiteBase,
                  each.strengthPercent,
                )}
                className="h-9 w-12"
              />
              <span className="leading-4">
                {decks.nameOf(each.place)} at {each.strengthPercent} %
                <span className="block text-fine text-dim">{each.words}</span>
              </span>
              <button
                type="button"
                className="key px-2"
                aria-label={`Fetch ${decks.nameOf(each.place)} at ${each.strengthPercent} %`}
                onClick={() => fetch(each)}
              >
                Fetch
              </button>
            </li>
          ))}
        </ul>
        {near && closest!.verdict !== 'works' && (
          <span className="text-dim">
            Closest so far: {near.name} at {near.strengthPercent} %,{' '}
            {VERDICT_WORDS[closest!.verdict]}
            {onScreen && ', the screen included'}
          </span>
        )}
        <span role="status" className="font-semibold">
          {message}
        </span>
      </div>
      {isNothing && <NothingFits {...props} />}
    </section>
  )
}

/** Real paints of the decks that answer what the look found fault with, the likeliest to sit in the room first. */
function useTries(
  decks: ListedDecks | null,
  from: ProposedCandidate | undefined,
  { search, look, keepers, candidates }: Props,
): readonly Try[] {
  const { prepared } = useLight()
  const [found, setFound] = useState<readonly Try[]>([])
  const { verdict, reasons } = look
  const asked = useMemo(() => nextAfter(verdict, reasons), [verdict, reasons])
  useEffect(() => {
    const place = from && decks?.placeOf(from.deckColourId)
    if (!decks || !from || !prepared || place === null || place === undefined) return
    let isAsked = true
    const own: AtStrength = { place, strengthPercent: from.strengthPercent }
    const isKnown = (each: AtStrength): boolean =>
      candidates.some(
        ({ deckColourId, strengthPercent }) =>
          deckColourId === decks.colours[each.place]!.id &&
          strengthPercent === each.strengthPercent,
      ) ||
      refusalOf(search.brief.eye, {
        deckColourId: decks.colours[each.place]!.id,
        strengthPercent: each.strengthPercent,
      }) !== null
    const chanceOf = ({ place: at, strengthPercent }: AtStrength): number => {
      const { whiteBase, source } = decks.colours[at]!
      const reflectance = atStrength(decks.reflectanceOf(at), whiteBase, strengthPercent)
      return Math.min(
        ...keepers.map(
          (keeper) =>
            pairReading(prepared, { reflectance, source, strengthPercent }, keeper).chance,
        ),
      )
    }
    const rung =
      asked.strength &&
      rungNext(
        from.strengthPercent,
        from.ladder.map((each) => each.strengthPercent),
        asked.strength,
      )
    const byStrength: Try[] = rung
      ? [{ place, strengthPercent: rung, words: `the same, ${asked.strength}` }].filter(
          (each) => !isKnown(each),
        )
      : []
    void Promise.all(
      asked.wishes.slice(0, WISHES).map(async (wish): Promise<Try[]> => {
        const answer = await findInWorker({
          task: 'like',
          decks: search.names,
          weakestPercent: search.weakestPercent,
          from: own,
          wish,
          light: prepared,
          without: search.without,
          willNotHave: search.brief.wishes.willNotHave,
          most: OF_EACH,
        })
        const [best] = (answer ?? [])
          .filter((each) => !isKnown(each))
          .map((each) => ({ each, chance: chanceOf(each) }))
          .sort((p, q) => q.chance - p.chance)
        if (!best) return []
        const besides = best.each.words === 'nothing else' ? '' : `, ${best.each.words}`
        return [{ ...best.each, words: wishWords(wish) + besides }]
      }),
    ).then((wished) => {
      if (isAsked) setFound([...wished.flat(), ...byStrength])
    })
    return () => {
      isAsked = false
    }
  }, [decks, from, prepared, asked, keepers, candidates, search])
  return found
}

/** Every pair was asked and nothing works: the best compromise, which finish rules which tone out, and the way to the shop. */
function NothingFits({ visitId, search, keepers, candidates, looks, onScreen }: Props) {
  const { roomDay } = useLight()
  const words = useMemo(
    () => compromiseSaid(candidates, search.brief, roomDay)?.words ?? '',
    [search, roomDay, candidates],
  )
  const out = tonesOut(
    keepers.map(({ id }) => id),
    candidates,
    looks,
  )
  return (
    <p className="border-l-4 border-ink pl-3">
      Nothing that was held up works here{onScreen && ', as far as a screen tells'}. {words}{' '}
      {out.map(({ keeperId, lean, candidates: count }) => (
        <span key={`${keeperId} ${lean}`}>
          {keepers.find(({ id }) => id === keeperId)?.name} rules out {lean}: all {count} failed
          beside it.{' '}
        </span>
      ))}
      <Link href={`/visits/${visitId}/fetch`} className="underline underline-offset-4">
        Back to the shop: the fetch list
      </Link>
    </p>
  )
}
