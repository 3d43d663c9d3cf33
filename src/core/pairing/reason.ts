import type { Reason } from '../record/verdict'
import type { Undertone } from '../undertone/undertone'
import type { Direction, Pairing } from './said-of-pair'

const AS_KEPT: Readonly<Record<Pairing, Reason | null>> = {
  'sets off': 'sets-it-off',
  bridges: 'sets-it-off',
  'quiet relative': 'shares-the-undertone',
  'shares the undertone': 'shares-the-undertone',
  'carried through': 'shares-the-undertone',
  'too strong': 'too-strong',
  'both strong': 'too-strong',
  'almost the same': 'near-miss',
  'no relief': 'too-little-contrast',
  // Said by which way the wall is wrong.
  'undertones quarrel': null,
  'one looks dirty': null,
  drab: null,
}
const TOO: Readonly<Record<Direction, Reason>> = {
  'too pink': 'too-pink',
  'too orange': 'too-orange',
  'too yellow': 'too-yellow',
  'too green': 'too-green',
  'too blue': 'too-blue',
  'too violet': 'too-violet',
  'too grey': 'too-grey',
  'too clean': 'too-clean',
  'too dirty': 'dirty',
  'too strong': 'too-strong',
  'too dark': 'too-dark',
  'too close': 'too-little-contrast',
}

/** What is kept with a look of why a pair is what it is. */
export const reasonOf = (pairing: Pairing, direction: Direction): Reason =>
  AS_KEPT[pairing] ?? TOO[direction]

// Beside a light, clean wall it is what is creamier that looks aged; elsewhere the wall looks dirty. Tells 85 of the 100
// pairs whose raters agree on it (ratings/).
const CLEAN_FROM_J = 82
const CREAMIER = 1

/** Which of the two looks dirty where one does. */
export const looksDirtyOf = (
  wall: Pick<Undertone, 'j' | 'b'>,
  finish: Pick<Undertone, 'b'>,
): 'wall' | 'finish' => (wall.j > CLEAN_FROM_J && finish.b > wall.b + CREAMIER ? 'finish' : 'wall')
