import { correlatesOfXyz, viewingAt, WHITE_CARD, type PreparedLight } from '../colour/appearance'
import type { Cam16, Cam16Viewing } from '../colour/cam16'
import { xyzUnder } from '../colour/observer'
import { GOLD_DEG } from '../undertone/warmth'
import type { Reflectance, Xyz } from '../colour/spectrum'
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
/** A cool white goes dingy too, up to so much lighter than a grey. */
const COOL_WHITE_TOO = 8

interface Eye {
  readonly here: Cam16Viewing
  readonly ordinary: Cam16Viewing
  readonly white: Cam16
  readonly bright: number
  /** Over 1 in cool light. */
  readonly coolness: number
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
  }
  eyes.set(light, eye)
  return eye
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
  // Brightness left of that at 500 lx: 0.67 at 60 lx.
  const dim = chanceOver((0.82 - here.Q / ordinary.Q) / 0.06)
  const cool = chanceOver(-here.M * towardsGold(here.h) - 1)
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
      chanceOver((towardsGold(ordinary.h) - 0.75) / 0.1) *
      chanceOver((62 - here.J) / 5) *
      chanceOver(6 * (eye.coolness - 0.95)),
    losesWarmth:
      dim *
      chanceOver(ordinary.M - 5) *
      chanceOver(8 - here.M) *
      chanceOver((ordinary.J - 84) / 4) *
      chanceOver((towardsGold(ordinary.h) - 0.3) / 0.15),
    washesOut: eye.bright > 0 ? eye.bright * pale(light, xyz, eye) : 0,
  }
}

function pale(light: PreparedLight, xyz: Xyz, { here, white }: Eye): number {
  const [x, y, z] = light.white
  const veiled: Xyz = [
    (1 - VEIL) * xyz[0] + VEIL * x,
    (1 - VEIL) * xyz[1] + VEIL * y,
    (1 - VEIL) * xyz[2] + VEIL * z,
  ]
  const { J, M } = correlatesOfXyz(light, veiled, here)
  return chanceOver((30 - (white.J - J)) / 4) * chanceOver((8.5 - M) / 1.5)
}
