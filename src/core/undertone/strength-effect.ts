import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import { lrvPercent } from '../paint/lrv'
import { labD65 } from '../paint/reading'
import { dryFilm } from '../paint/dry-film'
import type { Base } from '../paint/strength'
import { DAYLIGHT } from './daylight'
import { LITTLE_LEFT_BELOW, NO_LEAN_BELOW, undertoneWords } from './hue-name'
import { lightnessWord } from './lightness-word'
import { undertoneOf } from './undertone'

/** What taking a colour at a strength does to it. */
export interface StrengthEffect {
  readonly lrvPercent: number
  /** Share of the full colour's undertone that is left, per cent; null where it had none. */
  readonly undertoneLeftPercent: number | null
  readonly littleLeft: boolean
  /** "off-white, LRV 72, 8 up, pink undertone, 74 % of it left". */
  readonly words: string
}

/** Compares a colour at a strength with the same at 100 %, in one light. */
export function strengthEffect(
  light: PreparedLight,
  full: Reflectance,
  mixed: Reflectance,
): StrengthEffect {
  const lrv = lrvPercent(mixed)
  const rise = Math.round(lrv) - Math.round(lrvPercent(full))
  const fullLean = undertoneOf(light, full).c
  const lean = undertoneOf(light, mixed)
  const left = fullLean > 0.3 ? Math.round((100 * lean.c) / fullLean) : null
  const littleLeft = lean.c < LITTLE_LEFT_BELOW
  const change = rise === 0 ? '' : rise > 0 ? `, ${rise} up` : `, ${-rise} down`
  const words = [
    `${lightnessWord(lrv)}, LRV ${Math.round(lrv)}${change}`,
    undertoneWords(lean),
    ...(full === mixed || left === null ? [] : [`${left} % of its undertone left`]),
    ...(littleLeft ? ['little more than the base'] : []),
  ].join(', ')
  return { lrvPercent: lrv, undertoneLeftPercent: left, littleLeft, words }
}

/** What half the tint would do in a base that holds little white, in words. */
export function halfTintWords(full: Reflectance, whiteBase: Reflectance, base: Base): string {
  const whole = dryFilm(full, whiteBase, base, 100)
  const half = dryFilm(full, whiteBase, base, 50)
  const lift = labD65(half.reflectance)[0] - labD65(whole.reflectance)[0]
  return (
    `At 50 % it would be about ${lift.toFixed(0)} L* lighter only, ` +
    `and hide ${percent(half)} % of black in two coats instead of ${percent(whole)} %.`
  )
}

const percent = ({ contrastRatio }: { readonly contrastRatio: number }): number =>
  Number((100 * contrastRatio).toFixed(1))

/** The base's own cast, which is what a weak mix goes towards: "The base itself leans yellow, towards orange." */
export function baseCastWords(whiteBase: Reflectance): string {
  const cast = undertoneOf(DAYLIGHT, whiteBase)
  const words = undertoneWords(cast)
  return cast.c < NO_LEAN_BELOW
    ? 'The base has no cast of its own.'
    : `The base itself has a ${words}: weak mixes go that way.`
}
