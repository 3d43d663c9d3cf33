import type { Role } from './role'
import type { PairStrengths } from './strengths'

export const GOOD_PAIRINGS = ['connects', 'quiet stretch', 'contrasts', 'bridges'] as const
export const BAD_PAIRINGS = ['near miss', 'washes out', 'dirties', 'clashes'] as const
export const PAIRINGS = [...GOOD_PAIRINGS, ...BAD_PAIRINGS] as const
/** How a wall sits with a finish. "contrasts" is also what is set off; "dirties" whichever of the two looks dirty. */
export type Pairing = (typeof PAIRINGS)[number]

export const isGoodPairing = (pairing: Pairing): boolean =>
  (GOOD_PAIRINGS as readonly Pairing[]).includes(pairing)

/** What share of a contrast the house rule takes away where it wants a shared undertone: it is left unsure. */
const UNWANTED = 0.5

/** The chance that a pair works, after the house rule. */
export function chanceOf({ works, contrasts, conflict }: PairStrengths, role: Role): number {
  return role.contrastWanted ? works : works * (1 - UNWANTED * contrasts * conflict)
}

/** A contrast that would work and that the house rule does not want. */
export const isUnwanted = ({ contrasts, conflict }: PairStrengths, role: Role): boolean =>
  !role.contrastWanted && contrasts * conflict > 0.5

/**
 * The kinds of a pair as shares of one: the good ones share the chance that it works, the bad ones the rest, the more
 * special before the more general.
 */
export function pairingShares(strengths: PairStrengths): Record<Pairing, number> {
  const { works, conflict } = strengths
  const contrasts = works * strengths.contrasts * conflict
  const bridges = (works - contrasts) * strengths.bridges * conflict
  const quiet = (works - contrasts - bridges) * strengths.quiet
  const dirty = 1 - (1 - strengths.dirties) * (1 - strengths.ages)
  const empty = (1 - dirty) * strengths.washesOut
  const near = (1 - dirty) * (1 - strengths.washesOut) * strengths.nearMiss
  const clash =
    (1 - dirty) * (1 - strengths.washesOut) * (1 - strengths.nearMiss) * strengths.clashes
  const perBad = (1 - works) / (dirty + empty + near + clash + 1e-12)
  return {
    connects: works - contrasts - bridges - quiet,
    'quiet stretch': quiet,
    contrasts,
    bridges,
    'near miss': near * perBad,
    'washes out': empty * perBad,
    dirties: dirty * perBad,
    clashes: clash * perBad,
  }
}

// Two kinds whose shares lie this near are both said.
const CLOSE = 0.75

/** The kinds that name a pair: the strongest of the side that is likelier, and a second one where it is close. */
export function namesOf(
  shares: Record<Pairing, number>,
  chance: number,
): readonly [first: Pairing, second: Pairing | null] {
  const side: readonly Pairing[] = chance >= 0.5 ? GOOD_PAIRINGS : BAD_PAIRINGS
  const [first, second] = [...side].sort((p, q) => shares[q] - shares[p])
  return [first!, shares[second!] >= CLOSE * shares[first!] ? second! : null]
}
