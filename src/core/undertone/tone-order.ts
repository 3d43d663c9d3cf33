import {
  AMONG_KIND_BELOW,
  hueName,
  hueNameAmongKind,
  NO_LEAN_BELOW,
  type HueName,
} from './hue-name'
import { hueDegOf, leaning, type Undertone } from './undertone'

/** A tone: the lean that colours of rising intensity share; "quiet" where they have next to none. */
export type ToneName = HueName | 'quiet'

/** The tones in the order they are laid out: the quiet ones, then around from pink. */
export const TONES: readonly ToneName[] = [
  'quiet',
  'pink',
  'red',
  'orange',
  'yellow',
  'yellow-green',
  'green',
  'blue-green',
  'blue',
  'violet',
]

// So little lean over a whole strip is none: what two grey bases differ by.
const QUIET_BELOW = 1.25 * NO_LEAN_BELOW

/** The tone of a strip, from the leans of its colours by daylight: their mean. */
export function toneOf(colours: readonly Undertone[]): {
  readonly tone: ToneName
  readonly mean: Undertone
} {
  const of = (axis: 'j' | 'a' | 'b'): number =>
    colours.reduce((sum, each) => sum + each[axis], 0) / Math.max(1, colours.length)
  const mean = leaning(of('j'), of('a'), of('b'))
  const name = mean.c < AMONG_KIND_BELOW ? hueNameAmongKind : hueName
  return { tone: mean.c < QUIET_BELOW ? 'quiet' : name(mean.hueDeg), mean }
}

// Pink begins before the circle does.
const CIRCLE_FROM_DEG = 335

/** Where a strip stands among others: its tone, then around the circle, the stronger after the weaker at one place. */
export function toneOrder(
  p: { readonly tone: ToneName; readonly mean: Undertone },
  q: { readonly tone: ToneName; readonly mean: Undertone },
): number {
  const around = ({ mean }: { readonly mean: Undertone }): number =>
    (hueDegOf(mean.a, mean.b) - CIRCLE_FROM_DEG + 360) % 360
  return (
    TONES.indexOf(p.tone) - TONES.indexOf(q.tone) ||
    (p.tone === 'quiet' ? q.mean.j - p.mean.j : around(p) - around(q)) ||
    p.mean.c - q.mean.c
  )
}
