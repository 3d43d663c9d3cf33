import { hueName, leanFrom, NO_LEAN_BELOW, type HueName } from '../undertone/hue-name'
import { hueApartDeg, hueDegOf, type Undertone } from '../undertone/undertone'

/** What a wall does to the finish beside it. */
export type WallEffect = 'ages it' | 'brings out' | 'quiets' | 'tints' | 'leaves it be'

export interface WallOnFinish {
  readonly effect: WallEffect
  /** The lean that is brought out or lent to it, where there is one. */
  readonly lean: HueName | null
  /** "brings out its yellow", "makes it look dirty". */
  readonly words: string
}

/**
 * Share of the wall's lean that a touching surface takes on in the opposite direction: simultaneous contrast, of the
 * order of a tenth (common practice).
 */
const INDUCED_SHARE = 0.12
// A shift under this is not seen beside the finish's own lean.
const SEEN_SHIFT = 0.6
const ALONG_DEG = 50

/**
 * What the wall does to the finish: the eye lends a finish the opposite of the wall's lean, which brings its own lean
 * out, quiets it or gives it one; and a much cleaner wall makes a finish look dirty.
 *
 * @param ages whether the wall is so much cleaner; see `PairStrengths.ages`
 */
export function wallOnFinish(wall: Undertone, finish: Undertone, ages: boolean): WallOnFinish {
  if (ages)
    return { effect: 'ages it', lean: null, words: 'makes it look dirty: the wall is the cleaner' }
  const shift = { a: -INDUCED_SHARE * wall.a, b: -INDUCED_SHARE * wall.b }
  if (Math.hypot(shift.a, shift.b) < SEEN_SHIFT)
    return { effect: 'leaves it be', lean: null, words: 'leaves it as it is' }
  const towards = hueDegOf(shift.a, shift.b)
  if (finish.c >= NO_LEAN_BELOW) {
    const apart = hueApartDeg(towards, finish.hueDeg)
    const own = hueName(finish.hueDeg)
    if (apart <= ALONG_DEG)
      return { effect: 'brings out', lean: own, words: `brings out its ${own}` }
    if (apart >= 180 - ALONG_DEG) return { effect: 'quiets', lean: own, words: `quiets its ${own}` }
  }
  const lent = leanFrom({ ...finish, ...shift }, { ...finish, a: 0, b: 0 })
  return { effect: 'tints', lean: lent, words: `pushes it a little towards ${lent}` }
}
