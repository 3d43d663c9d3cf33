import { checkedDay } from './day-clock'
import { appearanceOf, prepareLight } from '../colour/appearance'
import { flatReflectance } from '../colour/spectrum'
import { compassPoint, compassWord } from './aspect'
import { lightOf, type RoomDay } from './light-choice'
import type { RoomWindow } from './room'
import type { Sky } from './sky'

/** How far a grey's colour moves through the day under all windows, and under those of each side alone; CAM16-UCS units. */
export interface Balance {
  readonly together: number
  readonly alone: readonly number[]
  readonly words: string
}

const GREY = flatReflectance(0.43)
const STEP_MINUTES = 60
// Under this it is dusk, not a time to judge by daylight.
const DAYLIGHT_FROM_LUX = 20

/**
 * What windows on several sides do for one another: how much steadier a grey stays through the day than with either side
 * alone.
 *
 * @returns null for a room lit from one side, or not at all
 */
export function balanceOf(roomDay: RoomDay, sky: Sky): Balance | null {
  const sides = new Map<string, RoomWindow[]>()
  for (const window of roomDay.room.windows) {
    const point = compassPoint(window.bearingDeg)
    sides.set(point, [...(sides.get(point) ?? []), window])
  }
  if (sides.size < 2) return null
  const swing = (windows: readonly RoomWindow[]): number =>
    swingOfGrey({ ...roomDay, room: { ...roomDay.room, windows } }, sky)
  const together = swing(roomDay.room.windows)
  const groups = [...sides.values()]
  const alone = groups.map(swing)
  const steadiest = alone.indexOf(Math.min(...alone))
  const by = `the ${compassWord(groups[steadiest]![0]!.bearingDeg)} side alone`
  const than = alone[steadiest]! - together
  const compared =
    than > SAME
      ? `steadier than it would be with ${by}`
      : than < -SAME
        ? `less steady than it would be with ${by}`
        : `no steadier than it would be with ${by}`
  return {
    together,
    alone,
    words: `Light from ${sides.size} sides: through the day a grey ${changes(together)}, ${compared}.`,
  }
}

// So little apart nobody sees: CAM16-UCS units.
const SAME = 0.5

/** What a grey does that moves so far through the day, CAM16-UCS units; common practice: one is hardly seen, four plainly. */
function changes(units: number): string {
  if (units < 1.5) return 'keeps its colour'
  if (units < 4) return 'turns a little, which shows beside a white'
  return 'turns plainly, so look at it early and late'
}

/** The farthest that a grey, as it is drawn, lies from itself at another hour. */
function swingOfGrey(roomDay: RoomDay, sky: Sky): number {
  checkedDay(roomDay.day)
  const seen: (readonly [number, number])[] = []
  for (let minute = 0; minute < roomDay.day.lengthMinutes; minute += STEP_MINUTES) {
    const choice = { source: 'room', minute, sky, lampsOn: false, spot: 'walls' } as const
    const light = lightOf({ ...roomDay, room: { ...roomDay.room, lamps: [] } }, choice)
    if (!light || light.illuminanceLux < DAYLIGHT_FROM_LUX) continue
    const [, a, b] = appearanceOf(prepareLight(light.spectrum, light.illuminanceLux), GREY).ucs
    seen.push([a, b])
  }
  return Math.max(0, ...seen.flatMap(([a, b]) => seen.map(([p, q]) => Math.hypot(a - p, b - q))))
}
