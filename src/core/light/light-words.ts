import { finite } from '../check'
import { clockTime, utcMsAt, type LocalDay } from './day-clock'
import { daylightFactorPercent, dimness } from './daylight-factor'
import { PLAIN_SURFACES, type LitRoom } from './room'
import { roomLight } from './room-light'
import { balanceOf } from './balance'
import type { RoomDay } from './light-choice'
import type { Sky } from './sky'
import { dayRibbon, RIBBON_STEP_MINUTES, type RibbonStep } from './ribbon'
import { capital } from '../words'

/** Colour of a light in a word, by its colour temperature in kelvin; common practice. */
export function lightColourWord(cctK: number): string {
  if (finite(cctK, 'cctK') < 3300) return 'very warm'
  if (cctK < 5000) return 'warm'
  if (cctK < 5800) return 'slightly warm'
  if (cctK < 6700) return 'neutral'
  if (cctK < 8200) return 'cool'
  return 'very cool'
}

/** A few plain sentences on a room's day, with the hours and the figures in them. */
export function daySentences(roomDay: RoomDay, sky: Sky): string[] {
  const { room, day } = roomDay
  const ribbon = dayRibbon(roomDay, sky)
  const factor = daylightFactorPercent(room)
  const lamps = room.lamps.length > 0 ? [] : ['It has no lamp yet; add one to see the evening.']
  if (room.windows.length === 0)
    return ['No window: this room lives by its lamps, at every hour the same.', ...lamps]
  const lit = ribbon.steps.filter((step) => step.cctK !== null && step.illuminanceLux >= 20)
  if (lit.length === 0)
    return ['Too little daylight to judge a colour by today; look under the lamps.', ...lamps]

  const at = (name: string): number | undefined =>
    ribbon.moments.find((moment) => moment.name === name)?.minute
  const warmest = lit.reduce((p, q) => (q.cctK! < p.cctK! ? q : p))
  const coolest = lit.reduce((p, q) => (q.cctK! > p.cctK! ? q : p))
  const amount = `${capital(dimness(factor))} daylight.${curtainWords(room, factor)}`
  const sun = sunSentence(day, ribbon.steps, room.lamps.length > 0)
  const character = even(lit)
    ? `${capital(lightColourWord(middle(lit).cctK!))} and even through the day, about ${round100(middle(lit).cctK!)} K at the wall.`
    : `${capital(lightColourWord(coolest.cctK!))} at ${clockTime(day, coolest.minute)} (${round100(coolest.cctK!)} K), ` +
      `warmest at ${clockTime(day, at('warmest') ?? warmest.minute)} (${round100(warmest.cctK!)} K) for ${spanWords(warmSpanMinutes(lit, warmest))}.`
  const balance = balanceOf(roomDay, sky)
  return [
    amount,
    character,
    ...surfaceWords(roomDay, sky, lit),
    sun,
    ...(balance ? [balance.words] : []),
    ...lamps,
  ]
}

// A surface that moves a light by so many mired is said to have done it: more than common practice has as just seen.
const MOVES_MIRED = 15
// Looked at every half hour.
const EVERY = 30 / RIBBON_STEP_MINUTES

/** Which of a room's own surfaces warms or cools its light, at the hour at which it does most. */
function surfaceWords(
  { room, place, day }: RoomDay,
  sky: Sky,
  lit: readonly RibbonStep[],
): readonly string[] {
  const { surfaces } = room
  if (!surfaces) return []
  const cctAt = (of: LitRoom, minute: number): number | undefined =>
    roomLight(of, place, { utcMs: utcMsAt(day, minute), sky, lampsOn: false })?.cctK
  const asItIs = lit
    .filter((_, i) => i % EVERY === 0)
    .flatMap(({ minute }) => {
      const own = cctAt(room, minute)
      return own ? [{ minute, own }] : []
    })
  return (['floor', 'walls', 'ceiling'] as const).flatMap((name) => {
    if (surfaces[name] === PLAIN_SURFACES[name]) return []
    const plain = { ...room, surfaces: { ...surfaces, [name]: PLAIN_SURFACES[name] } }
    const moved = asItIs.flatMap(({ minute, own }) => {
      const without = cctAt(plain, minute)
      return without ? [{ minute, own, without, mired: 1e6 / own - 1e6 / without }] : []
    })
    if (moved.length === 0) return []
    const most = moved.reduce((p, q) => (Math.abs(q.mired) > Math.abs(p.mired) ? q : p))
    if (Math.abs(most.mired) < MOVES_MIRED) return []
    const [does, grey] = [most.mired > 0 ? 'warm' : 'cool', name === 'ceiling' ? 'white' : 'grey']
    const verb = name === 'walls' ? does : `${does}s`
    return [
      `The ${name} ${verb} this light: at ${clockTime(day, most.minute)} it is ${round100(most.own)} K, where plain ${grey} would leave ${round100(most.without)} K.`,
    ]
  })
}

/** What curtains take, and what that does to colours; nothing where none hangs. */
function curtainWords(room: LitRoom, factor: number): string {
  const bare = daylightFactorPercent({
    ...room,
    windows: room.windows.map((window) => ({ ...window, curtain: 'none' as const })),
  })
  const taken = Math.round(100 * (1 - factor / bare))
  if (taken < 1) return ''
  return ` What hangs at the windows takes ${taken} % of it; with so much less light colours look greyer.`
}

function even(lit: readonly RibbonStep[]): boolean {
  const day = lit.slice(Math.floor(lit.length * 0.15), Math.ceil(lit.length * 0.85))
  const mired = day.map((step) => 1e6 / step.cctK!)
  return Math.max(...mired) - Math.min(...mired) < 25
}

// A light within so many mired of another looks as warm; common practice has 5 to 10 as just seen.
const AS_WARM_MIRED = 10

/** How long the light stays about as warm as at its warmest, minutes. */
function warmSpanMinutes(lit: readonly RibbonStep[], warmest: RibbonStep): number {
  const asWarm = ({ cctK }: RibbonStep): boolean =>
    1e6 / warmest.cctK! - 1e6 / cctK! < AS_WARM_MIRED
  const at = lit.indexOf(warmest)
  let [from, to] = [at, at]
  while (from > 0 && asWarm(lit[from - 1]!)) from--
  while (to < lit.length - 1 && asWarm(lit[to + 1]!)) to++
  return lit[to]!.minute - lit[from]!.minute + RIBBON_STEP_MINUTES
}

function spanWords(minutes: number): string {
  if (minutes < 20) return 'a few minutes'
  if (minutes < 45) return 'half an hour'
  if (minutes < 90) return 'an hour'
  return `${Math.round(minutes / 60)} hours`
}

/** Illuminance on a wall from which pale colours wash out; common practice. */
export const VERY_BRIGHT_LUX = 900

const middle = (lit: readonly RibbonStep[]): RibbonStep => lit[Math.floor(lit.length / 2)]!

function sunSentence(day: LocalDay, steps: readonly RibbonStep[], hasLamps: boolean): string {
  const sunny = steps.filter((step) => step.directSun)
  if (sunny.length === 0)
    return `No direct sun; greys will look greyer than on the chip${hasLamps ? ', look again under the lamps' : ''}.`
  const spans: [RibbonStep, RibbonStep][] = []
  steps.forEach((step, i) => {
    if (!step.directSun) return
    if (steps[i - 1]?.directSun) spans.at(-1)![1] = step
    else spans.push([step, step])
  })
  const said = spans
    .map(([from, to]) => `${clockTime(day, from.minute)} to ${clockTime(day, to.minute)}`)
    .join(' and ')
  const veryBright = sunny.some(({ illuminanceLux }) => illuminanceLux >= VERY_BRIGHT_LUX)
  return `Direct sun from ${said}: warm colours glow then${veryBright ? ', pale ones wash out' : ''}.`
}

const round100 = (cctK: number): string => (Math.round(cctK / 100) * 100).toLocaleString('en-GB')
