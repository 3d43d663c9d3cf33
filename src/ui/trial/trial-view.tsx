'use client'

import { useMemo, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import type { DeckName } from '@/workers/fetch-deck'
import type { RoomBrief } from '@/core/ranking/asked-room'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import { deckWords } from '../deck/deck-words'
import type { RankedFor } from '../shortlist/ranked-for'
import { useRankedFor } from '../shortlist/use-ranked-for'
import { adviceWords } from '../shortlist/ranked-for'
import { writeAddress } from '../frame/page-address'
import { useLight } from '../light-bar/light-context'
import { GamutMark } from '../swatch/patch'
import { useRelitColour } from '../swatch/use-relit'
import type { ListedAt, ListedDecks } from '../deck/listed-decks'
import { InRooms, type HouseRoom } from '../shortlist/other-rooms'
import { Search } from '../deck/search'
import { useDecks } from '../deck/use-decks'
import type { LookedPaint } from '@/core/record/eye-said'
import { useShown } from '../record/model-shown'
import { Link } from '../frame/page-link'
import { GoesWith } from './goes-with'
import { OfThisVisit } from './of-this-visit'
import { Choice } from '../form/choice'
import { Figures } from '../form/figures'
import { atStrength, ladderOf } from '@/core/paint/strength'
import type { Wear } from '@/core/paint/surface-sheen'
import type { Treatment } from '@/core/paint/treatment'
import type { Surface } from '@/core/record/proposal'
import type { AtStrength } from '@/workers/rank-protocol'
import { TakeFor, TakingContext, useTakingUp, type TakenUp } from '../record/taking'
import { useChange } from '../record/use-change'
import { BesideStaying, HourBands, OnTheWalls, Said } from './trial-parts'
import {
  dayWords,
  finishWords,
  leanFigures,
  leanWords,
  lightsOfDay,
  lrvWords,
  offBlackWords,
  sheenAdvice,
} from './trial-model'

/** The colour that an address names: by its id, or by its code. */
export interface OpeningPaint {
  readonly deckColourId: string | null
  readonly deckId: string | null
  readonly code: string | null
  readonly strengthPercent: number
}

interface Props {
  /** Where it can be taken up; null before there is a room. */
  readonly room: {
    readonly visitId: string
    readonly roomId: string
    readonly treatment: Treatment
    readonly wear: Wear
  } | null
  /** Nothing is said of a place either. */
  readonly isSomewhere?: boolean
  readonly decks: readonly DeckName[]
  readonly opening: OpeningPaint | null
  /** What the room is ranked by: its wishes, its schools, what stays. */
  readonly brief: RoomBrief
  readonly weakestPercent: number
  /** The visit's own colours, by their deck colours: what can be tried before anything is typed. */
  readonly own: readonly (TakenUp & { readonly code: string })[]
  /** What stays. */
  readonly keepers: readonly (JudgedKeeper & { readonly id: string })[]
  /** Every room of the house, this one among them. */
  readonly rooms: readonly HouseRoom[]
}

/** A paint's own page: how it sits with this room's finishes and through its hours, what it asks, what goes with it, where it holds. */
export function TrialView({
  room: at,
  decks: names,
  isSomewhere = false,
  opening,
  brief,
  weakestPercent,
  own,
  keepers,
  rooms,
}: Props) {
  const room = useRankedFor(brief, weakestPercent)
  const decks = useDecks(names)
  const [chosen, setChosen] = useState<AtStrength | null>(null)
  const opened = useMemo((): AtStrength | null => {
    if (!decks || !opening) return null
    const place = decks.colours.findIndex(({ id, code, deck }) =>
      opening.deckColourId
        ? id === opening.deckColourId
        : code === opening.code && (opening.deckId === null || deck.id === opening.deckId),
    )
    return place < 0 ? null : { place, strengthPercent: opening.strengthPercent }
  }, [decks, opening])
  const picked = chosen ?? opened
  const colour = decks && picked ? decks.colours[picked.place]! : null
  const [surface, setSurface] = useState<Surface>('walls')
  const { change, message } = useChange()
  const taking = useTakingUp({
    visitId: at?.visitId ?? '',
    roomId: at?.roomId ?? '',
    treatment: at?.treatment ?? 'plain',
    wear: at?.wear ?? NO_WEAR,
    ...{ surface, change },
    candidates: own,
    known: own,
  })
  const here = own.find(
    (each) =>
      each.deckColourId === colour?.id &&
      each.strengthPercent === picked?.strengthPercent &&
      each.proposals.some(({ roomId, status }) => roomId === at?.roomId && status !== 'ruled out'),
  )
  useShown(
    colour && picked ? [{ deckColourId: colour.id, strengthPercent: picked.strengthPercent }] : [],
  )
  function choose(to: AtStrength): void {
    setChosen(to)
    const { code, deck } = decks!.colours[to.place]!
    writeAddress({
      ...{ deck: deck.id, colour: code, paint: null },
      strength: to.strengthPercent === 100 ? null : String(to.strengthPercent),
    })
  }
  const chooseWhole = (place: number): void => choose({ place, strengthPercent: 100 })
  return (
    <TakingContext value={at ? taking : null}>
      <main className="min-h-0 flex-1 overflow-y-auto p-4">
        <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 className="min-w-64 flex-1 text-head">
            {colour ? colour.name : 'A paint'}{' '}
            {colour && (
              <span className="font-text text-small text-dim">
                {deckWords(colour.deck)}, {colour.code}, {colour.base} base
              </span>
            )}
          </h1>
          {colour && picked && (
            <>
              <Choice
                label="At"
                value={String(picked.strengthPercent)}
                options={[...new Set([...ladderOf(colour.base), picked.strengthPercent])]
                  .sort((p, q) => p - q)
                  .map((percent) => [String(percent), `${percent} %`])}
                onChange={(percent) => choose({ ...picked, strengthPercent: Number(percent) })}
                narrow
              />
              {here && at && (
                <Link
                  href={`/visits/${at.visitId}/rooms/${at.roomId}/bench?candidate=${here.id}`}
                  className="min-h-11 content-center text-small underline underline-offset-4"
                >
                  On the bench
                </Link>
              )}
              <TakeFor
                colour={{
                  deckColourId: colour.id,
                  name: colour.name,
                  strengthPercent: picked.strengthPercent,
                }}
                onSurface={setSurface}
              />
            </>
          )}
          <Search decks={decks} onPick={chooseWhole} />
        </div>
        {!at && (
          <p className="mb-2 text-small">
            There is no room yet: this is an ordinary one with a window to the sun, on the day below
            {isSomewhere && ', at latitude 45°'}.
          </p>
        )}
        <p role="status" className="text-small font-semibold empty:hidden">
          {message}
        </p>
        {decks && colour && picked ? (
          <Trial
            full={decks.reflectanceOf(picked.place)}
            {...{ colour, decks, room, keepers, rooms }}
            at={picked}
            onPick={chooseWhole}
          />
        ) : (
          (!opening || decks) && (
            <>
              <p>
                {opening
                  ? 'That colour is in none of these decks. Type a code or a name.'
                  : 'A colour the client loves, or one of the visit’s own: type its code or name.'}
              </p>
              {decks && (
                <OfThisVisit
                  decks={decks}
                  own={own.map(({ deckColourId }) => deckColourId)}
                  onPick={chooseWhole}
                />
              )}
            </>
          )
        )}
      </main>
    </TakingContext>
  )
}

const NO_WEAR: Wear = { washed: false }

function Trial({
  colour: { source, whiteBase },
  full: whole,
  decks,
  at: { place, strengthPercent },
  room,
  keepers,
  rooms,
  onPick,
}: {
  readonly colour: ListedAt
  /** At full strength. */
  readonly full: Reflectance
  readonly decks: ListedDecks
  readonly at: AtStrength
  readonly room: RankedFor
  readonly keepers: readonly (JudgedKeeper & { readonly id: string })[]
  readonly rooms: readonly HouseRoom[]
  readonly onPick: (place: number) => void
}) {
  const { roomDay, choice, light, prepared } = useLight()
  const full = useMemo(
    () => atStrength(whole, whiteBase, strengthPercent),
    [whole, whiteBase, strengthPercent],
  )
  const colour = useRelitColour(full)
  const colourId = decks.colours[place]!.id
  const paint = useMemo(
    (): LookedPaint => ({ deckColourId: colourId, strengthPercent }),
    [colourId, strengthPercent],
  )
  const day = useMemo(() => lightsOfDay(roomDay, choice.sky), [roomDay, choice.sky])
  const daySaid = useMemo(() => dayWords(day, full, roomDay.day), [day, full, roomDay.day])
  if (!light || !prepared) return <p>Too dark to see it. Step to another hour, or add a lamp.</p>
  const { rules } = room
  const advice = adviceWords(full, room)
  return (
    <div className="grid gap-x-8 gap-y-6 lg:grid-cols-[1.1fr_1fr_1.1fr]">
      <section aria-label="What it does" className="flex flex-col gap-3">
        <BesideStaying {...{ full, strengthPercent, keepers, paint, source }} eye={room.eye} />
        <HourBands {...{ full, day }} local={roomDay.day} />
        <Said name="Through the day" sentences={daySaid} />
        <Said
          name="In this room"
          sentences={
            advice.length > 0
              ? advice.map((words) => `It ${words}.`)
              : ['Nothing in its light speaks against it.']
          }
        />
      </section>
      <section aria-label="On the wall" className="flex flex-col gap-4">
        <OnTheWalls full={full} roomDay={roomDay} />
        <p className="text-small">{sheenAdvice(prepared, full, rules)}</p>
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
      </section>
      <div className="flex flex-col gap-3">
        <Said
          name="What it asks of finishes"
          sentences={finishWords(
            prepared,
            { reflectance: full, source, strengthPercent },
            rules,
            keepers,
          )}
        />
        <GoesWith {...{ full, decks, place, room, onPick }} />
        {rooms.length > 0 && (
          <section aria-label="In the rooms of this house" className="border-t border-ink pt-2">
            <h2 className="text-body leading-6">In the rooms of this house</h2>
            <InRooms {...{ rooms, paint, source }} reflectance={full} />
          </section>
        )}
      </div>
    </div>
  )
}
