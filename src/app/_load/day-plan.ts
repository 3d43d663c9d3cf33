import { COMPARATORS } from '@/core/undertone/comparators'
import { aspectOf } from '@/core/light/aspect'
import { clockOfMinutes, clockTime, minuteAtClockTime, type LocalDay } from '@/core/light/day-clock'
import type { Sky } from '@/core/light/sky'
import { dayPlan, MOST_ROOMS } from '@/core/plan/day-plan'
import { simulatedForecaster } from '@/devices/sky-forecast'
import { candidatePaint } from './paints'
import { loadCandidates, loadDecks, loadRoomDays, loadVisit } from './visit-page'

/**
 * In which order to see the rooms of a visit, and what is left for later.
 *
 * @param sky to plan for, or null for the one that is forecast
 */
export async function loadDayPlan(visitId: string, sky: Sky | null = null) {
  const page = await loadVisit(visitId)
  const { visit } = page
  const rooms = page.rooms.slice(0, MOST_ROOMS)
  const roomDays = await loadRoomDays(page)
  const decks = await loadDecks()
  const candidates = (await loadCandidates(visit.id)).map(
    (candidate) => candidatePaint(candidate, decks).reflectance,
  )
  const colours =
    candidates.length > 0 ? candidates : COMPARATORS.map(({ reflectance }) => reflectance)
  const place = { latitudeDeg: visit.latitudeDeg, longitudeDeg: visit.longitudeDeg }
  const forecast = await simulatedForecaster(visit.climate).forecast(place, visit.visitDate)
  const [first] = roomDays.values()
  const day = first?.day ?? null
  // A forecast is by the hours of the clock.
  const skyAt = (minute: number): Sky =>
    sky ?? forecast.hours[day ? Number(clockTime(day, minute).slice(0, 2)) : 12]!
  const plan = day
    ? dayPlan(
        rooms.map(({ id }) => ({ id, roomDay: roomDays.get(id)!, colours })),
        minuteOfClock(day, visit.fromMinute),
        minuteOfClock(day, visit.toMinute),
        skyAt,
      )
    : null
  return {
    visit,
    day,
    forecast,
    skyAt,
    plan,
    hasCandidates: candidates.length > 0,
    leftOut: page.rooms.slice(MOST_ROOMS).map(({ name }) => name),
    rooms: new Map(
      rooms.map((room) => [
        room.id,
        { name: room.name, aspect: aspectOf(room).join(' and ') || 'no window' },
      ]),
    ),
  }
}

/** Minutes into the day at which its clocks show a time; where clocks jump over it, the minute after. */
function minuteOfClock(day: LocalDay, clockMinute: number): number {
  for (let minute = clockMinute; minute < 1440; minute++) {
    const found = minuteAtClockTime(day, clockOfMinutes(minute))
    if (found !== null) return found
  }
  return day.lengthMinutes
}
