import { checkedDay, utcMsAt } from './day-clock'
import { LAMPS_LIT_BELOW_LUX, pinsOf, type RoomDay } from './light-choice'
import { pinned } from './meter'
import { roomLight, type LightParts } from './room-light'
import type { Sky } from './sky'
import { sunPosition } from './sun-position'

/** One step of a room's day, daylight only. */
export interface RibbonStep {
  readonly minute: number
  /** At the wall, lux; 0 in the dark. */
  readonly illuminanceLux: number
  /** Kelvin; null in the dark. */
  readonly cctK: number | null
  readonly directSun: boolean
  /** Shares of sky, sun, ground, bounce and lamp, lux; null in the dark. */
  readonly parts: LightParts | null
}

/** A room's daylight from before dawn into the night. */
export interface Ribbon {
  readonly steps: readonly RibbonStep[]
  readonly moments: readonly NamedMoment[]
}

export type MomentName = 'coolest' | 'brightest' | 'warmest' | 'sun in' | 'sun out' | 'lamps only'

export interface NamedMoment {
  readonly name: MomentName
  readonly minute: number
}

export const RIBBON_STEP_MINUTES = 10
// The picture runs on this long before dawn and into the night, where the lamps stand.
const BEFORE_DAWN_MINUTES = 30
const AFTER_DARK_MINUTES = 120
// Below this a moment is dusk, not a time to judge by daylight.
const DAYLIGHT_FROM_LUX = 20
const TWILIGHT_DEG = -6

/** Daylight every ten minutes, and the moments that matter. A polar night has steps but no moments. */
export function dayRibbon(roomDay: RoomDay, sky: Sky): Ribbon {
  const { room, place, day } = roomDay
  checkedDay(day)
  const pins = pinsOf(roomDay)
  const [from, to] = litSpan(roomDay)
  const steps: RibbonStep[] = []
  for (let minute = from; minute <= to; minute += RIBBON_STEP_MINUTES) {
    const modelled = roomLight(room, place, { utcMs: utcMsAt(day, minute), sky, lampsOn: false })
    const light = modelled && pinned(modelled, pins)
    steps.push({
      minute,
      illuminanceLux: light?.illuminanceLux ?? 0,
      cctK: light?.cctK ?? null,
      directSun: light?.directSun ?? false,
      parts: light?.parts ?? null,
    })
  }
  return { steps, moments: namedMoments(steps, room.lamps.length > 0) }
}

function litSpan({ place, day }: RoomDay): readonly [number, number] {
  const last = day.lengthMinutes - RIBBON_STEP_MINUTES
  let first = -1
  let final = -1
  for (let minute = 0; minute <= last; minute += RIBBON_STEP_MINUTES)
    if (sunPosition(place, utcMsAt(day, minute)).altitudeDeg > TWILIGHT_DEG) {
      if (first < 0) first = minute
      final = minute
    }
  // Polar night: the waking day.
  if (first < 0) return [8 * 60, 22 * 60]
  return [
    Math.max(0, first - BEFORE_DAWN_MINUTES),
    Math.min(last, Math.max(final + AFTER_DARK_MINUTES, Math.min(last, 22 * 60))),
  ]
}

function namedMoments(steps: readonly RibbonStep[], hasLamps: boolean): NamedMoment[] {
  const lit = steps.filter((step) => step.cctK !== null && step.illuminanceLux >= DAYLIGHT_FROM_LUX)
  if (lit.length === 0) return []
  const best = (score: (step: RibbonStep) => number): RibbonStep =>
    lit.reduce((p, q) => (score(q) > score(p) ? q : p))
  const moments: NamedMoment[] = [
    { name: 'warmest', minute: best((step) => -step.cctK!).minute },
    { name: 'coolest', minute: best((step) => step.cctK!).minute },
    { name: 'brightest', minute: best((step) => step.illuminanceLux).minute },
  ]
  steps.forEach((step, i) => {
    if (step.directSun && !steps[i - 1]?.directSun)
      moments.push({ name: 'sun in', minute: step.minute })
    if (!step.directSun && steps[i - 1]?.directSun)
      moments.push({ name: 'sun out', minute: step.minute })
  })
  const lastLit = steps.findLastIndex((step) => step.illuminanceLux >= LAMPS_LIT_BELOW_LUX)
  if (hasLamps && lastLit >= 0 && lastLit < steps.length - 1)
    moments.push({ name: 'lamps only', minute: steps[lastLit + 1]!.minute })
  return moments.sort((p, q) => p.minute - q.minute)
}
