'use client'

import dynamic from 'next/dynamic'
import { part } from '../frame/part'
import { Tabs } from 'radix-ui'
import { useMemo, useState } from 'react'
import { atStrength } from '@/core/paint/strength'
import type { Against, LeanWord } from '@/core/record/look'
import { isRuledOut, type Lean } from '@/core/undertone/lean'
import type { DeckName } from '@/workers/fetch-deck'
import type { AtStrength, FirstRanked } from '@/workers/rank-protocol'
import { lookLight } from '../bench/bench-model'
import { useLight } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { useVisitRecord } from '../record/visit-record'
import { deckWords } from '../deck/deck-words'
import type { BesideColour } from './beside-colour'
import { decidingParts } from './deciding-parts'
import type { ListedDecks } from '../deck/listed-decks'
import type { TakenCandidate } from './proposal-line'
import type { RankedFor } from './ranked-for'
import type { Part } from './parts'
import { NOTHING_YET } from '../frame/nothing-yet'

const Beside = dynamic(() => part(() => import('./beside').then(({ Beside }) => Beside)), {
  loading: NOTHING_YET,
})
const LikeThisBut = dynamic(
  () => part(() => import('./like-this').then(({ LikeThisBut }) => LikeThisBut)),
  {
    loading: NOTHING_YET,
  },
)
const Strengths = dynamic(
  () => part(() => import('./strengths').then(({ Strengths }) => Strengths)),
  {
    loading: NOTHING_YET,
  },
)
const Why = dynamic(() => part(() => import('./why').then(({ Why }) => Why)), {
  loading: NOTHING_YET,
})
const FetchNext = dynamic(
  () => part(() => import('./fetch-next').then(({ FetchNext }) => FetchNext)),
  {
    loading: NOTHING_YET,
  },
)

/** What can be asked of the colour at hand: each part is loaded when it is first opened. */
export function ColourParts({
  decks,
  names,
  at,
  room,
  part,
  candidates,
  visitId,
  roomId,
  without,
  first,
  onPick,
}: {
  readonly decks: ListedDecks
  readonly first: FirstRanked | null
  readonly names: readonly DeckName[]
  readonly at: AtStrength
  readonly room: RankedFor
  readonly part: Part
  readonly candidates: readonly TakenCandidate[]
  readonly visitId: string
  readonly roomId: string
  readonly without: readonly Lean[]
  readonly onPick: (colour: AtStrength) => void
}) {
  const { roomDay, choice, light } = useLight()
  const { give } = useVisitRecord()
  const [laid, setLaid] = useState<readonly BesideColour[]>([])
  const colour = decks.colours[at.place]!
  const full = decks.reflectanceOf(at.place)
  const reflectance = useMemo(
    () => atStrength(full, colour.whiteBase, at.strengthPercent),
    [full, colour, at.strengthPercent],
  )
  const candidate = candidates.find(
    (each) => each.deckColourId === colour.id && each.strengthPercent === at.strengthPercent,
  )
  const beside = laid.filter(({ id }) => id !== colour.id)
  const deciding = useMemo(() => decidingParts(room, first), [room, first])
  const swatch = (place: number): BesideColour => {
    const { id, name, code, deck } = decks.colours[place]!
    return {
      id,
      label: `${name} ${code}`,
      deck: deckWords(deck),
      reflectance: decks.reflectanceOf(place),
    }
  }

  async function see(against: Against, lean: LeanWord): Promise<boolean> {
    if (!candidate) return false
    const proposal = candidate.proposals.find((each) => each.roomId === roomId)
    const answer = await give({
      visitId,
      lookId: newId(),
      roomId,
      candidate: {
        candidateId: candidate.id,
        deckColourId: candidate.deckColourId,
        strengthPercent: candidate.strengthPercent,
        sheen: proposal?.sheen ?? 'matt',
      },
      against,
      seen: { as: 'screen' },
      light: lookLight(roomDay, choice, light, ''),
      verdict: null,
      reasons: [],
      lean,
      note: '',
      client: null,
      modelSeenBefore: false,
      model: null,
    })
    return answer.ok
  }

  const strip = decks.stripOf(at.place)
  const offered = [
    ...strip.places,
    ...candidates.flatMap(({ deckColourId }) => {
      return decks.placeOf(deckColourId) ?? []
    }),
  ].filter(
    (place, i, all) =>
      place !== at.place &&
      beside.every(({ id }) => id !== decks.colours[place]!.id) &&
      all.indexOf(place) === i,
  )
  return (
    <>
      <Tabs.Content value="beside" className={PART_CLASS}>
        {part === 'beside' && (
          <Beside
            main={{
              id: 'main',
              label: `${colour.name} ${colour.code}, ${at.strengthPercent} %`,
              deck: deckWords(colour.deck),
              reflectance,
            }}
            others={beside}
            offered={offered.slice(0, 14).map(swatch)}
            trims={room.finishes.filter(({ role }) => role.kind === 'trim')}
            onAdd={(paint) => setLaid([...laid.filter(({ id }) => id !== paint.id), paint])}
            onTakeAway={(away) => setLaid(laid.filter(({ id }) => id !== away))}
            onSee={candidate ? see : null}
          />
        )}
      </Tabs.Content>
      <Tabs.Content value="like" className={PART_CLASS}>
        {part === 'like' && (
          <LikeThisBut
            key={`${at.place} ${at.strengthPercent}`}
            {...{ decks, names, room, without, onPick }}
            from={at}
          />
        )}
      </Tabs.Content>
      <Tabs.Content value="strengths" className={PART_CLASS}>
        {part === 'strengths' && (
          <Strengths
            {...{ colour, full, deciding }}
            weakestPercent={room.weakestPercent}
            atPercent={at.strengthPercent}
            onShow={(strengthPercent) => onPick({ place: at.place, strengthPercent })}
          />
        )}
      </Tabs.Content>
      <Tabs.Content value="why" className={PART_CLASS}>
        {part === 'why' && (
          <>
            {isRuledOut(without, decks.undertoneOf(at.place)) && (
              <p className="mb-2 text-small font-medium">Its lean is out of this room.</p>
            )}
            <Why
              {...{ reflectance, room }}
              paint={{ deckColourId: colour.id, strengthPercent: at.strengthPercent }}
              source={colour.source}
            />
            <FetchNext
              key={`${at.place} ${at.strengthPercent}`}
              {...{ decks, names, room, without, onPick }}
              from={at}
            />
          </>
        )}
      </Tabs.Content>
    </>
  )
}

const PART_CLASS =
  'min-h-0 flex-1 overflow-y-auto px-4 py-3 data-[state=inactive]:hidden print:overflow-visible'
