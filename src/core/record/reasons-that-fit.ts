import type { Undertone } from '../undertone/undertone'
import { FAULTS } from './verdict'

type Fault = (typeof FAULTS)[number]

// Which way a wall that is too much of a hue lies from what it is held to: CAM16-UCS degrees, as in `hue-name.ts`.
const HUES: readonly (readonly [Fault, number])[] = [
  ['too-pink', 10],
  ['too-orange', 55],
  ['too-yellow', 90],
  ['too-green', 160],
  ['too-blue', 250],
  ['too-violet', 310],
]

// With less lean than this nothing is too strong.
const LITTLE_LEAN = 8

/**
 * Six faults, of the dozen that are said all day, that may be found with walls beside a finish: the two hues that they lie towards,
 * light or dark as they are beside it, too strong or too grey, and what any colour may be. What is seen is gone by, and nothing that
 * is judged.
 *
 * @param walls their undertones in the light of the page, one at least
 * @returns in the order of all faults, so that each keeps its side of the row
 */
export function faultsThatFit(walls: readonly Undertone[], finish: Undertone): readonly Fault[] {
  const mean = (of: (wall: Undertone) => number): number =>
    walls.reduce((sum, wall) => sum + of(wall), 0) / walls.length
  const [a, b] = [mean((wall) => wall.a) - finish.a, mean((wall) => wall.b) - finish.b]
  const c = mean((wall) => wall.c)
  const towards = HUES.map(([fault, hueDeg]) => ({
    fault,
    along: a * Math.cos((hueDeg * Math.PI) / 180) + b * Math.sin((hueDeg * Math.PI) / 180),
  })).sort((p, q) => q.along - p.along)
  const isLighter = mean((wall) => wall.j) >= finish.j
  const isStronger = c >= finish.c && c >= LITTLE_LEAN
  const fit = new Set<Fault>([
    ...towards.slice(0, 2).map(({ fault }) => fault),
    ...(isLighter ? (['too-light', 'too-pale'] as const) : (['too-dark'] as const)),
    ...(isStronger ? (['too-strong'] as const) : (['too-grey'] as const)),
    'dirty',
    ...(isLighter ? [] : [isStronger ? ('too-grey' as const) : ('too-strong' as const)]),
  ])
  return FAULTS.filter((fault) => fit.has(fault))
}
