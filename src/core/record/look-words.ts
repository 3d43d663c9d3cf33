import { longDate } from '../light/calendar-date'
import { clockOfMinutes, clockTime, type LocalDay } from '../light/day-clock'
import { SKY_WORDS, sourceWords } from '../light/source-words'
import { ALL_WALLS, spotWords } from '../light/spot'
import type { Place } from '../light/sun-position'
import { inTradeWords, type TradeWords } from '../trade-words'
import { otherStrengthPercent, type Against, type Look, type LookLight } from './look'
import { verdictSentence } from './verdict'

/** The day that a date names at the place of a visit; null where it is not known. */
export type DayOf = (date: string) => LocalDay | null

/**
 * A light in words, whole: "21 December 2026, 19:10, clear, lamps on, on the east wall, under the lamp, at the sink; metered
 * 180 lux, 2,700 K".
 *
 * @param shownDate a day that stands above it already, and is left out
 */
export function lightSaid(
  light: LookLight,
  place: Place,
  dayOf: DayOf,
  shownDate: string | null = null,
): string {
  const day = light.date === null ? null : dayOf(light.date)
  const date = light.date === null ? 'date not noted' : longDate(light.date)
  // Of a day that is not known the hour is as clocks show it that do not jump that day.
  const hour = light.date === null && light.source !== 'lamps' ? clockOfMinutes(light.minute) : ''
  const clock = day ? [clockTime(day, light.minute)] : hour ? [hour] : []
  const lampsAlone = light.source === 'lamps'
  const metered = light.metered
    ? `; metered ${Math.round(light.metered.lux)} lux, ${Math.round(light.metered.cctK)} K`
    : ''
  return (
    [
      ...(light.date !== null && light.date === shownDate ? [] : [date]),
      ...clock,
      ...(light.source === 'room' || lampsAlone
        ? []
        : [sourceWords(light.source, place).toLowerCase()]),
      ...(lampsAlone ? ['under the lamps'] : [SKY_WORDS[light.sky].toLowerCase()]),
      ...(light.lampsOn && light.source === 'room' ? ['lamps on'] : []),
      ...(light.spot === ALL_WALLS ? [] : [spotWords(light.spot)]),
      ...(light.place === '' ? [] : [light.place]),
    ].join(', ') + metered
  )
}

/** What was said: "no: too green", "no: too green, leans pink", "best of 6", a lean alone, or nothing but by the client. */
export const lookSaid = ({
  verdict,
  reasons,
  bestOf,
  lean,
}: Pick<Look, 'verdict' | 'reasons' | 'bestOf' | 'lean'>): string =>
  [
    ...(verdict === null ? [] : [verdictSentence(verdict, reasons)]),
    ...(bestOf.length === 0 ? [] : [`best of ${bestOf.length}`]),
    ...(lean === null ? [] : [lean === 'no lean' ? lean : `leans ${lean}`]),
  ].join(', ') || 'shown to the client'

/** How it was seen: "on a board", "on a full-strength chip, not the 75 %", "on the screen, in a computed light". */
export function seenSaid(look: Look): string {
  switch (look.seen.as) {
    case 'screen':
      return 'on the screen, in a computed light'
    case 'not noted':
      return 'how it was seen is not noted'
    case 'sample': {
      const held = look.seen.held === 'wall' ? 'painted on the wall' : `on a ${look.seen.held}`
      const other = otherStrengthPercent(look)
      return other === null
        ? held
        : `${held} at ${other} %, not at ${look.candidate.strengthPercent} %`
    }
  }
}

/** What it was held against, in words. */
export function againstSaid(
  against: Against,
  nameOf: (id: string) => string,
  words: TradeWords,
): string {
  switch (against.kind) {
    case 'keeper':
      return against.part === null
        ? nameOf(against.keeperId)
        : `${nameOf(against.keeperId)}, ${against.part}`
    case 'wall':
      return `the ${against.plane} wall`
    case 'trim':
      return inTradeWords(`${against.trim.replace('-', ' ')} trim`, words)
    case 'candidate':
      return nameOf(against.candidateId)
    case 'comparator':
      return `the ${against.name}`
    case 'paint':
      return nameOf(against.deckColourId)
  }
}
