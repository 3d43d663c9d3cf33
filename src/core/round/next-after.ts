import type { LeanName, LikeThis } from '../ranking/like-this'
import type { Reason, Verdict } from '../record/verdict'

/** Where to look next after a look that found fault. */
export interface NextAfter {
  /** "Like this, but …": what each fault asks for, the first said first. */
  readonly wishes: readonly LikeThis[]
  /** The same formula weaker or stronger; null where the fault is none of strength. */
  readonly strength: 'weaker' | 'stronger' | null
}

const less = (of: LeanName): LikeThis => ({ kind: 'less', of })
const LIGHTER: LikeThis = { kind: 'lighter' }
const DEEPER: LikeThis = { kind: 'deeper' }
const QUIETER: LikeThis = { kind: 'quieter' }
const CLEANER: LikeThis = { kind: 'cleaner' }

// Common practice: a fault is answered by the step away from it; where two come too near each other, by a sure step either way.
const ASKS: Partial<Record<Reason, readonly LikeThis[]>> = {
  'too-pink': [less('pink')],
  'skin-pink': [less('pink')],
  'too-orange': [less('orange')],
  'too-yellow': [less('yellow')],
  'too-green': [less('green')],
  'too-blue': [less('blue')],
  'too-violet': [less('violet')],
  'too-grey': [CLEANER],
  'too-clean': [QUIETER],
  'too-strong': [QUIETER],
  'too-pale': [DEEPER],
  'too-dark': [LIGHTER],
  'too-light': [DEEPER],
  dirty: [CLEANER],
  muddied: [CLEANER],
  'empty-beside-it': [CLEANER],
  'needs-more-undertone': [CLEANER],
  harsh: [QUIETER],
  'near-miss': [LIGHTER, DEEPER],
  'too-little-contrast': [LIGHTER, DEEPER],
}

const WEAKER: readonly Reason[] = ['too-strong', 'too-dark', 'harsh']
const STRONGER: readonly Reason[] = ['too-pale', 'too-light', 'needs-more-undertone', 'too-grey']

/**
 * What a verdict and its reasons ask for next; nothing after a plain yes. Faults that ask for opposite strengths ask for
 * neither.
 */
export function nextAfter(verdict: Verdict, reasons: readonly Reason[]): NextAfter {
  if (verdict === 'works') return { wishes: [], strength: null }
  const asked = reasons.flatMap((reason) => ASKS[reason] ?? [])
  const wishes = [...new Map(asked.map((wish) => [wishWords(wish), wish])).values()]
  const isWeaker = verdict === 'works-lighter' || reasons.some((each) => WEAKER.includes(each))
  const isStronger = verdict === 'works-stronger' || reasons.some((each) => STRONGER.includes(each))
  return {
    wishes,
    strength: isWeaker === isStronger ? null : isWeaker ? 'weaker' : 'stronger',
  }
}

/** "less pink", "quieter", "halfway to it". */
export function wishWords(wish: LikeThis): string {
  if (wish.kind === 'halfway') return 'halfway to it'
  return wish.kind === 'less' || wish.kind === 'more' ? `${wish.kind} ${wish.of}` : wish.kind
}

/**
 * The next rung of a ladder that way.
 *
 * @param rungsPercent in any order
 * @returns null where there is none
 */
export function rungNext(
  percent: number,
  rungsPercent: readonly number[],
  way: 'weaker' | 'stronger',
): number | null {
  const along = rungsPercent
    .filter((each) => (way === 'weaker' ? each < percent : each > percent))
    .sort((p, q) => Math.abs(p - percent) - Math.abs(q - percent))
  return along[0] ?? null
}
