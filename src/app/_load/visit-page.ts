import { notFound } from 'next/navigation'
import { cache } from 'react'
import { z } from 'zod'
import type { HouseRules } from '@/core/advice/house-rules'
import type { WithEye } from '@/core/eye/factors'
import type { LocalDay } from '@/core/light/day-clock'
import type { RoomDay } from '@/core/light/light-choice'
import { listBoards } from '@/db/boards'
import { listAllCandidates, type Candidate } from '@/db/candidates'
import { lastSeq, namesInVisit } from '@/db/commands'
import { listDecks } from '@/db/decks'
import { lessonInForce } from '@/db/eye-lessons'
import { listFinishLooks } from '@/db/finish-looks'
import { listKeepers, type Keeper } from '@/db/keepers'
import type { KeptLook } from '@/db/look-row'
import { listLooks } from '@/db/looks'
import { listMeterReadings } from '@/db/meter-readings'
import { listPlacings } from '@/db/placings'
import { listRoomPaint } from '@/db/room-paint'
import { listRooms, type Room } from '@/db/rooms'
import { listRulings } from '@/db/rulings'
import { listSchemes } from '@/db/schemes'
import { listSweeps } from '@/db/sweeps'
import { listWhatIfs } from '@/db/what-ifs'
import { openDb } from '@/store/store'
import { findVisit, type Visit } from '@/db/visits'
import { localDay } from '@/time/local-day'
import { surfacesOf } from './room-surfaces'

// Each is asked for once a request, however many parts of a page need it.

/** The visit an address names, or null. */
export const findVisitById = cache(async (visitId: string): Promise<Visit | null> => {
  if (!z.uuid().safeParse(visitId).success) return null
  const visit = await findVisit(await openDb(), visitId)
  return visit && { ...visit, houseRules: await withEye(visit.houseRules) }
})
/** The lesson of the eye that is judged with; null where the model's own limits hold. */
export const loadEyeInForce = cache(async () => lessonInForce(await openDb()))

/** House rules with the eye that is judged with, where there is one. */
export async function withEye(rules: HouseRules): Promise<HouseRules & WithEye> {
  const eye = await loadEyeInForce()
  return eye ? { ...rules, eye: { version: eye.version, factors: eye.factors } } : rules
}
const roomsOf = cache(async (visitId: string) => listRooms(await openDb(), visitId))
export const loadKeepers = cache(async (visitId: string) => listKeepers(await openDb(), visitId))
export const loadReadings = cache(async (visitId: string) =>
  listMeterReadings(await openDb(), visitId),
)
const loadAllCandidates = cache(async (visitId: string) =>
  listAllCandidates(await openDb(), visitId),
)
export const loadLooks = cache(async (visitId: string) => listLooks(await openDb(), visitId))
export const loadRulings = cache(async (visitId: string) => listRulings(await openDb(), visitId))
export const loadFinishLooks = cache(async (visitId: string) =>
  listFinishLooks(await openDb(), visitId),
)
export const loadSweeps = cache(async (visitId: string) => listSweeps(await openDb(), visitId))
export const loadBoards = cache(async (visitId: string) => listBoards(await openDb(), visitId))
export const loadRoomPaint = cache(async (visitId: string) =>
  listRoomPaint(await openDb(), visitId),
)
export const loadSchemes = cache(async (visitId: string) => listSchemes(await openDb(), visitId))
export const loadPlacings = cache(async (visitId: string) => listPlacings(await openDb(), visitId))
export const loadWhatIfs = cache(async (visitId: string) => listWhatIfs(await openDb(), visitId))
export const loadNames = cache(async (visitId: string) => namesInVisit(await openDb(), visitId))
export const loadDecks = cache(async () => listDecks(await openDb()))
export const loadLastSeq = cache(async (visitId: string) => lastSeq(await openDb(), visitId))

export interface VisitPage {
  readonly visit: Visit
  readonly rooms: readonly Room[]
}

/** A visit and its rooms, or the page that says there is none. */
export async function loadVisit(visitId: string): Promise<VisitPage> {
  const visit = await findVisitById(visitId)
  if (!visit) notFound()
  return { visit, rooms: await roomsOf(visitId) }
}

/** Candidates of a visit that are in sight. */
export const loadCandidates = async (visitId: string): Promise<Candidate[]> =>
  (await loadAllCandidates(visitId)).filter(({ dropped }) => !dropped)

/** Keepers of a room, also those entered in another, dearest to change first. */
export const loadKeepersInRoom = async (visitId: string, roomId: string): Promise<Keeper[]> =>
  (await loadKeepers(visitId)).filter(({ roomIds }) => roomIds.includes(roomId))

/** Whether a candidate is up in a room: proposed for a surface of it, and ruled out neither there nor for the house. */
export const isUpIn = (candidate: Candidate, roomId: string): boolean =>
  candidate.ruledOut === null &&
  candidate.proposals.some(
    (proposal) => proposal.roomId === roomId && proposal.status !== 'ruled out',
  )

/** Looks that stand, in rooms that stand, at candidates that are in sight. */
export async function loadStandingLooks(visitId: string): Promise<KeptLook[]> {
  const { rooms } = await loadVisit(visitId)
  const inSight = new Set((await loadCandidates(visitId)).map(({ id }) => id))
  return (await loadLooks(visitId)).filter(
    ({ retracted, roomId, candidate }) =>
      !retracted && inSight.has(candidate.candidateId) && rooms.some(({ id }) => id === roomId),
  )
}

/** The same without those beside what leaves or was taken out: they say nothing of the room to come. */
export async function loadLooksThatCount(visitId: string): Promise<KeptLook[]> {
  const judged = new Set(
    (await loadKeepers(visitId)).flatMap(({ id, state }) => (state === 'leaving' ? [] : [id])),
  )
  return (await loadStandingLooks(visitId)).filter(
    ({ against }) => against.kind !== 'keeper' || judged.has(against.keeperId),
  )
}

/** A room of a visit with its day. */
export async function loadRoom(
  visitId: string,
  roomId: string,
  date?: string,
): Promise<VisitPage & { room: Room; roomDay: RoomDay }> {
  const page = await loadVisit(visitId)
  const room = page.rooms.find((candidate) => candidate.id === roomId)
  if (!room) notFound()
  return { ...page, room, roomDay: (await loadRoomDays(page, date)).get(roomId)! }
}

/**
 * The day of every room of a visit: its surfaces as far as its keepers tell them, and what a meter said.
 *
 * @param date to show instead of the visit's own; one that does not exist is not shown
 */
export async function loadRoomDays(
  { visit, rooms }: VisitPage,
  date?: string,
): Promise<ReadonlyMap<string, RoomDay>> {
  const keepers = await loadKeepers(visit.id)
  const { latitudeDeg, longitudeDeg } = visit
  const day = shownDay(visit, date)
  const readings = (await loadReadings(visit.id)).map((reading) => ({
    ...reading,
    day: localDay(reading.date ?? visit.visitDate, visit.timeZone),
  }))
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

function shownDay({ visitDate, timeZone }: Visit, date: string | undefined): LocalDay {
  const asked = z.iso.date().safeParse(date)
  return localDay(asked.success ? asked.data : visitDate, timeZone)
}
