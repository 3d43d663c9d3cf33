'use client'

import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { ToggleGroup } from 'radix-ui'
import { useState } from 'react'
import type { PreparedLight } from '@/core/colour/appearance'
import type { HouseRules } from '@/core/advice/house-rules'
import { type Paint } from '@/core/scheme/beside-piece'
import { WALL_PLANS, type Scheme, type WallPlan } from '@/core/scheme/lead-schemes'
import { lrvPercent } from '@/core/paint/lrv'
import { deckWords } from '../deck/deck-words'
import type { ListedDecks } from '../deck/listed-decks'
import { KeeperSwatch } from '../swatch/keeper-swatch'
import { TakeKey } from '../record/taking'
import { RelitPatch } from '../swatch/relit-patch'
import { JudgementMark } from '../verdict/verdict-mark'
import {
  accentsOf,
  judgedSurfaces,
  keptScheme,
  type KeptScheme,
  swapWords,
  trimOf,
  type JudgedSurface,
  type LedRoom,
  type SeenDecks,
} from './lead-model'
import { capital } from '@/core/words'
import { useTradeWords } from '../settings/settings-context'

/** One scheme: its walls beside the piece, the nearest colours, trim, what returns in small things, what comes. */
export function SchemePanel({
  scheme,
  light,
  led,
  seen,
  rules,
  onKeep,
}: {
  readonly scheme: Scheme
  readonly light: PreparedLight
  readonly led: LedRoom
  readonly seen: SeenDecks
  readonly rules: HouseRules
  /** Null where the room holds as many schemes as it may. */
  readonly onKeep: ((scheme: KeptScheme) => void) | null
}) {
  const inWords = useTradeWords()
  const [picked, setPicked] = useState(0)
  const [plan, setPlan] = useState<WallPlan>('all walls')
  const title = `From its ${scheme.source.part}: ${scheme.kind === 'dominant' ? 'calm' : 'contrast'}`
  const wall = (scheme.walls[picked] ?? scheme.walls[0])?.paint
  if (!wall)
    return (
      <section aria-label={title}>
        <h2 className="text-title">{title}</h2>
        <p className="text-small">
          No colour in these decks lies that way and works with all that stays. Try another hour, or
          another piece.
        </p>
      </section>
    )
  const { decks } = seen
  const surfaces = judgedSurfaces(light, plan, wall, scheme.source, led, seen)
  const trim = trimOf(wall, seen, rules)
  const trimPaint = trim && seen.full.find(({ place }) => place === trim.place)
  return (
    <section aria-label={title} className="flex flex-col gap-3">
      <div>
        <h2 className="text-title">{title}</h2>
        <p className="text-small">{scheme.words}</p>
      </div>
      <Composition
        {...{ surfaces, wall, led, trim: trimPaint }}
        twoHalves={plan === 'two halves'}
      />
      <div role="group" aria-label="Nearest colours" className="grid grid-cols-3 gap-x-2">
        {scheme.walls.map(({ paint, beside }, i) => (
          <button
            key={paint.place}
            type="button"
            aria-pressed={paint === wall}
            className="flex min-h-11 flex-col border-t-2 border-transparent pt-1 text-left text-fine aria-pressed:border-ink"
            onClick={() => setPicked(i)}
          >
            <RelitPatch reflectance={paint.reflectance} className="h-12 w-full" />
            <span className="pt-1 text-small font-medium">{nameOf(decks, paint)}</span>
            <span className="text-dim">{deckOf(decks, paint)}</span>
            <span className="flex items-center gap-1">
              <JudgementMark judgement={beside.judgement} />
              {JUDGEMENT_WORDS[beside.judgement]}, LRV {Math.round(lrvPercent(paint.reflectance))}
            </span>
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <ToggleGroup.Root
          type="single"
          aria-label="Which walls"
          className="flex"
          value={plan}
          onValueChange={(value) => value && setPlan(value as WallPlan)}
        >
          {WALL_PLANS.map((each) => (
            <ToggleGroup.Item key={each} value={each} className="key -ml-px first:ml-0">
              {each}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <TakeKey
          className="key"
          colour={{
            deckColourId: decks.colours[wall.place]!.id,
            name: decks.colours[wall.place]!.name,
            strengthPercent: wall.strengthPercent,
          }}
        />
        {onKeep && (
          <button
            type="button"
            className="key"
            onClick={() =>
              onKeep(
                keptScheme(
                  scheme,
                  light,
                  seen,
                  surfaces,
                  trimPaint ? { paint: trimPaint, sheen: trim!.sheen } : null,
                ),
              )
            }
          >
            Save as a scheme
          </button>
        )}
      </div>
      <ul className="text-small">
        {surfaces.length === 0 && <li>Its strip has nothing two steps away to set beside it.</li>}
        {surfaces.map(({ surface, paint, beside, weakest }) => (
          <li key={surface}>
            <span className="font-medium">
              {inWords(capital(surface))}, {nameOf(decks, paint)}, {deckOf(decks, paint)}:
            </span>{' '}
            {beside.sentence}
            {weakest && ` Weakest beside ${weakest.name}: ${JUDGEMENT_WORDS[weakest.judgement]}.`}
          </li>
        ))}
        {trim && trimPaint && (
          <li>
            <span className="font-medium">
              {inWords('Trim')}, {nameOf(decks, trimPaint)}, {deckOf(decks, trimPaint)},{' '}
              {trim.sheen}:
            </span>{' '}
            {trim.words}.
          </li>
        )}
      </ul>
      <Rest {...{ scheme, light, led, seen, wall }} />
    </section>
  )
}

/** Wall, trim and piece as they would touch. */
function Composition({
  surfaces,
  wall,
  led,
  trim,
  twoHalves,
}: {
  readonly surfaces: readonly JudgedSurface[]
  readonly wall: Paint
  readonly led: LedRoom
  readonly trim: Paint | undefined
  readonly twoHalves: boolean
}) {
  const walls = surfaces.length > 0 ? surfaces.map(({ paint }) => paint) : [wall]
  return (
    <div className="flex h-44">
      <div className={`flex flex-[3] ${twoHalves ? 'flex-col' : ''}`}>
        {walls.map((paint) => (
          <RelitPatch key={paint.place} reflectance={paint.reflectance} className="flex-1" />
        ))}
      </div>
      {trim && <RelitPatch reflectance={trim.reflectance} className="w-4" />}
      <div className="flex-[2]">
        <KeeperSwatch colours={led.piece.colours} stacked>
          {({ part, reflectance }) => (
            <RelitPatch
              reflectance={reflectance}
              label={`${led.piece.name}, ${part}`}
              className="h-full w-full"
            />
          )}
        </KeeperSwatch>
      </div>
    </div>
  )
}

/** What of the piece returns in small things, and what comes into the room. */
function Rest({
  scheme,
  light,
  led,
  seen,
  wall,
}: {
  readonly scheme: Scheme
  readonly light: PreparedLight
  readonly led: LedRoom
  readonly seen: SeenDecks
  readonly wall: Paint
}) {
  const accents = accentsOf(light, scheme, seen)
  const swaps = swapWords(light, wall, led, scheme)
  return (
    <div className="border-t border-rule pt-2 text-small">
      {accents.length > 0 && <h3 className="font-medium">Back again in small things, sparingly</h3>}
      <ul>
        {accents.map(({ part, paint, words }) => (
          <li key={part.part} className="flex items-center gap-3 py-1">
            <span className="flex h-9 w-16 shrink-0">
              <RelitPatch reflectance={part.reflectance} className="flex-1" />
              <RelitPatch reflectance={paint.reflectance} className="flex-1" />
            </span>
            Its {part.part}, nearest {nameOf(seen.decks, paint)}, {deckOf(seen.decks, paint)}:{' '}
            {words}.
          </li>
        ))}
      </ul>
      {swaps.map((words) => (
        <p key={words}>{words}</p>
      ))}
    </div>
  )
}

const nameOf = ({ colours }: ListedDecks, { place, strengthPercent }: Paint): string =>
  `${colours[place]!.name} ${colours[place]!.code}${strengthPercent === 100 ? '' : ` at\u00a0${strengthPercent}\u00a0%`}`

const deckOf = ({ colours }: ListedDecks, { place }: Paint): string =>
  deckWords(colours[place]!.deck)
