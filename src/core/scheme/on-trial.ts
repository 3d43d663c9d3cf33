import { correlatesInRoom, type PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { hueName, NO_LEAN_BELOW, type HueName } from '../undertone/hue-name'
import { gradeOf, verdictOfGrade } from '../pairing/pair-grade'
import { pairingOf } from '../pairing/pairing'
import { leaning, undertoneOf, type Undertone } from '../undertone/undertone'

/** A light of the day and when. */
export interface DayLight {
  readonly minute: number
  readonly prepared: PreparedLight
}

/** From a minute on a colour leans this way; null where it has no lean. */
export interface Turn {
  readonly minute: number
  readonly lean: HueName | null
}

// A name held for less than this is a flicker at a border, not a turn.
const HELD_STEPS = 3

const leanIn = ({ prepared }: DayLight, reflectance: Reflectance): HueName | null => {
  const { c, hueDeg } = undertoneOf(prepared, reflectance)
  return c < NO_LEAN_BELOW ? null : hueName(hueDeg)
}

/** How a colour leans through the day: its first lean, then every turn to another. Lights in the day's order. */
export function turnsOf(day: readonly DayLight[], reflectance: Reflectance): Turn[] {
  const turns: Turn[] = []
  let held = 0
  const leans = day.map((light) => leanIn(light, reflectance))
  leans.forEach((lean, i) => {
    held = i > 0 && leans[i - 1] === lean ? held + 1 : 1
    const first = i - held + 1
    if ((held === HELD_STEPS || i === 0) && turns.at(-1)?.lean !== lean)
      turns.push({ minute: day[Math.max(0, first)]!.minute, lean })
  })
  return turns
}

/** What becomes of a colour in the day's strongest and weakest light, beside an ordinary 300 lux. */
export interface Extremes {
  /** Saturation in the brightest light over that in the dimmest, under 1 where it washes out. */
  readonly saturationKept: number
  /** Brightness in the dimmest light over that in the brightest, under 1 where it goes dingy. */
  readonly brightnessKept: number
}

/** @returns null with no light to see by */
export function extremesOf(day: readonly DayLight[], reflectance: Reflectance): Extremes | null {
  const byLux = [...day].sort((p, q) => p.prepared.illuminanceLux - q.prepared.illuminanceLux)
  const [dimmest, brightest] = [byLux[0], byLux.at(-1)]
  if (!dimmest || !brightest) return null
  const [low, high] = [dimmest, brightest].map(({ prepared }) =>
    correlatesInRoom(prepared, reflectance),
  )
  return {
    saturationKept: low!.s > 0 ? high!.s / low!.s : 1,
    brightnessKept: low!.Q / high!.Q,
  }
}

// The finishes asked about: every tenth degree, a quiet to middling lean, as light as a wood or a stone.
const ASKED_LEAN = 6
const ASKED_J = 65

/** Which way a finish may lean beside a wall colour, and which way it may not. */
export interface FinishesItTakes {
  readonly takes: readonly HueName[]
  readonly rejects: readonly HueName[]
}

/** What a wall colour asks of finishes, by the pairing table all around the hues. */
export function finishesItTakes(wall: Undertone): FinishesItTakes {
  const takes = new Set<HueName>()
  const rejects = new Set<HueName>()
  for (let hueDeg = 0; hueDeg < 360; hueDeg += 5) {
    const angle = (hueDeg * Math.PI) / 180
    const finish = leaning(ASKED_J, ASKED_LEAN * Math.cos(angle), ASKED_LEAN * Math.sin(angle))
    const verdict = verdictOfGrade(gradeOf(pairingOf(wall, finish), wall, finish))
    if (verdict === 'works') takes.add(hueName(hueDeg))
    if (verdict === 'no') rejects.add(hueName(hueDeg))
  }
  // A name that is taken and rejected in part is left unsaid.
  const only = (of: Set<HueName>, not: Set<HueName>): HueName[] =>
    [...of].filter((name) => !not.has(name))
  return { takes: only(takes, rejects), rejects: only(rejects, takes) }
}
