import type { KeyWords } from '../keys/use-keys'
import { AGAIN_KEY } from './ruled-just-now'

/** What the bench's own keys do. */
export const BENCH_KEYS: KeyWords = [
  ['← →', 'previous pair, next pair'],
  [AGAIN_KEY, 'rule again on the pair that was just ruled'],
  ['H', 'what you look at: the screen, or which sample'],
  ['D', 'slide it: by the window, further in, under the lamp'],
  ['V', 'hold it against another wall, flat, or tilted'],
  ['C', 'show the client'],
  ['A', 'what arrives, held against what stays'],
  [', .', 'ten minutes earlier, later'],
  ['R', 'the room’s own day'],
  ['O', 'the light away from the sun'],
  ['E', 'late west sun'],
  ['P', 'the lamps alone'],
]
