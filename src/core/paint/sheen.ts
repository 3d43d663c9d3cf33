import { finiteAll } from '../check'
import { BANDS, type Reflectance } from '../colour/spectrum'

export const SHEENS = ['matt', 'eggshell', 'satin', 'semi-gloss', 'gloss'] as const
/** How shiny a dry paint is; products of one name differ. */
export type Sheen = (typeof SHEENS)[number]

/**
 * Share of the surface reflection that a sheen sends into the mirror direction instead of all around. Orders of
 * magnitude after the usual bands of 60° gloss, common practice.
 */
const MIRRORED: Record<Sheen, number> = {
  matt: 0.03,
  eggshell: 0.12,
  satin: 0.3,
  'semi-gloss': 0.55,
  gloss: 0.85,
}

// Fresnel reflection of paint (index 1.5): 4 % seen straight on, 6 % at the 55° or so a wall is seen at towards a
// window.
const STRAIGHT_ON = 0.04
const TOWARDS_WINDOW = 0.06

// A window is several times as luminous as a white wall beside it, and the mirrored light of a satin is spread
// over more than the window: the mean over the patch that glares, common practice.
const WINDOW_OVER_WHITE = 3

// What still scatters from the darkest paint.
const DARKEST = 0.002

export type SheenView = 'away from the window' | 'towards the window'

/**
 * What a paint sends to the eye in a sheen. A matt surface scatters its own reflection all around, which greys dark
 * colours everywhere; a shiny one is deeper and clearer away from the window and veiled towards it.
 *
 * @param reflectance as read on a matt sample, specular part excluded
 */
export function inSheen(reflectance: Reflectance, sheen: Sheen, view: SheenView): Reflectance {
  const gathered = MIRRORED[sheen] - MIRRORED.matt
  const veil =
    view === 'towards the window'
      ? gathered * TOWARDS_WINDOW * WINDOW_OVER_WHITE
      : -gathered * STRAIGHT_ON
  finiteAll(reflectance, 'reflectances')
  const seen = new Float64Array(BANDS)
  for (let band = 0; band < BANDS; band++)
    seen[band] = Math.min(0.999, Math.max(DARKEST, reflectance[band]! + veil))
  return seen
}
