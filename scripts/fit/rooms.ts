import { chanceOfScore, lifted, type Step } from '../../src/core/pairing/score'
import {
  fillRoomTerms,
  pairsTogether,
  plainGrey,
  ROOM_TERM_NAMES,
  ROOM_TERMS,
  SHOWN,
} from '../../src/core/ranking/room-terms'
import { rankCorrelation } from './figures'
import { addRow, fit, noSums, predicted, type Fitted } from './least-squares'
import { termsOf } from './pairs'
import { byDaylight, meanScore, type RatedRoom } from './ratings'

const EVENING = { day: 0, both: 0.5, evening: 1 } as const

function termsIn(
  { room, wish, keepers }: RatedRoom,
  paint: RatedRoom['paints'][number],
  pairs: Fitted,
  by: Step,
): number[] {
  const w = byDaylight(paint)
  const all = keepers.reduce((sum, { kind }) => sum + SHOWN[kind], 0)
  const scores = keepers.map(({ kind, lab }) =>
    lifted(predicted(pairs, termsOf(w, byDaylight(lab), kind)), 1),
  )
  const shares = keepers.map(({ kind }) => SHOWN[kind] / all)
  const is = (wanted: string): number => Number(wish === wanted)
  const into = new Float64Array(ROOM_TERM_NAMES.length)
  fillRoomTerms(
    w,
    pairsTogether(scores, shares, (score) => chanceOfScore(score, 0, by)),
    {
      drama: is('more drama'),
      brighter: is('brighter'),
      calmer: is('calmer'),
      cosier: is('cosier'),
      fresher: is('fresher, more open'),
      nothingCold: is('nothing cold or grey'),
      warmNoYellow: is('warm with no yellow in it'),
      nothing: is(''),
      evening: EVENING[room.hours],
      north: Number(room.aspect === 'north' || room.aspect === 'none'),
      coolLamps: (room.lampsK - 3200) / 800,
      grey: Math.max(...keepers.map(({ lab }) => plainGrey(byDaylight(lab)))),
    },
    into,
  )
  return [...into]
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
    const columns = ROOM_TERM_NAMES.map((_, i) => centred(terms.map((each) => each[i]!)))
    const scores = room.scores.map(meanScore)
    return {
      scores,
      terms: terms.map((_, paint) => columns.map((column) => column[paint]!)),
      aims: centred(scores),
    }
  })
  const sums = noSums(ROOM_TERM_NAMES.length)
  const add = ({ terms, aims }: (typeof rows)[number], weight: number): void =>
    terms.forEach((each, paint) => addRow(sums, each, aims[paint]!, weight))
  for (const row of rows) add(row, 1)
  const signs = ROOM_TERM_NAMES.map((name) => ROOM_TERMS[name])
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
    weights: Object.fromEntries(ROOM_TERM_NAMES.map((name, i) => [name, weights[i]!])),
    correlations: left.map(({ correlation }) => correlation),
    firstNearBest: left.filter(({ first, best }) => first >= best - 1).length,
    withGood: withGood.length,
    firstUnderFive: withGood.filter(({ first }) => first < 5).length,
  }
}
