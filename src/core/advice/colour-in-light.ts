import { correlatesOfXyz, viewingAt, WHITE_CARD, type PreparedLight } from '../colour/appearance'
import type { Cam16, Cam16Viewing } from '../colour/cam16'
import {
  BLOCK,
  coneResponses,
  conesOf,
  correlate,
  flatViewing,
  foldedWeights,
  scratch,
  type FlatRows,
} from '../colour/flat-appearance'
import { xyzUnder } from '../colour/observer'
import { GOLD_DEG } from '../undertone/warmth'
import { BANDS, type Reflectance, type Xyz } from '../colour/spectrum'
import { VERY_BRIGHT_LUX } from '../light/light-words'
import { chanceOver } from '../chance-over'

/** What a light does to one colour, each a chance 0 to 1. */
export interface ColourInLight {
  /** Hardly any colour is left above a grey of its lightness, in dim light. */
  readonly dingy: number
  /** A strong gold or gold-brown in cool, weak light. */
  readonly muddy: number
  /** A creamy white whose little warmth sinks in dim light. */
  readonly losesWarmth: number
  /** Hardly anything is left between it and white, in very strong light. */
  readonly washesOut: number
}

/** An ordinarily lit wall, to compare with. */
const ORDINARY_LUX = 500
/** Share of veiling light that strong light lays over a wall; of the order of a sheen of eggshell. */
const VEIL = 0.06
// In less, nothing washes out that anyone could tell.
const HARDLY_BRIGHT = 1e-3
/** A cool white goes dingy too, up to so much lighter than a grey. */
const COOL_WHITE_TOO = 8

interface Eye {
  readonly here: Cam16Viewing
  readonly ordinary: Cam16Viewing
  readonly white: Cam16
  readonly bright: number
  /** Over 1 in cool light. */
  readonly coolness: number
  /** From reflectance to cone responses; the gains of both viewings are the same. */
  readonly weights: Float64Array
}

const eyes = new WeakMap<PreparedLight, Eye>()

function eyeIn(light: PreparedLight): Eye {
  const known = eyes.get(light)
  if (known) return known
  const here = viewingAt(light.illuminanceLux)
  const eye: Eye = {
    here,
    ordinary: viewingAt(ORDINARY_LUX),
    white: correlatesOfXyz(light, xyzUnder(light.weights, WHITE_CARD), here),
    bright: chanceOver(Math.log(light.illuminanceLux / VERY_BRIGHT_LUX) / 0.25),
    coolness: light.white[2] / light.white[1],
    weights: foldedWeights(light, conesOf(light, here)),
  }
  eyes.set(light, eye)
  return eye
}

/** What of CAM16 the chances hang on, at a wall so lit and at an ordinarily lit one. */
interface Correlates {
  readonly J: number
  readonly M: number
  /** Cosine of the hue's angle from gold. */
  readonly gold: number
}

const towardsGold = (h: number): number => Math.cos(((h - GOLD_DEG) * Math.PI) / 180)

/**
 * What a light does to a colour, in CAM16 in the light's own luminance. All are reckoned from what is *left*: the share
 * of colourfulness that dim light takes is nearly the same for all colours, a constant of the room.
 *
 * Common practice: greys, taupes and cool whites go dingy in dim rooms; pale colours wash out in very bright ones, deep
 * ones never; gold-browns go muddy in cool light.
 */
export function colourInLight(light: PreparedLight, reflectance: Reflectance): ColourInLight {
  const eye = eyeIn(light)
  const xyz = xyzUnder(light.weights, reflectance)
  const here = correlatesOfXyz(light, xyz, eye.here)
  const ordinary = correlatesOfXyz(light, xyz, eye.ordinary)
  const [atHere, atOrdinary] = [here, ordinary].map(({ J, M, h }) => ({
    J,
    M,
    gold: towardsGold(h),
  }))
  return chancesOf(atHere!, atOrdinary!, here.Q / ordinary.Q, eye, () =>
    washed(light, reflectance, eye),
  )
}

function chancesOf(
  here: Correlates,
  ordinary: Correlates,
  brightnessLeft: number,
  { coolness, bright }: Eye,
  washedHere: () => number,
): ColourInLight {
  // Brightness left of that at 500 lx: 0.67 at 60 lx.
  const dim = chanceOver((0.82 - brightnessLeft) / 0.06)
  const cool = chanceOver(-here.M * here.gold - 1)
  return {
    dingy:
      dim *
      chanceOver((7.5 - here.M) / 1.2) *
      // Whites keep by their lightness, near-blacks have nothing to lose.
      chanceOver((here.J - 28) / 6) *
      chanceOver((84 + COOL_WHITE_TOO * cool - here.J) / 4),
    muddy:
      dim *
      chanceOver((ordinary.M - 22) / 3) *
      chanceOver((ordinary.gold - 0.75) / 0.1) *
      chanceOver((62 - here.J) / 5) *
      chanceOver(6 * (coolness - 0.95)),
    losesWarmth:
      dim *
      chanceOver(ordinary.M - 5) *
      chanceOver(8 - here.M) *
      chanceOver((ordinary.J - 84) / 4) *
      chanceOver((ordinary.gold - 0.3) / 0.15),
    washesOut: bright > HARDLY_BRIGHT ? washedHere() : 0,
  }
}

function washed(light: PreparedLight, reflectance: Reflectance, eye: Eye): number {
  const xyz = xyzUnder(light.weights, reflectance)
  const [x, y, z] = light.white
  const veiled: Xyz = [
    (1 - VEIL) * xyz[0] + VEIL * x,
    (1 - VEIL) * xyz[1] + VEIL * y,
    (1 - VEIL) * xyz[2] + VEIL * z,
  ]
  const { J, M } = correlatesOfXyz(light, veiled, eye.here)
  return eye.bright * chanceOver((30 - (eye.white.J - J)) / 4) * chanceOver((8.5 - M) / 1.5)
}

const GOLD = [Math.cos((GOLD_DEG * Math.PI) / 180), Math.sin((GOLD_DEG * Math.PI) / 180)] as const

/** J, M and the hue's cosine from gold of a block of surfaces under one viewing, into new columns. */
function correlatesOfBlock(
  { weights }: Eye,
  viewing: Cam16Viewing,
  rows: FlatRows,
  first: number,
  count: number,
): Correlates[] {
  const { m, s, lightness, chroma } = scratch
  coneResponses(rows, first, count, weights)
  correlate(flatViewing(viewing), count)
  const all: Correlates[] = []
  for (let i = 0; i < count; i++)
    all.push({
      J: 100 * lightness[i]!,
      M: chroma[i]! * viewing.flRoot4,
      gold: m[i]! * GOLD[0] + s[i]! * GOLD[1],
    })
  return all
}

/**
 * The same of many surfaces, one answer each, in their order.
 *
 * @param rows reflectances, 36 numbers a surface
 */
export function coloursInLight(light: PreparedLight, rows: FlatRows): ColourInLight[] {
  const eye = eyeIn(light)
  // Q goes with the square root of J.
  const whiteLeft = brightnessOfWhite(eye.here) / brightnessOfWhite(eye.ordinary)
  const all: ColourInLight[] = []
  const total = rows.length / BANDS
  for (let first = 0; first < total; first += BLOCK) {
    const count = Math.min(BLOCK, total - first)
    const here = correlatesOfBlock(eye, eye.here, rows, first, count)
    const ordinary = correlatesOfBlock(eye, eye.ordinary, rows, first, count)
    for (let i = 0; i < count; i++) {
      const left = whiteLeft * Math.sqrt(here[i]!.J / ordinary[i]!.J)
      const row = (first + i) * BANDS
      all.push(
        chancesOf(here[i]!, ordinary[i]!, left, eye, () =>
          washed(light, Float64Array.from(rows.subarray(row, row + BANDS)), eye),
        ),
      )
    }
  }
  return all
}

const brightnessOfWhite = ({ whiteA, flRoot4 }: Cam16Viewing): number => (whiteA + 4) * flRoot4
