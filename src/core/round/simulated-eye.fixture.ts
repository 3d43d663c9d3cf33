import type { PreparedLight } from '../colour/appearance'
import { isGood } from '../pairing/chance'
import { pairReading, type StrengthRung } from '../pairing/pair-reading'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import { cellSays } from '../record/cell'
import type { Look } from '../record/look'
import type { Verdict } from '../record/verdict'
import { seededRandom } from '../seeded-random'
import { lightThatMatters } from './light-that-matters'
import { roundOf, type RoundKeeper, type RoundManner } from './round'

/** A finish of a round with its colours. */
export type TriedKeeper = RoundKeeper & JudgedKeeper

/** A candidate of a round with its colour. */
export interface TriedCandidate {
  readonly id: string
  readonly paint: StrengthRung
}

/** What a simulated round came to. */
export interface TriedRound {
  readonly asked: number
  /** Every candidate beside every finish in every light. */
  readonly all: number
  /** By candidate, from the pairs that were asked. */
  readonly rulings: Readonly<Record<string, Verdict>>
  /** The same from all of them. */
  readonly rulingsOfAll: Readonly<Record<string, Verdict>>
}

/** Below this chance a sure eye says no, from the model's own "works, likely" on it says yes; between it is unsure. */
const NO_BELOW = 0.4

/** The lights of a room that count. */
export interface TriedLights {
  readonly byDay: readonly PreparedLight[]
  readonly lamps: PreparedLight | null
}

/**
 * A simulated stand-in for a consultant's eye: the model's own chances, its limits off by so much from pair to pair. It
 * says nothing of how good the model is; it says how many pairs a round leaves out, and what that costs. It goes round by
 * day, in the light that matters for each finish, and once more under the lamps.
 *
 * @param off 0.15: each limit up to 15 % off
 */
export function tryRound(
  { byDay, lamps }: TriedLights,
  keepers: readonly TriedKeeper[],
  candidates: readonly TriedCandidate[],
  off: number,
  seed: number,
): TriedRound {
  const lights = [...byDay, ...(lamps ? [lamps] : [])]
  const random = seededRandom(seed)
  const answers = new Map<string, readonly Verdict[]>()
  for (const keeper of keepers)
    for (const { id, paint } of candidates) {
      const scale = 1 + off * (2 * random() - 1)
      answers.set(
        `${keeper.id} ${id}`,
        lights.map((light) => verdictOf(pairReading(light, paint, keeper).chance, scale)),
      )
    }
  const ids = candidates.map(({ id }) => id)
  const paints = candidates.map(({ paint }) => paint)
  const seen = (keeperId: string, candidateId: string, light: number): Look =>
    lookAt(
      keeperId,
      candidateId,
      light,
      light >= byDay.length,
      answers.get(`${keeperId} ${candidateId}`)![light]!,
    )
  const looks: Look[] = []
  const goRound = (manner: RoundManner, lightOf: (keeperId: string) => number): void => {
    for (;;) {
      const next = roundOf(keepers, ids, looks, manner, String(seed)).left[0]
      if (!next) return
      looks.push(seen(next.keeperId, next.candidateId, lightOf(next.keeperId)))
    }
  }
  if (byDay.length > 0) {
    const matters = new Map(
      keepers.map((keeper) => [keeper.id, lightThatMatters(byDay, keeper, paints).place]),
    )
    goRound('samples by day', (keeperId) => matters.get(keeperId)!)
  }
  if (lamps) goRound('samples under lamps', () => byDay.length)
  const every = keepers.flatMap(({ id }) =>
    ids.flatMap((candidateId) => lights.map((_, light) => seen(id, candidateId, light))),
  )
  return {
    asked: looks.length,
    all: every.length,
    rulings: rulingsOf(ids, looks),
    rulingsOfAll: rulingsOf(ids, every),
  }
}

function verdictOf(chance: number, scale: number): Verdict {
  if (chance < NO_BELOW * scale) return 'no'
  return isGood(Math.min(1, chance / scale)) ? 'works' : 'unsure'
}

/** What a room's looks come to, by candidate. */
const rulingsOf = (
  ids: readonly string[],
  looks: readonly Look[],
): Readonly<Record<string, Verdict>> =>
  Object.fromEntries(
    ids.map((id) => [
      id,
      cellSays(looks.filter(({ candidate }) => candidate.candidateId === id)).verdict!,
    ]),
  )

// Lights by day are told apart by their hour.
const lookAt = (
  keeperId: string,
  candidateId: string,
  light: number,
  isLamps: boolean,
  verdict: Verdict,
): Look => ({
  id: `${keeperId} ${candidateId}`,
  roomId: '',
  candidate: { candidateId, strengthPercent: 100, sheen: 'matt' },
  against: { kind: 'keeper', keeperId, part: null },
  seen: { as: 'sample', held: 'large swatch', strengthPercent: 100 },
  light: {
    ...{
      source: isLamps ? 'lamps' : 'room',
      date: '2026-06-21',
      minute: 240 * light,
      sky: 'clear',
      lampsOn: false,
      spot: 'walls',
    },
    ...{ place: '', metered: null },
  },
  verdict,
  ...{
    reasons: [],
    bestOf: [],
    lean: null,
    note: '',
    client: null,
    photoHash: null,
    by: '',
    madeAt: '',
  },
  ...{ modelSeenBefore: false, model: null, retracted: false },
})
