import { cellSays } from './cell'
import { isOfSample, type Look } from './look'
import { verdictSentence, type Reason, type Verdict } from './verdict'

/** A paint as it is looked at: a deck colour at a strength. */
export interface LookedPaint {
  readonly deckColourId: string
  readonly strengthPercent: number
}

/** What the eye said of a paint beside something of a room; cloneable. */
export interface EyeSaid extends LookedPaint {
  readonly keeperId: string
  readonly verdict: Verdict
  readonly reasons: readonly Reason[]
}

/**
 * What the eye said in a room, pair by pair: of looks at paint that was there, never of the screen. This is what comes first
 * wherever a pair is spoken of, and what no proposal goes against.
 *
 * @param looks of the room that count, oldest first
 * @param paintOf the paint of a candidate
 */
export function eyeSaidIn(
  looks: readonly Look[],
  paintOf: (candidateId: string) => LookedPaint | undefined,
): EyeSaid[] {
  const pairs = new Map<
    string,
    { readonly of: Omit<EyeSaid, 'verdict' | 'reasons'>; looks: Look[] }
  >()
  for (const look of looks) {
    const { against, candidate } = look
    const paint = paintOf(candidate.candidateId)
    if (!isOfSample(look) || against.kind !== 'keeper' || !paint) continue
    const { deckColourId } = paint
    const of = {
      ...{ deckColourId, strengthPercent: candidate.strengthPercent },
      keeperId: against.keeperId,
    }
    const key = JSON.stringify(of)
    if (!pairs.has(key)) pairs.set(key, { of, looks: [] })
    pairs.get(key)!.looks.push(look)
  }
  return [...pairs.values()].flatMap(({ of, looks: own }) => {
    const { verdict, reasons } = cellSays(own)
    return verdict === null ? [] : [{ ...of, verdict, reasons }]
  })
}

const isPaint = (said: EyeSaid, { deckColourId, strengthPercent }: LookedPaint): boolean =>
  said.deckColourId === deckColourId && said.strengthPercent === strengthPercent

/** What the eye said of a paint beside a thing; null where it was never looked at there. */
export const eyeOf = (
  said: readonly EyeSaid[],
  paint: LookedPaint,
  keeperId: string,
): EyeSaid | null => said.find((each) => isPaint(each, paint) && each.keeperId === keeperId) ?? null

/** Where in a room the eye refused a paint; null where it did not. */
export const refusalOf = (said: readonly EyeSaid[], paint: LookedPaint): EyeSaid | null =>
  said.find((each) => isPaint(each, paint) && each.verdict === 'no') ?? null

/** What the eye said of two candidates held to each other, whichever was in hand; null where they never were. */
export function eyeOfTwo(
  looks: readonly Look[],
  oneId: string,
  otherId: string,
): Pick<EyeSaid, 'verdict' | 'reasons'> | null {
  const own = looks.filter((look) => {
    if (!isOfSample(look) || look.against.kind !== 'candidate') return false
    const pair = [look.candidate.candidateId, look.against.candidateId]
    return pair.includes(oneId) && pair.includes(otherId)
  })
  const { verdict, reasons } = cellSays(own)
  return verdict && { verdict, reasons }
}

/** Paints that the eye refused beside a candidate's, whichever was in hand. */
export function refusedBeside(
  looks: readonly Look[],
  candidateId: string,
  paintOf: (candidateId: string) => LookedPaint | undefined,
): LookedPaint[] {
  const others = looks.flatMap(({ candidate, against }) => {
    if (against.kind !== 'candidate') return []
    if (against.candidateId === candidateId) return [candidate.candidateId]
    return candidate.candidateId === candidateId ? [against.candidateId] : []
  })
  return [...new Set(others)].flatMap((otherId) => {
    const paint = paintOf(otherId)
    return paint && eyeOfTwo(looks, candidateId, otherId)?.verdict === 'no' ? [paint] : []
  })
}

/** "your eye: no: too green". */
export const eyeWords = ({ verdict, reasons }: Pick<EyeSaid, 'verdict' | 'reasons'>): string =>
  `your eye: ${verdictSentence(verdict, reasons)}`
