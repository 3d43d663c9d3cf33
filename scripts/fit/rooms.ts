import { chanceOfScore, type Step } from '../../src/core/pairing/score'
import { ROOM_TERM_NAMES, ROOM_TERMS, roomTerms, SHOWN } from '../../src/core/ranking/room-terms'
import { rankCorrelation } from './figures'
import { addRow, fit, noSums, predicted, type Fitted } from './least-squares'
import { observersVariance, termsOf } from './pairs'
import { byDaylight, meanScore, type RatedRoom } from './ratings'

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
    points += SHOWN[kind] * Math.max(0, Math.min(10, score))
    chances += SHOWN[kind] * chanceOfScore(score, variance, by)
    total += SHOWN[kind]
  }
  const is = (wanted: string): number => Number(wish === wanted)
  const own = roomTerms(
    w,
    { score: points / total, chance: chances / total },
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
    },
  )
  return ROOM_TERM_NAMES.map((name) => own[name])
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
