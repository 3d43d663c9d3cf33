import ratings from '../../../ratings/pairs.json' with { type: 'json' }
import { UCS_VIEWING } from '../colour/appearance'
import { cam16, ucsOf } from '../colour/cam16'
import { ciede2000 } from '../colour/ciede2000'
import { xyzFromLab, type Lab } from '../colour/lab'
import type { KeeperKind } from '../pairing/keeper-kind'
import type { RatedKind } from '../pairing/traits'
import { seededBell } from '../seeded-random'
import { firstField, NUDGES, nudged, secondField, STUFFS_OF, type ColourField } from './eye-field'

// What an eye is off by, standard deviations in L*, a*, b*; from memory, of studies of matching across media: a screen beside a
// surface is matched to about ΔE00 3, surface beside surface to about 1.5.
const LOOK_TO_LOOK: Lab = [1.2, 1, 1]
const SCREEN_AND_EYE: Lab = [2, 1.5, 1.5]

export interface MatchedFinish {
  readonly kind: KeeperKind
  readonly lab: Lab
}

// Sofas, armchairs and sideboards were rated as furniture; a neighbour is no finish.
const OURS: Record<Exclude<RatedKind, 'neighbour'>, KeeperKind> = {
  floor: 'floor',
  brick: 'fireplace',
  stone: 'stone',
  counter: 'counter',
  tile: 'tile',
  cabinet: 'cabinets',
  door: 'door',
  trim: 'trim',
  metal: 'metal',
  carpet: 'carpet',
  furniture: 'upholstery',
  textile: 'curtain',
  rug: 'rug',
}

/** Every finish that pairs were rated beside, once. */
export function ratedFinishes(): readonly MatchedFinish[] {
  const finishes = new Map<string, MatchedFinish>()
  for (const { kind, finish } of ratings.pairs) {
    if (kind !== 'neighbour')
      finishes.set(`${kind} ${finish.join(' ')}`, {
        kind: OURS[kind as keyof typeof OURS],
        lab: finish as unknown as Lab,
      })
  }
  return [...finishes.values()]
}

/** An eye that sees a colour each time a little differently; across media with an error of its own that stays. */
function eyeOn([l, a, b]: Lab, bell: () => number, across: 'screen' | 'surface'): () => Lab {
  const off = SCREEN_AND_EYE.map((spread) => (across === 'screen' ? spread * bell() : 0))
  return () => {
    const [dl, da, db] = LOOK_TO_LOOK.map((spread, i) => off[i]! + spread * bell())
    return [l + dl!, a + da!, b + db!]
  }
}

function nearestIn<T>(among: readonly T[], labOf: (each: T) => Lab, to: Lab): T {
  return among.reduce((best, each) =>
    ciede2000(labOf(each), to) < ciede2000(labOf(best), to) ? each : best,
  )
}
const own = (lab: Lab): Lab => lab
const nearest = (field: ColourField, to: Lab): Lab => nearestIn(field.flat(), own, to)

/** A finish matched in a field by a simulated eye: two taps and at most two nudges. */
export function matchedInField({ kind, lab }: MatchedFinish, seed: number) {
  const seen = eyeOn(lab, seededBell(seed), 'screen')
  // The stuff is known; of a cupboard that may be wood or paint it is the one whose field comes nearest.
  const first = nearestIn(
    STUFFS_OF[kind].map((stuff) => ({ stuff, lab: nearest(firstField(stuff), lab) })),
    (each) => each.lab,
    lab,
  ).stuff
  let matched = nearest(secondField(first, nearest(firstField(first), seen())), seen())
  for (let nudge = 0; nudge < 2; nudge++)
    matched = nearestIn([matched, ...NUDGES.map((each) => nudged(matched, each))], own, seen())
  return { stuff: first, lab: matched, ...apart(matched, lab) }
}

/** A finish matched to the nearest colour of a deck, chip on surface, with what is said of the difference. */
export function matchedToDeck(
  { lab }: MatchedFinish,
  deck: readonly Lab[],
  shifted: (lab: Lab) => readonly Lab[],
  seed: number,
) {
  const seen = eyeOn(lab, seededBell(seed), 'surface')
  let matched = nearestIn(deck, own, seen())
  for (let shift = 0; shift < 2; shift++)
    matched = nearestIn([matched, ...shifted(matched)], own, seen())
  return apart(matched, lab)
}

const ucs = (lab: Lab) => ucsOf(cam16(xyzFromLab(lab), UCS_VIEWING))

/** ΔE00, and in CAM16-UCS the lean and the lightness. */
function apart(p: Lab, q: Lab) {
  const [a, b] = [ucs(p), ucs(q)]
  return {
    deltaE00: ciede2000(p, q),
    lightness: Math.abs(a[0] - b[0]),
    lean: Math.hypot(a[1] - b[1], a[2] - b[2]),
  }
}
