import { notFound } from 'next/navigation'
import { z } from 'zod'
import type { RoomDay } from '@/core/light/light-choice'
import { openDb } from '@/db/store'
import { listRooms, type Room } from '@/db/rooms'
import { findVisit, type Visit } from '@/db/visits'
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
  return { ...page, room, roomDay: roomDayOf(page.visit, room) }
}

export function roomDayOf(visit: Visit, room: Room): RoomDay {
  const { latitudeDeg, longitudeDeg } = visit
  return {
    room,
    place: { latitudeDeg, longitudeDeg },
    day: localDay(visit.visitDate, visit.timeZone),
  }
}
