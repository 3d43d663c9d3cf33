'use client'

import { useMemo, useState } from 'react'
import { WHITE_CARD } from '@/core/colour/appearance'
import type { Judgement } from '@/core/pairing/chance'
import type { NamedFinish } from '@/core/ranking/asked-room'
import type { BestOfColours } from '@/core/ranking/whole-ranking'
import { percentDarkerThanWhite } from '@/core/undertone/side-by-side'
import { deckWords } from '../deck/deck-words'
import { RelitPatch } from '../swatch/relit-patch'
import { JudgementMark } from '../verdict/verdict-mark'
import type { ListedDecks, ListedStrip } from '../deck/listed-decks'
import { withStepBetween } from './step-between'

// What strips are laid against; of a room it is said what.
const AGAINST = {
  room: '',
  card: 'white card',
  alone: 'nothing',
} as const
type Against = keyof typeof AGAINST

/** A tone's strips as large swatches, edge to edge from light to deep, against what decides in this room. */
export function Intensities({
  title,
  decks,
  strips,
  picked,
  whole,
  markOf,
  deciding,
  trim,
  onPick,
}: {
  readonly title: string
  readonly decks: ListedDecks
  readonly strips: readonly ListedStrip[]
  readonly picked: number | null
  readonly whole: BestOfColours | null
  /** What is said of a colour at its best strength; null where nothing is judged yet. */
  readonly markOf: ((place: number) => Judgement) | null
  /** The parts of the keeper that decides; empty where nothing stays. */
  readonly deciding: readonly NamedFinish[]
  /** The trim that stays; null where it will be painted. */
  readonly trim: NamedFinish | null
  readonly onPick: (place: number) => void
}) {
  const [against, setAgainst] = useState<Against>('room')
  const [isStep, setStep] = useState(false)
  const words = {
    ...AGAINST,
    room: [deciding[0]?.name, trim?.name ?? 'white paper'].filter(Boolean).join(' and '),
  }
  return (
    <section aria-label="Intensity" className="flex flex-col gap-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 text-small">
        <h2 className="text-title leading-6">{title}</h2>
        <label className="flex min-h-11 items-center gap-2">
          Against
          <select
            className="min-h-11 border border-ash bg-paper px-2"
            value={against}
            onChange={(event) => setAgainst(event.target.value as Against)}
          >
            {Object.entries(words).map(([value, said]) => (
              <option key={value} value={value}>
                {said}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-ink"
            checked={isStep}
            onChange={(event) => setStep(event.target.checked)}
          />
          With a step between
        </label>
      </div>
      {strips.map((strip) => (
        <div key={`${strip.deck.id} ${strip.strip}`}>
          <h3 className="mb-1 text-fine text-dim">
            Strip {strip.strip}
            {decks.decks.length > 1 && `, ${deckWords(strip.deck)}`}
          </h3>
          <div className={against === 'card' ? 'bg-midgrey' : undefined}>
            {against === 'card' && <RelitPatch reflectance={WHITE_CARD} className="h-5 w-full" />}
            {against === 'room' && (
              <RelitPatch reflectance={trim?.reflectance ?? WHITE_CARD} className="h-5 w-full" />
            )}
            <div className="flex">
              {against === 'card' && <RelitPatch reflectance={WHITE_CARD} className="h-24 w-5" />}
              {strip.places.map((place) => {
                const { code, name } = decks.colours[place]!
                return (
                  <button
                    key={place}
                    type="button"
                    aria-pressed={place === picked}
                    aria-label={`${code} ${name}`}
                    title={`${code} ${name}`}
                    className="h-24 min-w-0 flex-1 focus-visible:z-10 focus-visible:outline-offset-[-4px]"
                    onClick={() => onPick(place)}
                  >
                    <RelitPatch
                      reflectance={decks.reflectanceOf(place)}
                      className="h-full w-full"
                    />
                  </button>
                )
              })}
              {against === 'card' && <RelitPatch reflectance={WHITE_CARD} className="h-24 w-5" />}
            </div>
            {against === 'card' && <RelitPatch reflectance={WHITE_CARD} className="h-5 w-full" />}
            {against === 'room' && deciding.length > 0 && (
              <div className="flex h-8">
                {deciding.map((part) => (
                  <span
                    key={part.part}
                    className="h-full"
                    style={{ flexGrow: part.shows, flexBasis: 0 }}
                  >
                    <RelitPatch
                      reflectance={part.reflectance}
                      label={`${part.name}, ${part.part}`}
                      className="h-full w-full"
                    />
                  </span>
                ))}
              </div>
            )}
          </div>
          <ul className={`flex pt-1 ${against === 'card' ? 'px-5' : ''}`}>
            {strip.places.map((place) => (
              <li key={place} className="min-w-0 flex-1 pr-1 text-fine">
                <IntensityWords
                  {...{ decks, place, whole, markOf }}
                  isPicked={place === picked}
                  contrasts={
                    isStep &&
                    picked !== null &&
                    withStepBetween(decks, strip, picked).includes(place)
                  }
                />
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  )
}

function IntensityWords({
  decks,
  place,
  whole,
  markOf,
  isPicked,
  contrasts,
}: {
  readonly decks: ListedDecks
  readonly place: number
  readonly whole: BestOfColours | null
  readonly markOf: ((place: number) => Judgement) | null
  readonly isPicked: boolean
  readonly contrasts: boolean
}) {
  const lrv = decks.lrvs[place]!
  const { code } = decks.colours[place]!
  const strength = whole?.strengthsPercent[place]
  const judgement = useMemo(() => markOf?.(place), [markOf, place])
  return (
    <>
      <span className={`flex items-center gap-1 ${isPicked ? 'font-semibold' : ''}`}>
        {judgement && <JudgementMark judgement={judgement} />}
        <span className="truncate">{code}</span>
      </span>
      <span className="block">LRV {Math.round(lrv)}</span>
      {isPicked && (
        <span className="block text-dim">{percentDarkerThanWhite(lrv)} % darker than white</span>
      )}
      {strength !== undefined && strength !== 100 && (
        <span className="block text-dim">best at {strength} %</span>
      )}
      {contrasts && <span className="block font-semibold">contrasts with it</span>}
    </>
  )
}
