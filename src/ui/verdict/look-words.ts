import { VERDICT_WORDS, type Verdict } from '@/core/record/verdict'
import { clockTime, type LocalDay } from '@/core/light/day-clock'
import type { LightChoice } from '@/core/light/light-choice'
import { ALL_WALLS, spotWords } from '@/core/light/spot'
import type { Place } from '@/core/light/sun-position'
import { SKY_WORDS, sourceWords } from '../light-bar/light-words'

/** A light in words: "17:30, clear", "west sun", "lamps". */
export function lightWords(choice: LightChoice, place: Place, day: LocalDay): string {
  const source = sourceWords(choice.source, place).toLowerCase()
  if (choice.source === 'lamps' || choice.source === 'west') return source
  const when = `${clockTime(day, choice.minute)}, ${SKY_WORDS[choice.sky].toLowerCase()}`
  const lamps = choice.lampsOn && choice.source === 'room' ? ', lamps on' : ''
  const where = choice.spot === ALL_WALLS ? '' : `, ${spotWords(choice.spot)}`
  return choice.source === 'north' ? `${source}, ${when}` : `${when}${lamps}${where}`
}

/** "no: too green, too strong". */
export const verdictSentence = (verdict: Verdict, reasons: readonly string[]): string =>
  [VERDICT_WORDS[verdict], reasons.join(', ')].filter(Boolean).join(': ')
