/** The time zone of this machine, or of this browser. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone

/**
 * The date of an instant by the clocks of a zone, 2026-06-21; without the library of zones, for a page and for names of files.
 *
 * @param timeZone IANA name; where this runs without one
 * @throws RangeError for an instant or a zone that does not exist
 */
export function dateInZone(instant: string | number, timeZone: string = zoneHere()): string {
  const parts = new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone, calendar: 'gregory', numberingSystem: 'latn' },
    ...{ year: 'numeric', month: '2-digit', day: '2-digit' },
  }).formatToParts(new Date(instant))
  const of = (type: 'year' | 'month' | 'day') => parts.find((part) => part.type === type)!.value
  return `${of('year').padStart(4, '0')}-${of('month')}-${of('day')}`
}

/** The clock there, 09:15. */
export const clockInZone = (instant: string | number, timeZone: string = zoneHere()): string =>
  new Intl.DateTimeFormat('en-GB', {
    ...{ timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' },
  }).format(new Date(instant))
