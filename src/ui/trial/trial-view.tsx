'use client'

import { useMemo, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { roomAdvice, SAID_FROM } from '@/core/advice/room-advice'
import type { RoomDay } from '@/core/light/light-choice'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { chanceInRoom } from '@/core/ranking/rank-for-room'
import { companionsOf, otherHuesOfSameLrv, type CompanionPart } from '@/core/scheme/companions'
import { trimsFor, type TrimKind } from '@/core/scheme/trim'
import type { RankedFor } from '../deck/room-ranking'
import { useDeckReflectances } from '../deck/deck-reflectances'
import { stripsOf, type DeckEntry } from '../deck/deck-strips'
import { DeckSearch } from '../deck/deck-search-box'
import { adviceWords } from '../deck/room-ranking'
import { useLight, useMovingLight, writeAddress } from '../light-bar/light-context'
import { GamutMark, Patch } from '../swatch/patch'
import { RelitPatch } from '../swatch/relit-patch'
import { useRelitColour } from '../swatch/use-relit'
import { JudgementMark } from '../verdict/judgement-mark'
import {
  besideStaying,
  dayWords,
  deckIn,
  finishWords,
  inSheens,
  leanWords,
  lightsOfDay,
  onTheWalls,
  sheenAdvice,
  type SaidSwatch,
} from './trial-model'

interface Props {
  readonly deck: { readonly id: string; readonly maker: string; readonly name: string }
  readonly entries: readonly DeckEntry[]
  /** Place of the colour in the listing, or null before one is chosen. */
  readonly place: number | null
  /** What the room is ranked by: its light, its schools, what stays. */
  readonly room: RankedFor
  /** What stays. */
  readonly keepers: readonly JudgedKeeper[]
}

/** One colour on trial: where it turns, what it asks of light, finishes and trim, what goes with it. */
export function TrialView({ deck, entries, place: opening, room, keepers }: Props) {
  const reflectances = useDeckReflectances(deck.id)
  const [place, setPlace] = useState(opening)
  function choose(chosen: number): void {
    setPlace(chosen)
    writeAddress({ colour: entries[chosen]!.code })
  }
  const entry = place === null ? null : entries[place]!
  const full = place === null ? undefined : reflectances?.[place]
  return (
    <main className="min-h-0 flex-1 overflow-y-auto p-4">
      <div className="mb-3 flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
        <h1 className="text-head">
          {entry ? entry.name : 'One colour on trial'}{' '}
          <span className="font-text text-small text-dim">
            {entry ? `${deck.maker} ${entry.code}, ${entry.base} base` : deck.maker}
          </span>
        </h1>
        <DeckSearch entries={entries} onPick={choose} />
      </div>
      {place === null ? (
        <p>
          The colour the client loves: type its code or name, and see what it asks of this room.
        </p>
      ) : (
        entry &&
        full &&
        reflectances && (
          <Trial
            {...{ entry, full, reflectances, entries, place, room, keepers }}
            onPick={choose}
          />
        )
      )}
    </main>
  )
}

function Trial({
  entry,
  full,
  reflectances,
  entries,
  place,
  room,
  keepers,
  onPick,
}: {
  readonly entry: DeckEntry
  readonly full: Reflectance
  readonly reflectances: readonly Reflectance[]
  readonly entries: readonly DeckEntry[]
  readonly place: number
  readonly room: RankedFor
  readonly keepers: readonly JudgedKeeper[]
  readonly onPick: (place: number) => void
}) {
  const { roomDay, choice, light, prepared } = useLight()
  const colour = useRelitColour(full)
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
        <Said name="In this light" sentences={leanWords(prepared, full, entry.source, rules)} />
        <GamutMark colour={colour} />
        <Said name="Through the day" sentences={daySaid} />
        <BesideStaying {...{ full, keepers }} source={entry.source} />
        <Said name="What it asks of finishes" sentences={finishWords(prepared, full, rules)} />
        <Said
          name="In this room"
          sentences={
            advice.length > 0
              ? advice.map((words) => `It ${words}.`)
              : ['Nothing in its light speaks against it.']
          }
        />
      </section>
      <GoesWith {...{ full, reflectances, entries, place, room, onPick }} />
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
    </>
  )
}

/** Each thing that stays, the weakest first, as the bench reads it. */
function BesideStaying({
  full,
  source,
  keepers,
}: {
  readonly full: Reflectance
  readonly source: DeckEntry['source']
  readonly keepers: readonly JudgedKeeper[]
}) {
  const { prepared } = useLight()
  const beside = useMemo(
    () => (prepared ? besideStaying(prepared, { reflectance: full, source }, keepers) : []),
    [prepared, full, source, keepers],
  )
  if (beside.length === 0) return null
  return (
    <section aria-label="Beside what stays" className="border-t border-ink pt-2">
      <h2 className="text-body leading-6">Beside what stays</h2>
      <ul>
        {beside.map(({ name, reading }) => (
          <li key={name} className="flex items-start gap-2 text-small">
            <JudgementMark judgement={reading.judgement} />
            <p>
              <span className="font-medium">
                {name}: {reading.judgement}.
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

/** Touching swatches, with what is said of each below. */
function SwatchRow({
  name,
  swatches,
  tall = false,
}: {
  readonly name: string
  readonly swatches: readonly SaidSwatch[]
  readonly tall?: boolean
}) {
  return (
    <div>
      <h2 className="mb-1 text-body leading-6">{name}</h2>
      <div className="flex">
        {swatches.map(({ label, colour, words }) => (
          <div key={label} className="flex-1">
            <Patch colour={colour} label={label} className={tall ? 'h-40' : 'h-20'} />
            <p className="pt-1 pr-2 text-fine">
              {label}
              {words && <span className="block text-dim">{words}</span>}
            </p>
          </div>
        ))}
      </div>
    </div>
  )
}

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
}

/** Trim, companions for the rooms around, and the same lightness in another hue. */
function GoesWith({
  full,
  reflectances,
  entries,
  place,
  room,
  onPick,
}: {
  readonly full: Reflectance
  readonly reflectances: readonly Reflectance[]
  readonly entries: readonly DeckEntry[]
  readonly place: number
  readonly room: RankedFor
  readonly onPick: (place: number) => void
}) {
  const { prepared, roomDay } = useLight()
  const strips = useMemo(() => stripsOf(entries), [entries])
  const found = useMemo(() => {
    if (!prepared) return null
    const seen = deckIn(prepared, entries, reflectances)
    const wall = seen[place]!
    const strip = strips.find(({ places }) => places.includes(place))?.places ?? []
    const washesOut = roomAdvice(full, room.character, room.rules).some(
      ({ kind, strength }) => kind === 'washes out' && strength >= SAID_FROM,
    )
    const lit = rankedRoomOf(room, roomDay)
    const chance =
      lit.lights.length > 0 && lit.finishes.length > 0 ? chanceInRoom(lit) : () => ({ chance: 1 })
    return {
      trims: trimsFor(wall, seen, strip, room.rules, washesOut),
      companions: companionsOf(wall, seen, {
        chanceWithStaying: (at) => chance(reflectances[at]!, entries[at]!.source).chance,
        speaksAgainst: (at) => adviceWords(reflectances[at]!, room).length > 0,
        rules: room.rules,
      }),
      others: otherHuesOfSameLrv(wall, seen),
    }
  }, [prepared, roomDay, full, reflectances, entries, place, strips, room])
  if (!found) return null
  return (
    <section aria-label="What goes with it" className="flex flex-col gap-3">
      <div>
        <h2 className="mb-1 text-body leading-6">Trim</h2>
        <ul>
          {found.trims.map(({ kind, place: trim, sheen, words }) => (
            <li key={kind} className="flex items-center gap-3 border-b border-rule">
              <span className="flex h-14 w-24 shrink-0">
                <RelitPatch reflectance={full} className="h-full flex-[3]" />
                <RelitPatch reflectance={reflectances[trim]!} className="h-full flex-1" />
              </span>
              <p className="py-1 text-fine">
                <span className="text-small font-medium">{TRIM_WORDS[kind]}</span>
                {kind !== 'same' && `, ${entries[trim]!.name} ${entries[trim]!.code}, ${sheen}`}
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
        {...{ full, entries, reflectances, onPick }}
      />
      <PlaceRow
        name="Same lightness, another hue"
        empty="Nothing of this deck is as light and as strong in another hue."
        places={found.others.map((at) => ['', at] as const)}
        {...{ full, entries, reflectances, onPick }}
      />
    </section>
  )
}

function PlaceRow({
  name,
  empty,
  places,
  entries,
  full,
  reflectances,
  onPick,
}: {
  readonly name: string
  readonly empty: string
  readonly places: readonly (readonly [word: string, place: number])[]
  readonly entries: readonly DeckEntry[]
  readonly full: Reflectance
  readonly reflectances: readonly Reflectance[]
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
              <RelitPatch reflectance={reflectances[at]!} className="h-16" />
              <span className="block pt-1 pr-1 text-fine">
                {word && <span className="font-medium">{word} </span>}
                {entries[at]!.name} <span className="text-dim">{entries[at]!.code}</span>
              </span>
            </button>
          ))}
        </div>
      )}
    </div>
  )
}
