'use client'

import { useMemo } from 'react'
import { roomAdvice, SAID_FROM } from '@/core/advice/room-advice'
import type { Reflectance } from '@/core/colour/spectrum'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { chanceInRoom } from '@/core/ranking/rank-for-room'
import { companionsOf, otherHuesOfSameLrv, type CompanionPart } from '@/core/scheme/companions'
import { trimsFor, type TrimKind } from '@/core/scheme/trim'
import { deckWords } from '../deck/deck-words'
import { adviceWords, type RankedFor } from '../shortlist/ranked-for'
import { decidingParts } from '../shortlist/deciding-parts'
import type { ListedDecks } from '../deck/listed-decks'
import { useLight } from '../light-bar/light-context'
import { useTradeWords } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'
import { deckIn } from './trial-model'

const TRIM_WORDS: Record<TrimKind, string> = {
  same: 'Same colour',
  'clean-white': 'Clean white',
  'soft-white': 'Softened white',
  relative: 'Two steps away',
  complement: 'A deep complement',
}

const COMPANION_WORDS: Record<CompanionPart, string> = {
  light: 'Light',
  bridging: 'Bridging',
  dark: 'Dark',
  accent: 'Accent',
}

const whole = ({ colours }: ListedDecks, place: number): string => {
  const { name, code, deck } = colours[place]!
  return `${name}, ${deckWords(deck)}, ${code}`
}

/** Trim, companions for the rooms around, and the same lightness in another hue. */
export function GoesWith({
  full,
  decks,
  place,
  room,
  onPick,
}: {
  readonly full: Reflectance
  readonly decks: ListedDecks
  readonly place: number
  readonly room: RankedFor
  readonly onPick: (place: number) => void
}) {
  const inWords = useTradeWords()
  const { prepared, roomDay } = useLight()
  const found = useMemo(() => {
    if (!prepared) return null
    const seen = deckIn(prepared, decks)
    const wall = seen[place]!
    const strip = decks.stripOf(place).places
    const washesOut = roomAdvice(full, room.character, room.rules).some(
      ({ kind, strength }) => kind === 'washes out' && strength >= SAID_FROM,
    )
    const lit = rankedRoomOf(room, roomDay)
    const chance =
      lit.lights.length > 0 && lit.finishes.length > 0 ? chanceInRoom(lit) : () => ({ chance: 1 })
    return {
      trims: trimsFor(wall, seen, strip, room.rules, washesOut),
      companions: companionsOf(wall, seen, {
        chanceWithStaying: (at) =>
          chance(decks.reflectanceOf(at), decks.colours[at]!.source).chance,
        speaksAgainst: (at) => adviceWords(decks.reflectanceOf(at), room).length > 0,
        rules: room.rules,
      }),
      others: otherHuesOfSameLrv(wall, seen),
    }
  }, [prepared, roomDay, full, decks, place, room])
  if (!found) return null
  const [deciding] = decidingParts(room, null)
  return (
    <section aria-label="What goes with it" className="flex flex-col gap-3">
      <div>
        <h2 className="mb-1 text-body leading-6">
          {inWords('Trim')}
          {deciding && `, between the wall and ${deciding.name}`}
        </h2>
        <ul>
          {found.trims.map(({ kind, place: trim, sheen, words }) => (
            <li key={kind} className="flex items-center gap-3 border-b border-rule">
              <span className="flex h-14 w-32 shrink-0">
                <RelitPatch reflectance={full} className="h-full flex-[3]" />
                <RelitPatch reflectance={decks.reflectanceOf(trim)} className="h-full flex-1" />
                {deciding && (
                  <RelitPatch reflectance={deciding.reflectance} className="h-full flex-[2]" />
                )}
              </span>
              <p className="py-1 text-fine">
                <span className="text-small font-medium">{TRIM_WORDS[kind]}</span>
                {kind !== 'same' && `, ${whole(decks, trim)}, ${sheen}`}
                <span className="block text-dim">{words}</span>
              </p>
            </li>
          ))}
        </ul>
      </div>
      <PlaceRow
        name="For the rooms seen from it"
        empty="Nothing of this deck shares its lean at another lightness."
        places={found.companions.map(({ part, place: at }) => [COMPANION_WORDS[part], at] as const)}
        {...{ full, decks, onPick }}
      />
      <PlaceRow
        name="Same lightness, another hue"
        empty="Nothing of this deck is as light and as strong in another hue."
        places={found.others.map((at) => ['', at] as const)}
        {...{ full, decks, onPick }}
      />
    </section>
  )
}

function PlaceRow({
  name,
  empty,
  places,
  decks,
  full,
  onPick,
}: {
  readonly name: string
  readonly empty: string
  readonly places: readonly (readonly [word: string, place: number])[]
  readonly decks: ListedDecks
  readonly full: Reflectance
  readonly onPick: (place: number) => void
}) {
  return (
    <div>
      <h2 className="mb-1 text-body leading-6">{name}</h2>
      {places.length === 0 ? (
        <p className="text-small">{empty}</p>
      ) : (
        <div className="flex items-start">
          <RelitPatch reflectance={full} className="h-16 w-10 shrink-0" />
          {places.map(([word, at]) => (
            <button
              key={at}
              type="button"
              className="flex-1 text-left hover:underline"
              onClick={() => onPick(at)}
            >
              <RelitPatch reflectance={decks.reflectanceOf(at)} className="h-16" />
              <span className="block pt-1 pr-1 text-fine">
                {word && <span className="font-medium">{word} </span>}
                {decks.colours[at]!.name}{' '}
                <span className="text-dim">
                  {deckWords(decks.colours[at]!.deck)}, {decks.colours[at]!.code}
                </span>
              </span>
            </button>
          ))}
        </div>
      )}
    </div>
  )
}
