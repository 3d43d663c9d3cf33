import { step } from '../../src/core/pairing/shapes'
import type { RatedKind } from '../../src/core/pairing/traits'
import type { Undertone } from '../../src/core/undertone/undertone'
import { rankCorrelation } from './figures'
import { addRow, fit, noSums, predicted, type Fitted } from './least-squares'
import { chanceBy, observersVariance, termsOf, type Step } from './pairs'
import { byDaylight, meanScore, type RatedRoom } from './ratings'

/** How much of a kind one sees in a room, as a rule (common practice). */
const SHOWS: Readonly<Record<RatedKind, number>> = {
  cabinet: 0.3,
  floor: 0.25,
  carpet: 0.25,
  tile: 0.2,
  brick: 0.15,
  stone: 0.15,
  furniture: 0.15,
  counter: 0.12,
  rug: 0.12,
  trim: 0.1,
  textile: 0.1,
  door: 0.08,
  metal: 0.03,
  neighbour: 0.08,
}

/**
 * What a wall paint is worth in a room hangs on, beside its pairs, each with its sign (0: either way).
 */
const ROOM_TERMS = {
  'pairs together': 1,
  'chances together': 1,
  strength: -1,
  'drama: dark': 1,
  'drama: strong': 1,
  'brighter: light': 1,
  'calmer: light': 1,
  'calmer: quiet': 1,
  'cosier: not pale': 1,
  'cosier: warm': 1,
  'cosier: deep': 1,
  'fresher: light': 1,
  'nothing cold: warm': 1,
  'nothing cold: not grey': 1,
  'warm with no yellow: pink': 1,
  'used in the evening: pale': 1,
  'north or no window: warm': 1,
  'cool lamps: warm': 1,
  'no wish: light': 1,
} as const
const NAMES = Object.keys(ROOM_TERMS) as (keyof typeof ROOM_TERMS)[]

const warmth = ({ a, b, c }: Undertone): number => (0.5 * a + Math.sqrt(0.75) * b) / (c + 3)
const EVENING = { day: 0, both: 0.5, evening: 1 } as const

function termsIn(
  { room, wish, keepers }: RatedRoom,
  paint: RatedRoom['paints'][number],
  pairs: Fitted,
  by: Step,
): number[] {
  const w = byDaylight(paint)
  let [points, chances, total] = [0, 0, 0]
  for (const { kind, lab } of keepers) {
    const score = predicted(pairs, termsOf(w, byDaylight(lab), kind))
    const variance = observersVariance({ wall: paint, finish: lab, kind }, pairs)
    points += SHOWS[kind] * Math.max(0, Math.min(10, score))
    chances += SHOWS[kind] * chanceBy(by, score, variance)
    total += SHOWS[kind]
  }
  const is = (wanted: string): number => Number(wish === wanted)
  const [light, deep, warm] = [step(w.j, 82, 4), step(-w.j, -45, 6), warmth(w)]
  const terms: Record<keyof typeof ROOM_TERMS, number> = {
    'pairs together': points / total,
    'chances together': chances / total,
    strength: w.c / 10,
    'drama: dark': (is('more drama') * -w.j) / 20,
    'drama: strong': (is('more drama') * w.c) / 10,
    'brighter: light': (is('brighter') * w.j) / 20,
    'calmer: light': (is('calmer') * w.j) / 20,
    'calmer: quiet': (is('calmer') * -w.c) / 10,
    'cosier: not pale': -is('cosier') * light,
    'cosier: warm': is('cosier') * warm,
    'cosier: deep': is('cosier') * deep,
    'fresher: light': (is('fresher, more open') * w.j) / 20,
    'nothing cold: warm': is('nothing cold or grey') * warm,
    'nothing cold: not grey': is('nothing cold or grey') * step(w.c, 5, 1.5),
    'warm with no yellow: pink': (is('warm with no yellow in it') * w.a) / (w.c + 3),
    'used in the evening: pale': EVENING[room.hours] * light,
    'north or no window: warm': Number(room.aspect === 'north' || room.aspect === 'none') * warm,
    'cool lamps: warm': ((room.lampsK - 3200) / 800) * warm,
    'no wish: light': (is('') * w.j) / 20,
  }
  return NAMES.map((name) => terms[name])
}

export interface RoomsFitted {
  readonly weights: Readonly<Record<string, number>>
  /** By room, by a fit that did not see it. */
  readonly correlations: readonly number[]
  readonly firstNearBest: number
  /** Of rooms with a 6 or better: those whose first is under 5. */
  readonly withGood: number
  readonly firstUnderFive: number
}

const RIDGE = 30
const centred = (values: readonly number[]): number[] => {
  const mean = values.reduce((sum, each) => sum + each, 0) / values.length
  return values.map((each) => each - mean)
}

/** Fits what a paint is worth in a room: only differences within a room matter. */
export function fitRooms(rooms: readonly RatedRoom[], pairs: Fitted, by: Step): RoomsFitted {
  const rows = rooms.map((room) => {
    const terms = room.paints.map((paint) => termsIn(room, paint, pairs, by))
    const columns = NAMES.map((_, i) => centred(terms.map((each) => each[i]!)))
    const scores = room.scores.map(meanScore)
    return {
      scores,
      terms: terms.map((_, paint) => columns.map((column) => column[paint]!)),
      aims: centred(scores),
    }
  })
  const sums = noSums(NAMES.length)
  const add = ({ terms, aims }: (typeof rows)[number], weight: number): void =>
    terms.forEach((each, paint) => addRow(sums, each, aims[paint]!, weight))
  for (const row of rows) add(row, 1)
  const signs = NAMES.map((name) => ROOM_TERMS[name])
  const left = rows.map((row) => {
    add(row, -1)
    const others = fit(sums, signs, RIDGE)
    add(row, 1)
    const said = row.terms.map((each) => predicted(others, each))
    const first = row.scores[said.indexOf(Math.max(...said))]!
    return { correlation: rankCorrelation(said, row.scores), first, best: Math.max(...row.scores) }
  })
  const withGood = left.filter(({ best }) => best >= 6)
  const { weights } = fit(sums, signs, RIDGE)
  return {
    weights: Object.fromEntries(NAMES.map((name, i) => [name, weights[i]!])),
    correlations: left.map(({ correlation }) => correlation),
    firstNearBest: left.filter(({ first, best }) => first >= best - 1).length,
    withGood: withGood.length,
    firstUnderFive: withGood.filter(({ first }) => first < 5).length,
  }
}
