import { cellSays } from '../record/cell'
import type { Look } from '../record/look'
import { VERDICT_WORDS, type Verdict } from '../record/verdict'
import { capital, listed } from '../words'
import { leanWords, type Lean } from '../undertone/lean'

/** A candidate of a round with its lean by daylight. */
export interface LeaningCandidate {
  readonly id: string
  readonly lean: Lean | null
}

const CLOSEST: readonly Verdict[] = ['works', 'works-lighter', 'works-stronger', 'unsure']

/**
 * The candidate that came closest in a room, and what is said of it: the best verdict of those that are not a no, the first
 * of equals; null where there is none.
 *
 * @param looks of the room, oldest first
 * @param onScreen whether the screen speaks where no sample was seen, as in a round on the screen
 */
export function closestSoFar(
  candidateIds: readonly string[],
  looks: readonly Look[],
  onScreen = false,
): { readonly candidateId: string; readonly verdict: Verdict } | null {
  const said = candidateIds.map((candidateId) => {
    const { verdict, look } = cellSays(
      looks.filter(({ candidate }) => candidate.candidateId === candidateId),
    )
    return { candidateId, verdict: verdict ?? (onScreen ? (look?.verdict ?? null) : null) }
  })
  for (const verdict of CLOSEST) {
    const found = said.find((each) => each.verdict === verdict)
    if (found) return { candidateId: found.candidateId, verdict }
  }
  return null
}

/**
 * What came of a round: how many candidates stand at each verdict, the best first, each named while they are few.
 *
 * @param named the candidates with what they are called
 * @param looks of the room, oldest first
 * @param onScreen whether the screen speaks where no sample was seen, as in a round on the screen
 * @returns "Works: Larkstone at 75 %. Lighter: 2. No: 3."
 */
export function whatCame(
  named: ReadonlyMap<string, string>,
  looks: readonly Look[],
  onScreen = false,
): string {
  const verdicts = [...named].map(([candidateId, name]) => {
    const { verdict, look } = cellSays(
      looks.filter(({ candidate }) => candidate.candidateId === candidateId),
    )
    return { name, verdict: verdict ?? (onScreen ? (look?.verdict ?? null) : null) }
  })
  return [...CLOSEST, 'no' as const]
    .flatMap((verdict) => {
      const of = verdicts.filter((each) => each.verdict === verdict)
      if (of.length === 0) return []
      const said = of.length <= FEW ? listed(of.map(({ name }) => name)) : String(of.length)
      return [`${capital(VERDICT_WORDS[verdict])}: ${said}.`]
    })
    .join(' ')
}

// More names than these nobody reads at a glance.
const FEW = 3

// One no says something of a paint, two of the same lean something of the lean.
const RULES_A_TONE_OUT = 2

/**
 * Which finish rules which tone out: beside it every candidate of that lean that was held to it failed, two of them at
 * least. What most candidates fell to comes first.
 *
 * @param looks of the room, oldest first
 */
export function tonesOut(
  keeperIds: readonly string[],
  candidates: readonly LeaningCandidate[],
  looks: readonly Look[],
): { readonly keeperId: string; readonly lean: string; readonly candidates: number }[] {
  return keeperIds
    .flatMap((keeperId) => {
      const byLean = new Map<string, (Verdict | null)[]>()
      for (const { id, lean } of candidates) {
        if (!lean) continue
        const { verdict } = cellSays(
          looks.filter(
            ({ candidate, against }) =>
              candidate.candidateId === id &&
              against.kind === 'keeper' &&
              against.keeperId === keeperId,
          ),
        )
        if (verdict === null) continue
        const words = leanWords(lean)
        byLean.set(words, [...(byLean.get(words) ?? []), verdict])
      }
      return [...byLean].flatMap(([lean, verdicts]) =>
        verdicts.length >= RULES_A_TONE_OUT && verdicts.every((each) => each === 'no')
          ? [{ keeperId, lean, candidates: verdicts.length }]
          : [],
      )
    })
    .sort((p, q) => q.candidates - p.candidates)
}
