import type { PreparedLight } from '../colour/appearance'
import { BANDS } from '../colour/spectrum'
import type { TradeWords } from '../trade-words'
import { emptyUndertones, flatUndertones, undertoneAt } from '../undertone/flat-undertones'
import type { Undertone } from '../undertone/undertone'
import { inventedFinish, inventedPaint } from './invented'
import type { PracticeFinish, PracticePaint, Ref } from './asked-about'

/** What there is to ask about. */
export interface Material {
  readonly paints: readonly PracticePaint[]
  readonly finishes: readonly PracticeFinish[]
  /** A paint or a finish again, by its reference; null where it is not there any more. */
  readonly paint: (ref: Ref) => PracticePaint | null
  readonly finish: (ref: Ref) => PracticeFinish | null
  /** How every paint leans in a light, in their order. */
  readonly leans: (light: PreparedLight) => readonly Undertone[]
}

const INVENTED_PAINTS = 500
const INVENTED_FINISHES = 24

/** Invented paints and finishes, the same for the same seed. */
export function inventedMaterial(seed: number, words: TradeWords): Material {
  const numbers = (count: number): number[] =>
    Array.from({ length: count }, (_, i) => (seed * count + i) % 2 ** 31)
  return materialOf(
    numbers(INVENTED_PAINTS).map(inventedPaint),
    numbers(INVENTED_FINISHES).map((number) => inventedFinish(number, words)),
    words,
  )
}

/**
 * One's own paints and finishes, or any. An invented one can be had from each material by its number.
 *
 * @param places of the paints that are asked about; the others can be asked again
 */
export function materialOf(
  all: readonly PracticePaint[],
  finishes: readonly PracticeFinish[],
  words: TradeWords,
  places: readonly number[] = all.map((_, place) => place),
): Material {
  const paints = places.map((place) => all[place]!)
  const byId = <T extends { readonly ref: Ref }>(of: readonly T[]): ReadonlyMap<string, T> =>
    new Map(of.flatMap((each) => ('own' in each.ref ? [[each.ref.own, each] as const] : [])))
  const [ownPaints, ownFinishes] = [byId(all), byId(finishes)]
  const known = new Map<PreparedLight, readonly Undertone[]>()
  return {
    ...{ paints, finishes },
    paint: (ref) => ('own' in ref ? (ownPaints.get(ref.own) ?? null) : inventedPaint(ref.invented)),
    finish: (ref) =>
      'own' in ref ? (ownFinishes.get(ref.own) ?? null) : inventedFinish(ref.invented, words),
    leans(light) {
      const before = known.get(light)
      if (before) return before
      const rows = new Float64Array(paints.length * BANDS)
      paints.forEach(({ reflectance }, i) => rows.set(reflectance, i * BANDS))
      const seen = emptyUndertones(paints.length)
      flatUndertones(light, rows, seen)
      const leans = paints.map((_, i) => undertoneAt(seen, i))
      known.set(light, leans)
      return leans
    },
  }
}
