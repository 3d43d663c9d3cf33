import { finiteAll } from '../check'
import type { Lab } from '../colour/lab'
import type { KeeperKind } from '../pairing/keeper-kind'
import type { Uncertainty } from './reading'

/** What a plain finish is made of: each has a field of colours of its own to be matched in by eye. */
export const STUFFS = ['wood', 'white', 'paint', 'stone', 'cloth', 'metal'] as const
export type Stuff = (typeof STUFFS)[number]

export const STUFF_WORDS: Record<Stuff, string> = {
  wood: 'wood',
  white: 'white paint',
  paint: 'any paint',
  stone: 'stone and clay',
  cloth: 'cloth and leather',
  metal: 'metal',
}

/** What a kind of finish may be made of, the likeliest first (common practice). */
export const STUFFS_OF: Record<KeeperKind, readonly [Stuff, ...Stuff[]]> = {
  floor: ['wood', 'stone', 'paint'],
  fireplace: ['stone', 'white', 'paint', 'metal'],
  stone: ['stone'],
  counter: ['stone', 'wood', 'white', 'metal'],
  tile: ['stone', 'white', 'paint'],
  panelling: ['wood', 'white', 'paint'],
  cabinets: ['paint', 'wood', 'white'],
  door: ['white', 'paint', 'wood'],
  trim: ['white', 'wood', 'paint'],
  metal: ['metal'],
  carpet: ['cloth'],
  appliance: ['metal', 'white', 'paint'],
  upholstery: ['cloth', 'wood'],
  curtain: ['cloth', 'white'],
  mirror: ['metal', 'wood'],
  rug: ['cloth'],
  other: ['paint', 'wood', 'metal'],
  cushion: ['cloth'],
  art: ['paint'],
}

// A line of a field: colours of one lean, from light to deep.
interface LeanLine {
  readonly hueDeg: number
  /** Chroma in mid depth; nearer white and black there is room for less. */
  readonly chroma: number
}

interface Field {
  /** L* of its rows, light to deep. */
  readonly lightness: readonly number[]
  readonly lines: readonly LeanLine[]
}

const line = (hueDeg: number, chroma: number): LeanLine => ({ hueDeg, chroma })

// Where finishes of each stuff lie (common practice). Metals are matched by what they look like on the whole.
const FIELDS: Record<Stuff, Field> = {
  wood: {
    lightness: [84, 75, 66, 57, 48, 39, 30, 21],
    lines: [
      line(75, 5),
      line(78, 14),
      line(40, 20),
      line(58, 24),
      line(72, 24),
      line(82, 26),
      line(48, 34),
      line(64, 36),
      line(76, 38),
    ],
  },
  white: {
    lightness: [98, 96, 94, 92, 90, 87, 84, 80],
    lines: [
      line(255, 4.5),
      line(190, 2.5),
      line(90, 0.5),
      line(40, 4),
      line(75, 5),
      line(100, 5),
      line(68, 11),
      line(90, 11),
      line(85, 19),
    ],
  },
  paint: {
    lightness: [96, 88, 79, 69, 58, 47, 36, 25, 15],
    lines: [
      line(90, 0.5),
      line(250, 7),
      line(50, 8),
      line(88, 9),
      line(145, 9),
      line(10, 22),
      line(40, 34),
      line(75, 30),
      line(95, 34),
      line(135, 22),
      line(200, 20),
      line(265, 24),
      line(310, 20),
    ],
  },
  stone: {
    lightness: [95, 86, 77, 68, 58, 48, 38, 27, 16],
    lines: [
      line(90, 0.7),
      line(255, 5),
      line(310, 6),
      line(160, 6),
      line(30, 7),
      line(70, 7),
      line(98, 8),
      line(60, 15),
      line(82, 16),
      line(40, 26),
      line(72, 28),
    ],
  },
  cloth: {
    lightness: [93, 84, 75, 65, 55, 45, 35, 25],
    lines: [
      line(85, 1.5),
      line(255, 7),
      line(55, 9),
      line(88, 12),
      line(140, 10),
      line(15, 24),
      line(35, 36),
      line(62, 30),
      line(85, 42),
      line(120, 24),
      line(190, 24),
      line(265, 26),
      line(325, 24),
    ],
  },
  metal: {
    lightness: [82, 74, 66, 57, 48, 38, 27, 16],
    lines: [
      line(250, 2),
      line(85, 2),
      line(75, 8),
      line(60, 16),
      line(80, 22),
      line(50, 33),
      line(66, 34),
      line(82, 38),
      line(88, 50),
    ],
  },
}

// Whites are told apart by less than anything else.
const FINER: Partial<Record<Stuff, number>> = { white: 0.4, stone: 0.8 }

// Near white and near black there is less room for colour: from these depths on chroma goes down to nothing.
const RISES = { fromL: -12, toL: 40 } as const
const FADES = { fromL: 74, toL: 104 } as const
const WHITE_FADES = { fromL: 88, toL: 100 }

function onLine(l: number, { hueDeg, chroma }: LeanLine, stuff: Stuff): Lab {
  const fades = stuff === 'white' ? WHITE_FADES : FADES
  const room = Math.min(
    1,
    (fades.toL - l) / (fades.toL - fades.fromL),
    (l - RISES.fromL) / (RISES.toL - RISES.fromL),
  )
  const hue = (hueDeg * Math.PI) / 180
  return [l, chroma * room * Math.cos(hue), chroma * room * Math.sin(hue)]
}

/** Colours in rows of equal length, light to deep. */
export type ColourField = readonly (readonly Lab[])[]

/** The first field of a stuff: rows of L*a*b* (D65, 2°), a lean a column. */
export function firstField(stuff: Stuff): ColourField {
  const { lightness, lines } = FIELDS[stuff]
  return lightness.map((l) => lines.map((each) => onLine(l, each, stuff)))
}

// Steps of the second field, L*a*b* units: lighter to deeper by row; by column three strengths, each in three leans. What is
// strong is told apart by a share of its chroma.
const STEP = { l: 3, lean: 3.5, leanOfChroma: 0.1, strength: 5, strengthOfChroma: 0.18 } as const
const ROWS = [2, 1, 0, -1, -2]
const COLUMNS = [-1, 0, 1].flatMap((strength) =>
  [-1, 0, 1].map((lean) => [strength, lean] as const),
)
const [DEEPEST_L, LIGHTEST_L] = [4, 99]

/** The field around a colour that was tapped in the first: rows lighter to deeper; greyer, alike and stronger, each in three leans. */
export function secondField(stuff: Stuff, [l, a, b]: Lab): ColourField {
  finiteAll([l, a, b], 'L*, a*, b*')
  const finer = FINER[stuff] ?? 1
  const chroma = Math.hypot(a, b)
  const hue = Math.atan2(b, a)
  const stronger = finer * Math.max(STEP.strength, STEP.strengthOfChroma * chroma)
  const aside = finer * Math.max(STEP.lean, STEP.leanOfChroma * chroma)
  return ROWS.map((row) =>
    COLUMNS.map(([strength, lean]): Lab => {
      const [c, t] = [chroma + stronger * strength, aside * lean]
      return [
        Math.min(LIGHTEST_L, Math.max(DEEPEST_L, l + finer * STEP.l * row)),
        c * Math.cos(hue) - t * Math.sin(hue),
        c * Math.sin(hue) + t * Math.cos(hue),
      ]
    }),
  )
}

/** Which way a colour can be nudged at last. */
export const NUDGES = ['lighter', 'darker', 'pinker', 'greener', 'yellower', 'bluer'] as const
export type Nudge = (typeof NUDGES)[number]

// L*a*b* units: what an eye just sees of two surfaces that touch, and a little more.
const NUDGE_BY: Record<Nudge, Lab> = {
  lighter: [1.5, 0, 0],
  darker: [-1.5, 0, 0],
  pinker: [0, 1.5, 0],
  greener: [0, -1.5, 0],
  yellower: [0, 0, 2],
  bluer: [0, 0, -2],
}

/** A colour a touch lighter, pinker, yellower and so on. */
export function nudged([l, a, b]: Lab, nudge: Nudge): Lab {
  finiteAll([l, a, b], 'L*, a*, b*')
  const [dl, da, db] = NUDGE_BY[nudge]
  return [Math.min(LIGHTEST_L, Math.max(DEEPEST_L, l + dl)), a + da, b + db]
}

/**
 * How far a colour matched in a field may lie off, CAM16-UCS units, as an expanded uncertainty: measured with simulated eyes
 * over the finishes of `ratings/` (`simulated-match.fixture.ts` has their spread), see docs/model.md.
 */
export const EYE_FIELD_UNCERTAINTY: Record<Stuff, Uncertainty> = {
  wood: { lean: 3, lightness: 4.5 },
  white: { lean: 4, lightness: 4 },
  paint: { lean: 5.5, lightness: 4.5 },
  stone: { lean: 4, lightness: 4 },
  cloth: { lean: 5.5, lightness: 4.5 },
  metal: { lean: 4, lightness: 4.5 },
}
