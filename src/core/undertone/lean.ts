import { AMONG_KIND_BELOW, hueNameAmongKind, NO_LEAN_BELOW, type HueName } from './hue-name'
import type { Undertone } from './undertone'

/** A lean by daylight, by its name among its kind; a colour outright has left its kind behind. */
export interface Lean {
  readonly lean: HueName
  readonly strong: boolean
}

/** The lean that a colour stands for by daylight; null for one that has none, and so no siblings. */
export const leanOf = ({ c, hueDeg }: Undertone): Lean | null =>
  c < NO_LEAN_BELOW ? null : { lean: hueNameAmongKind(hueDeg), strong: c >= AMONG_KIND_BELOW }

/** Whether a colour is of a lean that is out. */
export const isRuledOut = (without: readonly Lean[], undertone: Undertone): boolean =>
  isLeanOut(without, leanOf(undertone))

/** The same of a lean that is known. */
export const isLeanOut = (without: readonly Lean[], own: Lean | null): boolean =>
  own !== null && without.some(({ lean, strong }) => lean === own.lean && strong === own.strong)

/** "pink leans", "strong pinks". */
export const leanWords = ({ lean, strong }: Lean): string =>
  strong ? `strong ${lean}s` : `${lean} leans`
