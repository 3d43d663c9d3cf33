import { appearanceOf, type PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { GOLD_DEG } from '../undertone/warmth'
import { hueName, NO_LEAN_BELOW, type HueName } from '../undertone/hue-name'
import type { HouseRules } from '../advice/house-rules'
import { isBad, isGood, LIKELY_FROM } from '../pairing/chance'
import { chanceOfPair } from '../pairing/judge-pair'
import { roleOf } from '../pairing/role'
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

/** How much warmer a colour reads in the day's warmest light than in its coolest, CAM16-UCS units towards gold. */
export interface Warming {
  readonly minute: number
  readonly units: number
}

const GOLD = [Math.cos((GOLD_DEG * Math.PI) / 180), Math.sin((GOLD_DEG * Math.PI) / 180)] as const

/**
 * What the warmest light of the day does to a colour as it is drawn, to an eye that has not fully adapted.
 *
 * @returns null for a day without light
 */
export function warming(day: readonly DayLight[], reflectance: Reflectance): Warming | null {
  const golden = day.map(({ minute, prepared }) => {
    const [, a, b] = appearanceOf(prepared, reflectance).ucs
    return { minute, gold: a * GOLD[0] + b * GOLD[1] }
  })
  const [first] = golden
  if (!first) return null
  const warmest = golden.reduce((p, q) => (q.gold > p.gold ? q : p))
  const coolest = golden.reduce((p, q) => (q.gold < p.gold ? q : p))
  return { minute: warmest.minute, units: warmest.gold - coolest.gold }
}

// The finishes asked about: every fifth degree, as deep and as strong as woods, stones and tiles are (common practice).
const ASKED_J = [40, 52, 64, 76] as const
const ASKED_LEAN = [5, 9, 14] as const
// Over all depths and strengths together; depth alone spoils some of every lean, so a lean is refused where it falls behind the best.
const TAKEN_FROM = LIKELY_FROM
const REFUSED = { below: 0.55, behind: 0.15 } as const

/** Which way a finish may lean beside a wall colour, and which way it may not. */
export interface FinishesItTakes {
  readonly takes: readonly HueName[]
  readonly rejects: readonly HueName[]
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length

/** What a wall colour asks of fixed finishes that are read well, all around the hues. */
export function finishesItTakes(wall: Undertone, rules: HouseRules): FinishesItTakes {
  const role = roleOf('stone', rules)
  const around = Array.from({ length: 72 }, (_, step) => {
    const hueDeg = 5 * step
    const angle = (hueDeg * Math.PI) / 180
    const chances = ASKED_J.flatMap((j) =>
      ASKED_LEAN.map((c) =>
        chanceOfPair(
          { undertone: wall, source: 'spectral' },
          {
            undertone: leaning(j, c * Math.cos(angle), c * Math.sin(angle)),
            source: 'spectral',
          },
          role,
        ),
      ),
    )
    return { name: hueName(hueDeg), mean: meanOf(chances) }
  })
  const best = Math.max(...around.map(({ mean }) => mean))
  const named = (is: (mean: number) => boolean): Set<HueName> =>
    new Set(around.filter(({ mean }) => is(mean)).map(({ name }) => name))
  const takes = named((mean) => mean >= TAKEN_FROM)
  const rejects = named((mean) => mean < REFUSED.below && best - mean > REFUSED.behind)
  // A name that is taken and rejected in part is left unsaid.
  const only = (of: Set<HueName>, not: Set<HueName>): HueName[] =>
    [...of].filter((name) => !not.has(name))
  return { takes: only(takes, rejects), rejects: only(rejects, takes) }
}

/** How a wall sits with a fixed finish that is there, in the light at hand. */
export interface SitsHere {
  readonly undertone: Undertone
  /** That the two work. */
  readonly chance: number
}

/** What holds of most finishes of a lean is not said over the head of one that is there and of which the pair says otherwise. */
export function asHere(
  { takes, rejects }: FinishesItTakes,
  here: readonly SitsHere[],
): FinishesItTakes {
  const leans = (is: (chance: number) => boolean): readonly HueName[] =>
    here.filter(({ chance }) => is(chance)).map(({ undertone }) => hueName(undertone.hueDeg))
  const [fail, work] = [leans(isBad), leans(isGood)]
  return {
    takes: takes.filter((name) => !fail.includes(name)),
    rejects: rejects.filter((name) => !work.includes(name)),
  }
}
