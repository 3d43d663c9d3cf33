import { planckianSpectrum } from '@/core/colour/planckian'
import {
  adaptationRange,
  prepareLight,
  screenColour,
  screenColoursTogether,
  type PreparedLight,
  type ScreenColour,
} from '@/core/colour/appearance'
import { daylightSpectrum } from '@/core/colour/daylight'
import { fourWalls } from '@/core/colour/four-walls'
import { xyzUnder } from '@/core/colour/observer'
import type { Reflectance } from '@/core/colour/spectrum'
import { colourInLight } from '@/core/advice/colour-in-light'
import { HOUSE_RULES, ruleWords, type HouseRules } from '@/core/advice/house-rules'
import { clockTime, type LocalDay } from '@/core/light/day-clock'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import { dayRibbon } from '@/core/light/ribbon'
import { wallShare } from '@/core/light/room'
import { reflectancesOf } from '@/core/light/room-reflectance'
import type { RoomLight } from '@/core/light/room-light'
import type { JudgedKeeper } from '@/core/pairing/judged-keeper'
import { pairReading, type PairReading, type StrengthRung } from '@/core/pairing/pair-reading'
import type { RatedKind } from '@/core/pairing/traits'
import { lrvPercent } from '@/core/paint/lrv'
import { READING_UNCERTAINTY, type ReadingSource } from '@/core/paint/reading'
import { inSheen } from '@/core/paint/sheen'
import {
  asHere,
  finishesItTakes,
  turnsOf,
  warming,
  type DayLight,
  type Turn,
} from '@/core/scheme/on-trial'
import type { DeckColour } from '@/core/scheme/trim'
import { differenceWords } from '@/core/undertone/difference-words'
import { drawnUndertone, seenLine, seenWords, undertoneOnScreen } from '@/core/undertone/drawn'
import type { HueName } from '@/core/undertone/hue-name'
import { sheenWords } from '@/core/undertone/sheen-words'
import { undertoneAt } from '@/core/undertone/flat-undertones'
import { percentDarkerThanWhite } from '@/core/undertone/side-by-side'
import { undertoneOf } from '@/core/undertone/undertone'
import { warmthWord } from '@/core/undertone/warmth'
import type { NamedFinish } from '@/core/ranking/asked-room'
import type { ListedDecks } from '../deck/listed-decks'
import { capital } from '@/core/words'

/** A swatch and what is said beside it. */
export interface SaidSwatch {
  readonly label: string
  readonly colour: ScreenColour
  readonly words: string
}

const oneDecimal = (value: number): string => value.toFixed(1)

/**
 * A chip in the room as it is, and the same colour on all four walls for the two ends the eye settles between. What is
 * said of each is measured on the picture itself, so that the two cannot differ.
 */
export function onTheWalls(
  light: RoomLight,
  prepared: PreparedLight,
  reflectance: Reflectance,
  roomDay: RoomDay,
): SaidSwatch[] {
  const walls = fourWalls(
    light.spectrum,
    light.illuminanceLux,
    reflectance,
    wallShare(roomDay.room),
    reflectancesOf(roomDay.room),
  )
  const painted = prepareLight(walls.spectrum, walls.illuminanceLux)
  const drawn = screenColoursTogether([
    { light: prepared, xyz: xyzUnder(prepared.weights, reflectance) },
    { light: prepared, xyz: walls.xyzForWindowEye },
    { light: painted, xyz: xyzUnder(painted.weights, reflectance) },
  ])
  const labels = ['Chip', 'Four walls, eye on the window', 'Four walls, eye on a card']
  const chip = undertoneOnScreen(drawn[0]!)
  return drawn.map((colour, i) => ({
    label: labels[i]!,
    colour,
    words: i === 0 ? '' : differenceWords(chip, undertoneOnScreen(colour)),
  }))
}

/** The colour in matt, and in satin from both sides. */
export function inSheens(prepared: PreparedLight, reflectance: Reflectance): SaidSwatch[] {
  const satin = (view: 'away from the window' | 'towards the window'): SaidSwatch => ({
    label: `Satin, ${view}`,
    colour: screenColour(prepared, inSheen(reflectance, 'satin', view)),
    words: '',
  })
  return [
    { label: 'Matt', colour: screenColour(prepared, reflectance), words: '' },
    satin('away from the window'),
    satin('towards the window'),
  ]
}

// From here down a wall counts as dark; common practice.
const DARK_UP_TO_LRV = 11

/** What a sheen does to it, and on a dark wall what the house rule says. */
export function sheenAdvice(
  prepared: PreparedLight,
  reflectance: Reflectance,
  rules: HouseRules,
): string {
  const words = sheenWords(prepared, reflectance, 'satin')
  if (lrvPercent(reflectance) > DARK_UP_TO_LRV) return words
  const { says } = HOUSE_RULES['dark-walls'].schools[rules['dark-walls']]
  return `${words} ${says} (${ruleWords('dark-walls', rules)})`
}

const DAY_STEP_MINUTES = 30

/** The room's lit day in half hours, lamps lit where it is too dark without. */
export function lightsOfDay(roomDay: RoomDay, sky: LightChoice['sky']): DayLight[] {
  const { steps } = dayRibbon(roomDay, sky)
  return steps.flatMap(({ minute }) => {
    if (minute % DAY_STEP_MINUTES !== 0) return []
    const light = lightOf(roomDay, { source: 'room', minute, sky, lampsOn: false, spot: 'walls' })
    return light ? [{ minute, prepared: prepareLight(light.spectrum, light.illuminanceLux) }] : []
  })
}

// From so many units an eye sees that a colour warms; common practice has 2 to 3 as clearly seen.
const WARMS_FROM = 3

/** Where it turns and how, and what the warmest light does to it. */
export function dayWords(
  day: readonly DayLight[],
  reflectance: Reflectance,
  local: LocalDay,
): string[] {
  const warmed = warming(day, reflectance)
  if (!warmed) return ['Too dark to see it: the room has neither a window nor a lamp.']
  return [
    turnWords(turnsOf(day, reflectance), local),
    ...(warmed.units >= WARMS_FROM
      ? [`Warmest at ${clockTime(local, warmed.minute)}: clearly nearer gold than at its coolest.`]
      : []),
  ]
}

function turnWords([first, ...later]: readonly Turn[], local: LocalDay): string {
  const leans = (lean: HueName | null): string => (lean ? `leans ${lean}` : 'shows no lean')
  if (!first) return ''
  if (later.length === 0) return `It ${leans(first.lean)} all day.`
  const turns = later.map(
    ({ minute, lean }) => `from ${clockTime(local, minute)} it ${leans(lean)}`,
  )
  return `In the morning it ${leans(first.lean)}; ${turns.join('; ')}.`
}

// Trim is painted and furnishings go: neither is asked about.
const FIXED: readonly RatedKind[] = [
  ...(['floor', 'carpet', 'tile', 'brick', 'stone', 'counter', 'cabinet'] as const),
]

/** Which fixed finishes it takes and which it rejects in this light; never other than it sits with one that is here. */
export function finishWords(
  prepared: PreparedLight,
  wall: StrengthRung,
  rules: HouseRules,
  keepers: readonly JudgedKeeper[],
): string[] {
  const most = finishesItTakes(undertoneOf(prepared, wall.reflectance), rules)
  const here = keepers
    .filter(({ role }) => FIXED.includes(role.kind))
    .flatMap((keeper) => {
      const { chance } = pairReading(prepared, wall, keeper)
      return keeper.colours.map(({ reflectance }) => ({
        ...{ undertone: undertoneOf(prepared, reflectance), chance },
      }))
    })
  const { takes, rejects } = asHere(most, here)
  return [
    takes.length > 0 ? `Takes fixed finishes that lean ${takes.join(', ')}.` : '',
    most.takes.length === 0 ? 'Takes no fixed finish with a clear lean.' : '',
    rejects.length > 0 ? `Rejects ${rejects.join(', ')}.` : '',
    most.rejects.length === 0 ? 'Rejects none outright.' : '',
  ].filter(Boolean)
}

/** What it reads as in the light at hand. */
export function leanWords(
  prepared: PreparedLight,
  reflectance: Reflectance,
  rules: HouseRules,
): string {
  const warmth = warmthWord(undertoneOf(prepared, reflectance), rules)
  const seen = capital(seenLine(seenWords(prepared, reflectance, rules)))
  return `${seen}${warmth ? `; counts as ${warmth}` : ''}.`
}

/** For who asks: the lean in figures, with the reading's own ± and the range over D. */
export function leanFigures(
  prepared: PreparedLight,
  reflectance: Reflectance,
  source: ReadingSource,
): string {
  const [low, high] = adaptationRange(prepared)
    .map((light) => drawnUndertone(light, reflectance).c)
    .sort((p, q) => p - q)
  return (
    `Lean on a card ${oneDecimal(undertoneOf(prepared, reflectance).c)} ± ${oneDecimal(READING_UNCERTAINTY[source].lean)} by its reading; ` +
    `as it is drawn ${oneDecimal(low!)} to ${oneDecimal(high!)} by how far an eye adapts (D ${prepared.degree.toFixed(2)} ± 0.07).`
  )
}

/** How the colour sits with each thing that stays, in the light at hand: the bench's own reading. */
export function besideStaying(
  prepared: PreparedLight,
  wall: StrengthRung,
  keepers: readonly (JudgedKeeper & { readonly id: string })[],
): { readonly id: string; readonly name: string; readonly reading: PairReading }[] {
  return keepers
    .map((keeper) => ({
      id: keeper.id,
      name: keeper.name,
      reading: pairReading(prepared, wall, keeper),
    }))
    .sort((p, q) => p.reading.chance - q.reading.chance)
}

/** Every colour of the decks at full strength as it is seen in a light. */
export function deckIn(prepared: PreparedLight, decks: ListedDecks): DeckColour[] {
  const seen = decks.seenIn(prepared)
  return decks.colours.map(({ place, source }) => ({
    place,
    lrvPercent: decks.lrvs[place]!,
    undertone: undertoneAt(seen, place),
    source,
  }))
}

/** What its LRV means here: how many times the light of the lightest and of the deepest thing that stays. */
export function lrvWords(reflectance: Reflectance, finishes: readonly NamedFinish[]): string {
  const own = lrvPercent(reflectance)
  const others = finishes
    .map(({ keeperId, name, part, reflectance: own }) => ({
      name: finishes.some((other) => other.keeperId === keeperId && other.part !== part)
        ? `${name} (${part})`
        : name,
      lrv: lrvPercent(own),
    }))
    .sort((p, q) => p.lrv - q.lrv)
  const ends = [others[0], others.at(-1)].filter(
    (each, i, all) => each !== undefined && all.indexOf(each) === i,
  )
  const beside = ends.map((other) => {
    const { name, lrv } = other!
    const times = own >= lrv ? own / Math.max(1, lrv) : lrv / Math.max(1, own)
    return times < 1.15
      ? `about the light of ${name}`
      : own >= lrv
        ? `${times.toFixed(1)} times the light of ${name} (LRV ${Math.round(lrv)})`
        : `${name} (LRV ${Math.round(lrv)}) sends back ${times.toFixed(1)} times its light`
  })
  return `LRV ${Math.round(own)}, ${percentDarkerThanWhite(own)} % darker than white${beside.length > 0 ? `: ${beside.join('; ')}` : ''}.`
}

// Open daylight before a front door on a dull day, and how much of the sky a door sees.
const OUTDOORS = { cctK: 6500, lux: 6000 } as const

// Black and off-black end about here; common practice.
const OFF_BLACK_UP_TO_LRV = 10
const IN_SHADE = { cctK: 10_000, lux: 6000 } as const
const BY_LAMPS = { cctK: 2700, lux: 120 } as const

/** How an off-black differs between a shaded outdoors and lamps: that is where its lean shows; empty of what is lighter. */
export function offBlackWords(reflectance: Reflectance): string {
  if (lrvPercent(reflectance) > OFF_BLACK_UP_TO_LRV) return ''
  const [outdoors, lamps] = [
    prepareLight(daylightSpectrum(IN_SHADE.cctK), IN_SHADE.lux),
    prepareLight(planckianSpectrum(BY_LAMPS.cctK), BY_LAMPS.lux),
  ].map((light) => drawnUndertone(light, reflectance))
  return `Outdoors in the shade it looks ${differenceWords(lamps!, outdoors!)}, beside how it looks under lamps.`
}

/** A door's outside face in open daylight, beside the same in the room's light. */
export function doorOutside(prepared: PreparedLight, reflectance: Reflectance): SaidSwatch[] {
  const outside = prepareLight(daylightSpectrum(OUTDOORS.cctK), OUTDOORS.lux)
  const { washesOut } = colourInLight(outside, reflectance)
  const words = differenceWords(
    drawnUndertone(prepared, reflectance),
    drawnUndertone(outside, reflectance),
  )
  return [
    { label: 'Inside, in this light', colour: screenColour(prepared, reflectance), words: '' },
    {
      label: 'A door’s outside, in open daylight',
      colour: screenColour(outside, inSheen(reflectance, 'semi-gloss', 'away from the window')),
      words: washesOut >= 0.5 ? `${words}; it washes out there, take a step deeper` : words,
    },
  ]
}
