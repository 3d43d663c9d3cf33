'use client'

import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { useMemo, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import type { ReadingSource } from '@/core/paint/reading'
import type { DeckName } from '@/workers/fetch-deck'
import type { RoomDay } from '@/core/light/light-choice'
import type { RoomBrief } from '@/core/ranking/asked-room'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import { deckWords } from '../deck/deck-words'
import type { RankedFor } from '../shortlist/ranked-for'
import { useRankedFor } from '../shortlist/use-ranked-for'
import { adviceWords } from '../shortlist/ranked-for'
import { writeAddress } from '../frame/page-address'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { GamutMark } from '../swatch/patch'
import { useRelitColour } from '../swatch/use-relit'
import { EyeLine } from '../verdict/eye-line'
import { JudgementMark } from '../verdict/verdict-mark'
import type { ListedAt, ListedDecks } from '../deck/listed-decks'
import { InRooms, type HouseRoom } from '../shortlist/other-rooms'
import { Search } from '../deck/search'
import { useDecks } from '../deck/use-decks'
import { eyeOf, type EyeSaid, type LookedPaint } from '@/core/record/eye-said'
import { useShown } from '../record/model-shown'
import { GoesWith } from './goes-with'
import { OfThisVisit } from './of-this-visit'
import { SwatchRow } from './swatch-row'
import { Figures } from '../form/figures'
import {
  besideStaying,
  dayWords,
  doorOutside,
  finishWords,
  inSheens,
  leanFigures,
  leanWords,
  lightsOfDay,
  lrvWords,
  offBlackWords,
  onTheWalls,
  sheenAdvice,
} from './trial-model'

interface Props {
  readonly decks: readonly DeckName[]
  /** The colour that the address names. */
  readonly opening: { readonly deckId: string | null; readonly code: string } | null
  /** What the room is ranked by: its wishes, its schools, what stays. */
  readonly brief: RoomBrief
  readonly weakestPercent: number
  /** The visit's own colours, by their deck colours: what can be tried before anything is typed. */
  readonly own: readonly string[]
  /** What stays. */
  readonly keepers: readonly (JudgedKeeper & { readonly id: string })[]
  /** Every room of the house, this one among them. */
  readonly rooms: readonly HouseRoom[]
}

/** One colour on trial: where it turns, what it asks of light, finishes and trim, what goes with it, where it holds. */
export function TrialView({
  decks: names,
  opening,
  brief,
  weakestPercent,
  own,
  keepers,
  rooms,
}: Props) {
  const room = useRankedFor(brief, weakestPercent)
  const decks = useDecks(names)
  const [chosen, setChosen] = useState<number | null>(null)
  const opened = useMemo(() => {
    if (!decks || !opening) return null
    const at = decks.colours.findIndex(
      ({ code, deck }) =>
        code === opening.code && (opening.deckId === null || deck.id === opening.deckId),
    )
    return at < 0 ? null : at
  }, [decks, opening])
  const place = chosen ?? opened
  useShown(
    decks && place !== null
      ? [{ deckColourId: decks.colours[place]!.id, strengthPercent: 100 }]
      : [],
  )
  function choose(to: number): void {
    setChosen(to)
    const { code, deck } = decks!.colours[to]!
    writeAddress({ deck: deck.id, colour: code })
  }
  const colour = decks && place !== null ? decks.colours[place]! : null
  return (
    <main className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <h1 className="text-head">
          {colour ? colour.name : 'One colour on trial'}{' '}
          {colour && (
            <span className="font-text text-small text-dim">
              {deckWords(colour.deck)}, {colour.code}, {colour.base} base, at full strength
            </span>
          )}
        </h1>
        <Search decks={decks} onPick={choose} />
      </div>
      {decks && colour && place !== null ? (
        <Trial
          full={decks.reflectanceOf(place)}
          {...{ colour, decks, place, room, keepers, rooms }}
          onPick={choose}
        />
      ) : (
        !opening && (
          <>
            <p>
              The colour the client loves: type its code or name, and see what it asks of this room.
            </p>
            {decks && <OfThisVisit {...{ decks, own }} onPick={choose} />}
          </>
        )
      )}
    </main>
  )
}

function Trial({
  colour: { source },
  full,
  decks,
  place,
  room,
  keepers,
  rooms,
  onPick,
}: {
  readonly colour: ListedAt
  readonly full: Reflectance
  readonly decks: ListedDecks
  readonly place: number
  readonly room: RankedFor
  readonly keepers: readonly (JudgedKeeper & { readonly id: string })[]
  readonly rooms: readonly HouseRoom[]
  readonly onPick: (place: number) => void
}) {
  const { roomDay, choice, light, prepared } = useLight()
  const colour = useRelitColour(full)
  const colourId = decks.colours[place]!.id
  const paint = useMemo(
    (): LookedPaint => ({ deckColourId: colourId, strengthPercent: 100 }),
    [colourId],
  )
  const day = useMemo(() => lightsOfDay(roomDay, choice.sky), [roomDay, choice.sky])
  const daySaid = useMemo(() => dayWords(day, full, roomDay.day), [day, full, roomDay.day])
  if (!light || !prepared) return <p>Too dark to see it. Step to another hour, or add a lamp.</p>
  const { rules } = room
  const advice = adviceWords(full, room)
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1.1fr_1fr_1.1fr]">
      <section aria-label="On the wall" className="flex flex-col gap-4">
        <OnTheWalls full={full} roomDay={roomDay} />
        <p className="text-small">{sheenAdvice(prepared, full, rules)}</p>
      </section>
      <section aria-label="What it does" className="flex flex-col gap-3">
        <Said
          name="In this light"
          sentences={[
            leanWords(prepared, full, rules),
            lrvWords(full, room.finishes),
            offBlackWords(full),
          ].filter(Boolean)}
        />
        <Figures>{leanFigures(prepared, full, source)}</Figures>
        <GamutMark colour={colour} />
        <Said name="Through the day" sentences={daySaid} />
        <BesideStaying {...{ full, keepers, paint }} eye={room.eye} source={source} />
        <Said
          name="What it asks of finishes"
          sentences={finishWords(prepared, { reflectance: full, source }, rules, keepers)}
        />
        <Said
          name="In this room"
          sentences={
            advice.length > 0
              ? advice.map((words) => `It ${words}.`)
              : ['Nothing in its light speaks against it.']
          }
        />
      </section>
      <div className="flex flex-col gap-3">
        <GoesWith {...{ full, decks, place, room, onPick }} />
        <section aria-label="In the rooms of this house" className="border-t border-ink pt-2">
          <h2 className="text-body leading-6">In the rooms of this house</h2>
          <InRooms {...{ rooms, paint, source }} reflectance={full} />
        </section>
      </div>
    </div>
  )
}

/** Rows of swatches whose colours are no plain surface in the light of the page; they follow its every frame. */
function OnTheWalls({ full, roomDay }: { readonly full: Reflectance; readonly roomDay: RoomDay }) {
  const { light, prepared } = useMovingLight()
  if (!light || !prepared) return null
  return (
    <>
      <SwatchRow
        name="A chip misleads"
        swatches={onTheWalls(light, prepared, full, roomDay)}
        tall
      />
      <SwatchRow name="Sheen" swatches={inSheens(prepared, full)} />
      <SwatchRow name="On a front door" swatches={doorOutside(prepared, full)} />
    </>
  )
}

/** Each thing that stays, the weakest first, as the bench reads it. */
function BesideStaying({
  full,
  source,
  keepers,
  paint,
  eye,
}: {
  readonly full: Reflectance
  readonly source: ReadingSource
  readonly keepers: readonly (JudgedKeeper & { readonly id: string })[]
  readonly paint: LookedPaint
  readonly eye: readonly EyeSaid[]
}) {
  const { prepared } = useLight()
  const beside = useMemo(
    () =>
      prepared
        ? besideStaying(prepared, { reflectance: full, source }, keepers).map((each) => ({
            ...each,
            said: eyeOf(eye, paint, each.id),
          }))
        : [],
    [prepared, full, source, keepers, eye, paint],
  )
  if (beside.length === 0) return null
  return (
    <section aria-label="Beside what stays" className="border-t border-ink pt-2">
      <h2 className="text-body leading-6">Beside what stays</h2>
      <ul>
        {beside.map(({ id, name, reading, said }) => (
          <li key={id} className="flex items-start gap-2 text-small">
            <JudgementMark judgement={reading.judgement} />
            <p>
              {said && <EyeLine said={said} />}
              <span className="font-medium">
                {name}: {JUDGEMENT_WORDS[reading.judgement]}.
              </span>{' '}
              {reading.sentence}
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}

function Said({
  name,
  sentences,
}: {
  readonly name: string
  readonly sentences: readonly string[]
}) {
  return (
    <div className="border-t border-ink pt-2">
      <h2 className="text-body leading-6">{name}</h2>
      {sentences.map((sentence) => (
        <p key={sentence} className="text-small">
          {sentence}
        </p>
      ))}
    </div>
  )
}
