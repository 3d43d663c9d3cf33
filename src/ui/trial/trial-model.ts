import {
  adaptationRange,
  prepareLight,
  screenColour,
  screenColoursOfXyz,
  type PreparedLight,
  type ScreenColour,
} from '@/core/colour/appearance'
import { fourWalls } from '@/core/colour/four-walls'
import { xyzUnder } from '@/core/colour/observer'
import type { Reflectance } from '@/core/colour/spectrum'
import { differenceWords } from '@/core/undertone/difference-words'
import { familyOf } from '@/core/undertone/family'
import { HOUSE_RULES, ruleWords, type HouseRules } from '@/core/advice/house-rules'
import { bothReadings, type HueName } from '@/core/undertone/hue-name'
import {
  extremesOf,
  finishesItTakes,
  turnsOf,
  type DayLight,
  type Turn,
} from '@/core/scheme/on-trial'
import { sheenWords } from '@/core/undertone/sheen-words'
import type { DeckColour } from '@/core/scheme/trim'
import { undertoneOf, undertoneOfXyz } from '@/core/undertone/undertone'
import { warmthWord } from '@/core/undertone/warmth'
import { clockTime, type LocalDay } from '@/core/light/day-clock'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import { dayRibbon } from '@/core/light/ribbon'
import { ROOM_REFLECTANCE, wallShare } from '@/core/light/room'
import type { RoomLight } from '@/core/light/room-light'
import { lrvPercent } from '@/core/paint/lrv'
import { READING_UNCERTAINTY, type ReadingSource } from '@/core/paint/reading'
import { inSheen } from '@/core/paint/sheen'

/** A swatch and what is said beside it. */
export interface SaidSwatch {
  readonly label: string
  readonly colour: ScreenColour
  readonly words: string
}

const oneDecimal = (value: number): string => value.toFixed(1)

/** A chip in the room as it is, and the same colour on all four walls for the two ends the eye settles between. */
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
    ROOM_REFLECTANCE,
  )
  const chipXyz = xyzUnder(prepared.weights, reflectance)
  const chip = undertoneOf(prepared, reflectance)
  const toWindow = undertoneOfXyz(prepared, walls.xyzForWindowEye)
  const painted = prepareLight(walls.spectrum, walls.illuminanceLux)
  const toCard = undertoneOf(painted, reflectance)
  const [chipColour, windowColour] = screenColoursOfXyz(prepared, [chipXyz, walls.xyzForWindowEye])
  return [
    { label: 'Chip', colour: chipColour!, words: `lean ${oneDecimal(chip.c)}` },
    {
      label: 'Four walls, eye on the window',
      colour: windowColour!,
      words: `lean ${oneDecimal(toWindow.c)}; ${differenceWords(chip, toWindow)}`,
    },
    {
      label: 'Four walls, eye on a card',
      colour: screenColour(painted, reflectance),
      words: `lean ${oneDecimal(toCard.c)}; ${differenceWords(chip, toCard)}`,
    },
  ]
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

/** Where it turns and how, and what the strongest and weakest light do to it. */
export function dayWords(
  day: readonly DayLight[],
  reflectance: Reflectance,
  local: LocalDay,
): string[] {
  const turns = turnsOf(day, reflectance)
  const extremes = extremesOf(day, reflectance)
  if (!extremes) return ['Too dark to see it: the room has neither a window nor a lamp.']
  return [
    turnWords(turns, local),
    ...(extremes.saturationKept < 0.85
      ? [
          `Washes out: ${percent(extremes.saturationKept)} % of its saturation left at the brightest.`,
        ]
      : []),
    ...(extremes.brightnessKept < 0.75
      ? [`Goes dingy: ${percent(extremes.brightnessKept)} % of its brightness left at the dimmest.`]
      : []),
  ]
}

const percent = (share: number): number => Math.round(100 * share)

function turnWords([first, ...later]: readonly Turn[], local: LocalDay): string {
  const leans = (lean: HueName | null): string => (lean ? `leans ${lean}` : 'shows no lean')
  if (!first) return ''
  if (later.length === 0) return `It ${leans(first.lean)} all day.`
  const turns = later.map(
    ({ minute, lean }) => `from ${clockTime(local, minute)} it ${leans(lean)}`,
  )
  return `In the morning it ${leans(first.lean)}; ${turns.join('; ')}.`
}

/** Which finishes it takes and which it rejects, by the pairing table in this light. */
export function finishWords(prepared: PreparedLight, reflectance: Reflectance): string[] {
  const { takes, rejects } = finishesItTakes(undertoneOf(prepared, reflectance))
  return [
    takes.length > 0
      ? `Takes finishes that lean ${takes.join(', ')}.`
      : 'Takes no finish with a clear lean.',
    rejects.length > 0 ? `Rejects ${rejects.join(', ')}.` : 'Rejects none outright.',
  ]
}

/** Its family, both readings of its lean, and how sure that is: the reading's own ± and the range over D. */
export function leanWords(
  prepared: PreparedLight,
  reflectance: Reflectance,
  source: ReadingSource,
  rules: HouseRules,
): string[] {
  const undertone = undertoneOf(prepared, reflectance)
  const [less, more] = adaptationRange(prepared).map((light) => undertoneOf(light, reflectance).c)
  const [low, high] = [less!, more!].sort((p, q) => p - q)
  const lrv = lrvPercent(reflectance)
  const warmth = warmthWord(undertone, rules)
  return [
    `${familyOf(undertone, lrv, rules).words}, LRV ${Math.round(lrv)}; ${bothReadings(undertone)}${warmth ? `; counts as ${warmth}` : ''}.`,
    `Lean ${oneDecimal(undertone.c)} ± ${oneDecimal(READING_UNCERTAINTY[source])} by its reading, ` +
      `${oneDecimal(low!)} to ${oneDecimal(high!)} by how far an eye adapts (D ${prepared.degree.toFixed(2)} ± 0.07).`,
  ]
}

/** Every colour of a deck at full strength as it is seen in a light. */
export function deckIn(
  prepared: PreparedLight,
  reflectances: readonly Reflectance[],
): DeckColour[] {
  return reflectances.map((reflectance, place) => ({
    place,
    lrvPercent: lrvPercent(reflectance),
    undertone: undertoneOf(prepared, reflectance),
  }))
}
