import { dateOfDayNumber, dayNumber } from '../light/calendar-date'

/** How long a board waits, minutes; as its tins say (common practice until somebody says otherwise). */
export interface Drying {
  /** From the primer to the first coat. */
  readonly primerMinutes: number
  /** From one coat to the next. */
  readonly recoatMinutes: number
  /** From the last coat until it may be judged: paint goes on changing while it dries. */
  readonly dryMinutes: number
}

export const USUAL_DRYING: Drying = { primerMinutes: 120, recoatMinutes: 240, dryMinutes: 720 }

/** One step of painting boards, by the clock of the place. */
export interface BoardStep {
  readonly what: string
  /** As 2026-06-21. */
  readonly date: string
  /** Minutes after midnight, by the clock. */
  readonly clockMinute: number
}

// Nobody opens a tin in the night; what falls due then waits for the morning (common practice).
const FROM_MINUTE = 7 * 60
const UNTIL_MINUTE = 21 * 60
const DAY_MINUTES = 1440

/**
 * Primer, coats and drying as times on a clock.
 *
 * @param date the day it begins, as 2026-06-21
 * @param clockMinute when it begins, minutes after midnight
 * @param coats of colour over the primer, 1 to 5
 * @param primer what goes under: "white primer", "grey undercoat"; null on a wall that needs none
 * @returns the steps; the last is when it may be judged
 * @throws RangeError for a date that does not exist
 */
export function boardSteps(
  date: string,
  clockMinute: number,
  coats: number,
  primer: string | null,
  drying: Drying,
): BoardStep[] {
  const first = dayNumber(date)
  if (first === null) throw new RangeError(`expected a date that exists, got “${date}”`)
  if (!(coats >= 1 && coats <= 5)) throw new RangeError(`coats must be 1 to 5, got ${coats}`)
  let at = first * DAY_MINUTES + clockMinute
  const steps: BoardStep[] = []
  const put = (what: string): void => {
    steps.push({
      what,
      date: dateOfDayNumber(Math.floor(at / DAY_MINUTES)),
      clockMinute: at % DAY_MINUTES,
    })
  }
  if (primer !== null) {
    at = atWork(at)
    put(primer)
    at += drying.primerMinutes
  }
  for (let coat = 1; coat <= coats; coat++) {
    at = atWork(at)
    put(coat === 1 ? 'first coat' : coat === 2 ? 'second coat' : `coat ${coat}`)
    at += coat < coats ? drying.recoatMinutes : drying.dryMinutes
  }
  put('dry enough to judge')
  return steps
}

/** The same minute, or the morning after where it falls in the night. */
function atWork(at: number): number {
  const inDay = at % DAY_MINUTES
  if (inDay < FROM_MINUTE) return at - inDay + FROM_MINUTE
  return inDay > UNTIL_MINUTE ? at - inDay + DAY_MINUTES + FROM_MINUTE : at
}
