import { dateOfDayNumber, dayNumber } from '../light/calendar-date'
import type { PracticeAnswer } from './answer'
import { PLAIN_SPEC, type Strand } from './question'

const DAY_MS = 86_400_000
const FROM = DAY_MS * (dayNumber('2026-01-05')! + 9 / 24)

function instant(ms: number): string {
  const day = Math.floor(ms / DAY_MS)
  const seconds = Math.floor((ms - day * DAY_MS) / 1000)
  const two = (n: number): string => String(Math.floor(n)).padStart(2, '0')
  return `${dateOfDayNumber(day)}T${two(seconds / 3600)}:${two((seconds / 60) % 60)}:${two(seconds % 60)}Z`
}

/** An answer of a day, about an invented paint of a number. */
export function answered(
  n: number,
  isRight: boolean,
  {
    strand = {},
    level = 4,
    day = 0,
  }: { strand?: Partial<Strand>; level?: number; day?: number } = {},
): PracticeAnswer {
  const kind = strand.kind ?? 'which of two'
  return {
    id: `${n}-${day}`,
    spec: { ...PLAIN_SPEC, kind, light: 'north sky', paints: [{ invented: n }] },
    strand: { kind, lean: 'pink', finish: 'none', light: 'north sky', ...strand },
    ...{ level, given: 0, isRight, tookMs: 2000 },
    at: instant(FROM + day * DAY_MS + n * 1000),
  }
}

export const onDay = (day: number): number => FROM + day * DAY_MS
