import { prepareLight, type PreparedLight } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { undertoneOf, type Undertone } from '@/core/undertone/undertone'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import { dayRibbon } from '@/core/light/ribbon'

/** Something that leans: a part of a keeper, or a candidate. */
export interface Leaning {
  readonly id: string
  readonly name: string
  readonly kind: 'keeper' | 'candidate'
  readonly reflectance: Reflectance
}

export interface RoseMark extends Leaning {
  readonly undertone: Undertone
  /** Where it goes through the day. */
  readonly trail: readonly RosePlace[]
}

/** −1 to 1 each way, pink to the right, yellow up. */
export type RosePlace = readonly [x: number, y: number]

// A lean this strong stands at the rim; beyond it marks pile up there.
const RIM_LEAN = 24
const TRAIL_STEP_MINUTES = 60

/** Weak leans get more room than strong ones: the root of their share of the rim. */
function place({ a, b, c }: Undertone): RosePlace {
  if (c === 0) return [0, 0]
  const reach = Math.sqrt(Math.min(1, c / RIM_LEAN)) / c
  return [a * reach, -b * reach]
}

/** Where each thing goes through the room's day, hour by hour. */
export function roseTrails(
  things: readonly Leaning[],
  roomDay: RoomDay,
  sky: LightChoice['sky'],
): ReadonlyMap<string, RoseMark['trail']> {
  const hours = dayRibbon(roomDay, sky).steps.flatMap(({ minute, illuminanceLux }) => {
    if (minute % TRAIL_STEP_MINUTES !== 0 || illuminanceLux < 5) return []
    const light = lightOf(roomDay, { source: 'room', minute, sky, lampsOn: false, spot: 'walls' })
    return light ? [prepareLight(light.spectrum, light.illuminanceLux)] : []
  })
  return new Map(
    things.map(({ id, reflectance }) => [
      id,
      hours.map((light) => place(undertoneOf(light, reflectance))),
    ]),
  )
}

/** Where one thing stands on the rose in a light. */
export const rosePlace = (light: PreparedLight, reflectance: Reflectance): RosePlace =>
  place(undertoneOf(light, reflectance))

/** Where each thing leans in the light of the moment, and its trail. */
export function roseMarks(
  things: readonly Leaning[],
  now: PreparedLight,
  trails: ReturnType<typeof roseTrails>,
): RoseMark[] {
  return things.map((thing) => ({
    ...thing,
    undertone: undertoneOf(now, thing.reflectance),
    trail: trails.get(thing.id) ?? [],
  }))
}
