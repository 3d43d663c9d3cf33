import type { KeyWords } from '../keys/use-keys'

/** The key that rules again on a pair that was just ruled on: every letter has its work already. */
export const AGAIN_KEY = '+'

/** What keys do to the sample in hand and to the light, in a sweep and with a pair. */
export const HOLDING_KEYS: KeyWords = [
  ['H', 'what you look at: the screen, or which sample'],
  ['D', 'slide it: by the window, further in, under the lamp'],
  ['V', 'hold it against another wall, flat, or tilted'],
  ['A', 'what arrives, held against what stays'],
  [', .', 'ten minutes earlier, later'],
  ['R', 'the room’s own day'],
  ['O', 'the light away from the sun'],
  ['E', 'late west sun'],
  ['P', 'the lamps alone'],
]

/** What the keys of a pair do. */
export const PAIR_KEYS: KeyWords = [
  ['← →', 'previous pair, next pair'],
  [AGAIN_KEY, 'rule again on the pair that was just ruled'],
  ['C', 'show the client'],
  ['F', 'the sweep: all candidates past one finish'],
  ...HOLDING_KEYS,
]

/** What the keys of a sweep do. */
export const SWEEP_KEYS: KeyWords = [
  ['← →', 'the one before, the next'],
  ['N', 'out, or back in'],
  ['L', 'its whole lean out, or back in'],
  ['Enter', 'the rest stay: the next finish'],
  ['↑ ↓', 'another finish, as it is'],
  ['B', 'the best of these'],
  ['F', 'held up alone, beside the finish'],
  ...HOLDING_KEYS,
]
