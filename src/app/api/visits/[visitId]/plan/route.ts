import { loadDayPlan } from '@/app/_load/day-plan'
import { utcMsAt } from '@/core/light/day-clock'
import { writeCalendar } from '@/formats/calendar'

/** The day plan of a visit as a calendar file. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const { visitId } = await params
  const { visit, day, plan, rooms } = await loadDayPlan(visitId)
  if (!day || !plan || plan.stops.length === 0)
    return new Response('No room to be seen yet', { status: 404 })
  const calendar = writeCalendar(
    visit.household,
    visit.timeZone,
    plan.stops.map(({ roomId, fromMinute, toMinute }) => ({
      id: `${visit.id}-${roomId}`,
      title: rooms.get(roomId)!.name,
      fromUtcMs: utcMsAt(day, fromMinute),
      toUtcMs: utcMsAt(day, toMinute),
      note: `${visit.household}: ${rooms.get(roomId)!.name}, ${rooms.get(roomId)!.aspect}.`,
      place: visit.placeName,
    })),
  )
  return new Response(calendar, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': 'attachment; filename="day-plan.ics"',
    },
  })
}
