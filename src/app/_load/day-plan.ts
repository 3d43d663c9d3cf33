import { COMPARATORS } from '@/core/undertone/comparators'
import { aspectOf } from '@/core/light/aspect'
import { clockOfMinutes, clockTime, minuteAtClockTime, type LocalDay } from '@/core/light/day-clock'
import type { Sky } from '@/core/light/sky'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { dayPlan, MOST_ROOMS } from '@/core/plan/day-plan'
import { simulatedForecaster } from '@/devices/sky-forecast'
import { candidatePaint } from './paints'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadKeepers,
  loadRoomDays,
  loadVisit,
} from './visit-page'

// What a room takes with nothing to compare in it yet, in pairs held up (common practice: some minutes).
const LOOK_ROUND = 6

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
  const keepers = await loadKeepers(visit.id)
  const proposed = await loadCandidates(visit.id)
  // A look round, and each candidate held to each thing that stays.
  const workIn = (roomId: string): number =>
    LOOK_ROUND +
    keepers.filter(({ roomIds, state }) => roomIds.includes(roomId) && isJudgedAgainst(state))
      .length *
      proposed.filter((candidate) => isUpIn(candidate, roomId)).length
  const place = { latitudeDeg: visit.latitudeDeg, longitudeDeg: visit.longitudeDeg }
  const forecast = await simulatedForecaster(visit.climate).forecast(place, visit.visitDate)
  const [first] = roomDays.values()
  const day = first?.day ?? null
  // A forecast is by the hours of the clock.
  const skyAt = (minute: number): Sky =>
    sky ?? forecast.hours[day ? Number(clockTime(day, minute).slice(0, 2)) : 12]!
  const plan = day
    ? dayPlan(
        rooms.map(({ id }) => ({ id, roomDay: roomDays.get(id)!, colours, work: workIn(id) })),
        minuteOfClock(day, visit.fromMinute),
        minuteOfClock(day, visit.toMinute),
        skyAt,
        visit.planOrder,
      )
    : null
  return {
    visit,
    day,
    forecast,
    skyAt,
    plan,
    roomDays,
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
