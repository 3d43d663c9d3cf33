import { differenceWords } from '../undertone/difference-words'
import { AMONG_KIND_BELOW, undertoneWords } from '../undertone/hue-name'
import { oddOneOut } from '../undertone/side-by-side'
import { leaning, undertoneOf, type Undertone } from '../undertone/undertone'
import { LEAST_STEPS } from './kinds'
import { lightWords, practiceLight } from './lights'
import type { PracticePaint, Ref } from './asked-about'
import type { Material } from './material'
import {
  anyOf,
  AXES,
  paintStrand,
  PLAIN_SPEC,
  shuffled,
  type Axis,
  type Maker,
  type Shown,
  type Spec,
} from './question'

/** Where each way lies: a unit vector of a′ and b′. */
const TOWARDS: Readonly<Record<Axis, readonly [number, number]>> = {
  greener: [-1, 0],
  pinker: [1, 0],
  yellower: [0, 1],
  bluer: [0, -1],
}
const MOST: Readonly<Record<Axis, readonly [first: string, last: string]>> = {
  greener: ['greenest', 'pinkest'],
  pinker: ['pinkest', 'greenest'],
  yellower: ['yellowest', 'bluest'],
  bluer: ['bluest', 'yellowest'],
}

const along = ({ a, b }: Undertone, axis: Axis): number =>
  a * TOWARDS[axis][0] + b * TOWARDS[axis][1]
const across = ({ a, b }: Undertone, axis: Axis): number =>
  a * TOWARDS[axis][1] - b * TOWARDS[axis][0]

/** Paints of a spec as they are seen in its light; null where one is gone. */
function seen(
  spec: Spec,
  material: Material,
): readonly (PracticePaint & { readonly undertone: Undertone })[] | null {
  const light = practiceLight(spec.light)
  const paints = spec.paints.map((ref) => material.paint(ref))
  return paints.every((paint) => paint !== null)
    ? paints.map((paint) => ({ ...paint, undertone: undertoneOf(light, paint.reflectance) }))
    : null
}

const lettered = (paints: readonly PracticePaint[]): Shown[] =>
  paints.map(({ reflectance, name }, i) => ({ label: 'ABCDE'[i]!, name, reflectance }))

/** A paint of the pool with how it is seen in a light. */
interface Seen {
  readonly ref: Ref
  readonly undertone: Undertone
}

const neutrals = (material: Material, light: Spec['light']): Seen[] =>
  material
    .leans(practiceLight(light))
    .map((undertone, i) => ({ undertone, ref: material.paints[i]!.ref }))
    .filter(({ undertone }) => undertone.c < AMONG_KIND_BELOW)

// How far neighbours may lie apart in lightness, and across the way they are compared on, as a share of the difference.
const MOST_LIGHTER = 4
const MOST_ACROSS = 0.5

/** Which of two is the greener, pinker, yellower or bluer? */
export const whichOfTwo: Maker = {
  find(material, light, random, level) {
    const pool = neutrals(material, light)
    if (pool.length < 2) return null
    const axis = anyOf(AXES, random)
    const one = anyOf(pool, random)
    const others = pool.filter(({ undertone }) => {
      const steps = Math.abs(along(undertone, axis) - along(one.undertone, axis))
      return (
        Math.abs(undertone.j - one.undertone.j) <= MOST_LIGHTER &&
        steps >= LEAST_STEPS &&
        Math.abs(across(undertone, axis) - across(one.undertone, axis)) <= MOST_ACROSS * steps
      )
    })
    const other = nearest(others, level, ({ undertone }) =>
      Math.abs(along(undertone, axis) - along(one.undertone, axis)),
    )
    if (!other) return null
    return {
      ...PLAIN_SPEC,
      ...{ light, axis },
      paints: shuffled([one.ref, other.ref], random),
    }
  },
  pose(spec, material) {
    const paints = seen(spec, material)
    const { axis } = spec
    if (paints?.length !== 2 || !axis) return null
    const [p, q] = paints.map(({ undertone }) => undertone) as [Undertone, Undertone]
    const steps = along(p, axis) - along(q, axis)
    const level = Math.abs(steps)
    if (
      level < LEAST_STEPS ||
      Math.abs(p.j - q.j) > MOST_LIGHTER ||
      Math.abs(across(p, axis) - across(q, axis)) > MOST_ACROSS * level
    )
      return null
    const right = steps > 0 ? 0 : 1
    const other = right === 0 ? 1 : 0
    return {
      ...{ spec, level, onCard: true, chance: null, shown: lettered(paints) },
      strand: paintStrand(spec, paints[right]!.reflectance),
      asks: `Which of the two is ${axis}, ${lightWords(spec.light)}?`,
      answer: { as: 'choice', choices: ['A', 'B'], right },
      why: `${'AB'[right]!} beside ${'AB'[other]!} is ${differenceWords(paints[other]!.undertone, paints[right]!.undertone)}.`,
    }
  },
}

const IN_A_ROW = 5
const NEARER = 0.8

/** Of colours in their order along an axis those that lie so far from the one before. */
const apartBy = (inOrder: readonly Seen[], gap: number, axis: Axis): Seen[] =>
  inOrder.reduce<Seen[]>((taken, each) => {
    const last = taken.at(-1)
    return !last || along(each.undertone, axis) - along(last.undertone, axis) >= gap
      ? [...taken, each]
      : taken
  }, [])

/** Five neutrals in the order of their lean. */
export const sortByLean: Maker = {
  find(material, light, random, level) {
    const pool = neutrals(material, light)
    if (pool.length < IN_A_ROW) return null
    const axis = anyOf(AXES, random)
    const { undertone: middle } = anyOf(pool, random)
    const near = pool
      .filter(
        ({ undertone }) =>
          Math.abs(undertone.j - middle.j) <= MOST_LIGHTER &&
          Math.abs(across(undertone, axis) - across(middle, axis)) <= ROW_ACROSS,
      )
      .sort((p, q) => along(p.undertone, axis) - along(q.undertone, axis))
    // As far apart as is wanted, or as there are five of.
    let row: Seen[] = []
    for (let gap = level; row.length < IN_A_ROW && gap >= LEAST_STEPS; gap *= NEARER)
      row = apartBy(near, gap, axis)
    if (row.length < IN_A_ROW) return null
    const from = Math.floor(random() * (row.length - IN_A_ROW + 1))
    const five = row.slice(from, from + IN_A_ROW)
    return {
      ...PLAIN_SPEC,
      ...{ light, axis },
      paints: shuffled(
        five.map(({ ref }) => ref),
        random,
      ),
    }
  },
  pose(spec, material) {
    const paints = seen(spec, material)
    const { axis } = spec
    if (paints?.length !== IN_A_ROW || !axis) return null
    const order = paints
      .map(({ undertone }, place) => ({ place, at: along(undertone, axis), undertone }))
      .sort((p, q) => q.at - p.at)
    const gaps = order.slice(1).map(({ at }, i) => order[i]!.at - at)
    const level = Math.min(...gaps)
    const wide = (of: (undertone: Undertone) => number): number => {
      const all = paints.map(({ undertone }) => of(undertone))
      return Math.max(...all) - Math.min(...all)
    }
    if (
      level < LEAST_STEPS ||
      wide(({ j }) => j) > 2 * MOST_LIGHTER ||
      wide((undertone) => across(undertone, axis)) > 2 * ROW_ACROSS
    )
      return null
    const [first, last] = MOST[axis]
    return {
      ...{ spec, level, onCard: true, chance: null, shown: lettered(paints) },
      strand: paintStrand(spec, paints[order[Math.floor(IN_A_ROW / 2)]!.place]!.reflectance),
      asks: `From the ${first} to the ${last}, ${lightWords(spec.light)}?`,
      answer: { as: 'order', right: order.map(({ place }) => place) },
      why: order
        .map(({ place, undertone }) => `${'ABCDE'[place]!}: ${undertoneWords(undertone)}`)
        .join('; '),
    }
  },
}
// Five in a row lie within so many units either side of their line.
const ROW_ACROSS = 2.5

// Siblings share a lean within so many units, and the odd one is so much farther from their middle than any of them.
const SIBLINGS_WITHIN = 1.5
const ODD_TIMES = 2
const SIBLINGS = 3
const SIBLINGS_LIGHTER = 8

/** Which of four siblings leans another way? */
export const oddOneOfFour: Maker = {
  find(material, light, random, level) {
    const pool = neutrals(material, light)
    if (pool.length <= SIBLINGS) return null
    const one = anyOf(pool, random)
    const apart = ({ undertone }: Seen): number =>
      Math.hypot(undertone.a - one.undertone.a, undertone.b - one.undertone.b)
    const around = pool.filter(
      ({ undertone }) => Math.abs(undertone.j - one.undertone.j) <= SIBLINGS_LIGHTER,
    )
    const siblings = shuffled(
      around.filter((each) => each !== one && apart(each) <= SIBLINGS_WITHIN),
      random,
    ).slice(0, SIBLINGS - 1)
    const odd = nearest(
      around.filter((each) => apart(each) >= LEAST_STEPS),
      level,
      apart,
    )
    if (siblings.length < SIBLINGS - 1 || !odd) return null
    return {
      ...PLAIN_SPEC,
      light,
      paints: shuffled(
        [one, ...siblings, odd].map(({ ref }) => ref),
        random,
      ),
    }
  },
  pose(spec, material) {
    const paints = seen(spec, material)
    if (paints?.length !== SIBLINGS + 1) return null
    const undertones = paints.map(({ undertone }) => undertone)
    const odd = oddOneOut(undertones)
    if (!odd) return null
    const rest = undertones.filter((_, i) => i !== odd.place)
    const mean = (axis: 'a' | 'b'): number =>
      rest.reduce((sum, each) => sum + each[axis], 0) / rest.length
    const middle = leaning(0, mean('a'), mean('b'))
    const from = ({ a, b }: Undertone): number => Math.hypot(a - middle.a, b - middle.b)
    const level = from(undertones[odd.place]!)
    if (level < Math.max(LEAST_STEPS, ODD_TIMES * Math.max(...rest.map(from)))) return null
    return {
      ...{ spec, level, onCard: true, chance: null, shown: lettered(paints) },
      strand: paintStrand(spec, paints[odd.place]!.reflectance),
      asks: `Three of these are siblings. Which one is not, ${lightWords(spec.light)}?`,
      answer: { as: 'choice', choices: ['A', 'B', 'C', 'D'], right: odd.place },
      why: `${'ABCD'[odd.place]!} is ${odd.words} than the others.`,
    }
  },
}

/** Of a list the one that lies nearest to a wanted distance. */
function nearest<T>(list: readonly T[], wanted: number, of: (each: T) => number): T | null {
  let best: T | null = null
  let least = Infinity
  for (const each of list) {
    const miss = Math.abs(Math.log(of(each) / wanted))
    if (miss < least) [best, least] = [each, miss]
  }
  return best
}
