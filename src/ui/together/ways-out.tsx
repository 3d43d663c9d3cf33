'use client'

import { useMemo } from 'react'
import type { HouseRules } from '@/core/advice/house-rules'
import type { PreparedLight } from '@/core/colour/appearance'
import { lrvPercent } from '@/core/paint/lrv'
import { fromDoorway, waysOut } from '@/core/scheme/doorways'
import { undertoneOf } from '@/core/undertone/undertone'
import type { ListedDecks } from '../deck/listed-decks'
import { Link } from '../frame/page-link'
import { useTradeWords } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'
import { deckIn } from '../trial/trial-model'
import type { LitRoom } from './lit-rooms'

/** Where two rooms clash: the other strength, the other hue, the bridge that would mend it. */
export function WaysOut({
  visitId,
  decks,
  rules,
  pair,
}: {
  readonly visitId: string
  readonly decks: ListedDecks
  readonly rules: HouseRules
  readonly pair: readonly [LitRoom, LitRoom]
}) {
  const inWords = useTradeWords()
  // What is not settled gives way, else what comes second.
  const at = pair[0].walls.status !== 'picked' ? 0 : 1
  const [yields, stays] = [pair[at], pair[1 - at]!]
  const ways = useMemo(() => {
    const lights = fromDoorway([pair[0].lit, pair[1].lit])
    const own = lights[at]!
    const seen = (
      light: PreparedLight,
      reflectance: Float64Array,
      place: number,
      source: LitRoom['walls']['source'],
    ) => ({
      ...{ place, source },
      lrvPercent: lrvPercent(reflectance),
      undertone: undertoneOf(light, reflectance),
    })
    const wallIn = (light: PreparedLight, { walls }: LitRoom) =>
      seen(light, walls.reflectance, decks.placeOf(walls.deckColourId) ?? -1, walls.source)
    const refused = pair.flatMap((room) => room.refused)
    const refusedStrengths = refused
      .filter(({ deckColourId }) => deckColourId === yields.walls.deckColourId)
      .map(({ strengthPercent }) => strengthPercent)
    return waysOut(
      wallIn(lights[1 - at]!, stays),
      wallIn(own, yields),
      deckIn(own, decks),
      yields.walls.ladder
        .filter(
          ({ strengthPercent }) =>
            strengthPercent !== yields.walls.strengthPercent &&
            !refusedStrengths.includes(strengthPercent),
        )
        .map(({ reflectance, source, strengthPercent }) => ({
          ...seen(own, reflectance, -1, source),
          strengthPercent,
        })),
      rules,
      new Set(
        refused
          .filter(({ strengthPercent }) => strengthPercent === 100)
          .flatMap(({ deckColourId }) => decks.placeOf(deckColourId) ?? []),
      ),
    )
  }, [pair, at, stays, yields, decks, rules])
  if (ways.length === 0)
    return (
      <p className="text-small">
        Nothing in these decks mends it: start with another colour in {yields.name}.
      </p>
    )
  return (
    <ul aria-label={`Ways out for ${yields.name}`} className="mt-1 text-small">
      {ways.map(({ kind, strengthPercent, place }) => {
        const rung = yields.walls.ladder.find((each) => each.strengthPercent === strengthPercent)
        const listed = place === null ? null : decks.colours[place]!
        const reflectance =
          rung?.reflectance ?? (place === null ? null : decks.reflectanceOf(place))
        return (
          <li key={kind} className="flex items-center gap-3 py-0.5">
            {reflectance && <RelitPatch reflectance={reflectance} className="h-11 w-16 shrink-0" />}
            <span>
              <span className="font-medium">{kind}</span>
              {kind === 'a bridge'
                ? inWords(' between them, for door, trim or passage: ')
                : ` in ${yields.name}: `}
              {listed
                ? `${listed.code}, ${listed.name}`
                : `${yields.walls.name} at ${strengthPercent} %`}
            </span>
          </li>
        )
      })}
      <li>
        <Link
          href={`/visits/${visitId}/rooms/${yields.id}/shortlist`}
          className="underline underline-offset-4"
        >
          To the shortlist of {yields.name}
        </Link>
      </li>
    </ul>
  )
}
