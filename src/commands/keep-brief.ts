import tzLookup from '@photostructure/tz-lookup'
import { z } from 'zod'
import { CLIMATES, CONTRASTS, OLD_PAINT, WANTS } from '../core/advice/brief'
import { clockOfMinutes, minuteAtClockTime } from '../core/light/day-clock'
import { saveVisit } from '../db/visits'
import { isTimeZone, localDay } from '../time/local-day'
import { kind, Refusal } from './kind'
import { date, houseRules, id, name, note } from './values'

const minuteOfClock = z.int().min(0).max(1440)

/** The brief of a visit, new or changed. */
export const keepBrief = kind({
  payload: z.object({
    visitId: id,
    household: name('the household’s name', 120),
    wishes: note,
    willNotHave: note,
    wants: z.array(z.enum(WANTS)).max(WANTS.length),
    contrast: z.enum(CONTRASTS),
    climate: z.enum(CLIMATES),
    oldPaint: z.enum(OLD_PAINT),
    fromMinute: minuteOfClock,
    toMinute: minuteOfClock,
    placeName: name('a place', 120),
    latitudeDeg: z.number().min(-90).max(90),
    longitudeDeg: z.number().min(-180).max(180),
    // Comes with a town of the list; worked out from the coordinates when typed.
    timeZone: z.string().max(64),
    visitDate: date,
    houseRules,
  }),
  visitOf: ({ visitId }) => visitId,
  begins: true,
  async write(tx, { visitId, timeZone: named, ...brief }, { receivedAt }) {
    if (brief.toMinute <= brief.fromMinute)
      throw new Refusal('', { toMinute: 'Expected an end after the beginning.' })
    const timeZone = isTimeZone(named) ? named : tzLookup(brief.latitudeDeg, brief.longitudeDeg)
    const day = localDay(brief.visitDate, timeZone)
    for (const field of ['fromMinute', 'toMinute'] as const) {
      const clock = clockOfMinutes(brief[field])
      if (brief[field] < 1440 && minuteAtClockTime(day, clock) === null)
        throw new Refusal('', {
          [field]: `Expected an hour of that day, got ${clock}: the clocks jump over it.`,
        })
    }
    await saveVisit(tx, { id: visitId, ...brief, timeZone }, receivedAt)
  },
  sentence: ({ household, visitDate, placeName }) =>
    `Brief: ${household}, ${placeName}, ${visitDate}`,
})
