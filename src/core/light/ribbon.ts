import { utcMsAt } from './day-clock'
import type { RoomDay } from './light-choice'
import { roomLight } from './room-light'
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
}

/** A room's daylight from before dawn into the night. */
export interface Ribbon {
  readonly steps: readonly RibbonStep[]
  readonly moments: readonly NamedMoment[]
}

export type MomentName = 'coolest' | 'brightest' | 'warmest' | 'sun in' | 'sun out'

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
export function dayRibbon({ room, place, day }: RoomDay, sky: Sky): Ribbon {
  const [from, to] = litSpan({ room, place, day })
  const steps: RibbonStep[] = []
  for (let minute = from; minute <= to; minute += RIBBON_STEP_MINUTES) {
    const light = roomLight(room, place, { utcMs: utcMsAt(day, minute), sky, lampsOn: false })
    steps.push({
      minute,
      illuminanceLux: light?.illuminanceLux ?? 0,
      cctK: light?.cctK ?? null,
      directSun: light?.directSun ?? false,
    })
  }
  return { steps, moments: namedMoments(steps) }
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

function namedMoments(steps: readonly RibbonStep[]): NamedMoment[] {
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
  return moments.sort((p, q) => p.minute - q.minute)
}
