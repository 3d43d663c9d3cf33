import { notFound } from 'next/navigation'
import { z } from 'zod'
import type { LocalDay } from '@/core/light/day-clock'
import type { RoomDay } from '@/core/light/light-choice'
import { listKeepers } from '@/db/keepers'
import { listMeterReadings } from '@/db/meter-readings'
import { openDb } from '@/db/store'
import { listRooms, type Room } from '@/db/rooms'
import { findVisit, type Visit } from '@/db/visits'
import { surfacesOf } from './room-surfaces'
import { localDay } from '@/time/local-day'

export interface VisitPage {
  readonly visit: Visit
  readonly rooms: readonly Room[]
}

/** A visit and its rooms, or the page that says there is none. */
export async function loadVisit(visitId: string): Promise<VisitPage> {
  const visit = await findVisitById(visitId)
  if (!visit) notFound()
  return { visit, rooms: await listRooms(await openDb(), visitId) }
}

/** The visit an address names, or null. */
export async function findVisitById(visitId: string): Promise<Visit | null> {
  return z.uuid().safeParse(visitId).success ? findVisit(await openDb(), visitId) : null
}

/** A room of a visit with its day. */
export async function loadRoom(
  visitId: string,
  roomId: string,
): Promise<VisitPage & { room: Room; roomDay: RoomDay }> {
  const page = await loadVisit(visitId)
  const room = page.rooms.find((candidate) => candidate.id === roomId)
  if (!room) notFound()
  return { ...page, room, roomDay: (await loadRoomDays(page)).get(roomId)! }
}

/** The day of every room of a visit: its surfaces as far as its keepers tell them, and what a meter said. */
export async function loadRoomDays({
  visit,
  rooms,
}: VisitPage): Promise<ReadonlyMap<string, RoomDay>> {
  const db = await openDb()
  const keepers = await listKeepers(db, visit.id)
  const readings = await listMeterReadings(db, visit.id)
  const { latitudeDeg, longitudeDeg } = visit
  const day = localDay(visit.visitDate, visit.timeZone)
  return new Map(
    rooms.map((room) => [
      room.id,
      {
        room: {
          ...room,
          surfaces: surfacesOf(keepers.filter(({ roomIds }) => roomIds.includes(room.id))),
        },
        place: { latitudeDeg, longitudeDeg },
        day,
        readings: readings.filter(({ roomId }) => roomId === room.id),
      },
    ]),
  )
}

/** Two days that show a room at its extremes, of the visit's own year. */
export function solstices({
  visitDate,
  timeZone,
}: Visit): Readonly<Record<'summer' | 'winter', LocalDay>> {
  const year = visitDate.slice(0, 4)
  return {
    summer: localDay(`${year}-06-21`, timeZone),
    winter: localDay(`${year}-12-21`, timeZone),
  }
}
