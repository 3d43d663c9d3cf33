import type { Judgement } from '../pairing/chance'
import type { Reason } from './verdict'

// Up to version 0019 of the record what was kept were the words themselves. Changes that waited on a device since then, and those that
// the history tells from what came in, still have them; this list stays as it is, whatever the words of today are.

const REASON_OF_WORDS: Readonly<Record<string, Reason>> = {
  'too pink': 'too-pink',
  'too orange': 'too-orange',
  'too yellow': 'too-yellow',
  'too green': 'too-green',
  'too blue': 'too-blue',
  'too violet': 'too-violet',
  'too grey': 'too-grey',
  'too strong': 'too-strong',
  'too pale': 'too-pale',
  'too weak': 'too-pale',
  'too dark': 'too-dark',
  'too light': 'too-light',
  'empty beside it': 'empty-beside-it',
  'near miss': 'near-miss',
  'too little contrast': 'too-little-contrast',
  'needs more undertone': 'needs-more-undertone',
  'too clean': 'too-clean',
  'can’t say in this light': 'not-in-this-light',
  'can’t judge from here': 'not-from-here',
  'shares the undertone': 'shares-the-undertone',
  'sets it off': 'sets-it-off',
}
const JUDGEMENT_OF_WORDS: Readonly<Record<string, Judgement>> = {
  'works likely': 'likely-works',
  'no likely': 'likely-not',
}

/** The key for a word of before; what is none stays as it is, for a schema to look at. */
export const reasonKey = (said: unknown): unknown =>
  typeof said === 'string' && Object.hasOwn(REASON_OF_WORDS, said) ? REASON_OF_WORDS[said] : said

/** The same for what the model said. */
export const judgementKey = (said: unknown): unknown =>
  typeof said === 'string' && Object.hasOwn(JUDGEMENT_OF_WORDS, said)
    ? JUDGEMENT_OF_WORDS[said]
    : said
