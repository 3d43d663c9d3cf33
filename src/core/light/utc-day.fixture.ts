import type { LocalDay } from './day-clock'
import { dayByClock } from './zone-clock'

/** A day by clocks that keep UTC and never jump. */
export const utcDay = (date: string): LocalDay =>
  dayByClock({ offsets: [[0, 0]], firstDate: date, lastDate: date }, date)!
