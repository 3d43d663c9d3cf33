import { loadRoomBoards } from '@/app/_load/room-boards'
import { findVisitById, loadVisit } from '@/app/_load/visit-page'
import { clockTime, minuteAtClockTime, utcMsAt } from '@/core/light/day-clock'
import { writeCalendar, type CalendarEvent } from '@/formats/calendar'
import { localDay } from '@/time/local-day'

const LOOK_MINUTES = 15
// After dark is when people are at home.
const EVENING = '21:00'

/** Where and when to stand the boards of a visit, or of one room of it, as a calendar file. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const { visitId } = await params
  if (!(await findVisitById(visitId)))
    return new Response('There is no such visit.', { status: 404 })
  const { visit, rooms } = await loadVisit(visitId)
  const asked = new URL(request.url).searchParams.get('room')
  const events: CalendarEvent[] = []
  for (const room of rooms.filter(({ id }) => asked === null || id === asked)) {
    const { standings } = await loadRoomBoards(visit.id, room.id)
    for (const { key, date, minute, choice, hourSaid, words, boards } of standings) {
      const day = localDay(date, visit.timeZone)
      const at = choice.source === 'lamps' ? (minuteAtClockTime(day, EVENING) ?? minute) : minute
      const called = boards.map(({ paint }) => `${paint.name} at ${paint.strengthPercent} %`)
      events.push({
        id: `${visit.id}-${room.id}-${key.replace(/\W+/g, '-')}`,
        title: `${room.name}: board ${words}`,
        fromUtcMs: utcMsAt(day, at),
        toUtcMs: utcMsAt(day, at + LOOK_MINUTES),
        note: `${visit.household}, ${room.name}, ${hourSaid}, ${clockTime(day, at)} by the clocks of ${visit.placeName}. Stand ${called.join(', ')} ${words}.`,
        place: visit.placeName,
      })
    }
  }
  if (events.length === 0)
    return new Response('Nothing is missing: no board has to be stood anywhere.', { status: 404 })
  return new Response(writeCalendar(`${visit.household}: boards`, visit.timeZone, events), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="boards.ics"',
    },
  })
}
