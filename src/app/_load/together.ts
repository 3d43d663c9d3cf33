import { lrvPercent } from '@/core/paint/lrv'
import { eyeOfTwo, eyeSaidIn, refusedBeside } from '@/core/record/eye-said'
import { deckName, candidatePaint } from './paints'
import { standsFor } from './room-around'
import {
  loadCandidates,
  loadDecks,
  loadLooksThatCount,
  loadRoomDays,
  loadVisit,
} from './visit-page'

/** The rooms of a house as they open to each other, each with what stands for its walls. */
export async function loadTogether(visitId: string) {
  const page = await loadVisit(visitId)
  const { visit, rooms } = page
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const roomDays = await loadRoomDays(page)
  const looks = await loadLooksThatCount(visit.id)
  const walls = [
    ...new Set(rooms.flatMap(({ id }) => standsFor(candidates, id, 'walls')?.id ?? [])),
  ]
  const paints = new Map(candidates.map((each) => [each.id, each]))
  return {
    visit,
    /** What the eye said of walls held to each other, by the ids of both. */
    eye: walls.flatMap((oneId) =>
      walls.flatMap((otherId) => {
        const said = oneId === otherId ? null : eyeOfTwo(looks, oneId, otherId)
        return said ? [{ oneId, otherId, ...said }] : []
      }),
    ),
    decks: decks.map(deckName),
    rooms: rooms.map((room) => {
      const walls = standsFor(candidates, room.id, 'walls')
      const proposal = walls?.proposals.find(
        (each) => each.roomId === room.id && each.surface === 'walls',
      )
      const paint = walls && candidatePaint(walls, decks)
      return {
        id: room.id,
        name: room.name,
        seenFrom: room.seenFrom,
        roomDay: roomDays.get(room.id)!,
        /** What the eye refused beside something of the room, or beside its walls. */
        refused: [
          ...eyeSaidIn(
            looks.filter(({ roomId }) => roomId === room.id),
            (id) => paints.get(id),
          ).filter(({ verdict }) => verdict === 'no'),
          ...(walls ? refusedBeside(looks, walls.id, (id) => paints.get(id)) : []),
        ].map(({ deckColourId, strengthPercent }) => ({ deckColourId, strengthPercent })),
        walls: paint &&
          walls && {
            ...paint,
            lrvPercent: lrvPercent(paint.reflectance),
            /** "picked", "going to board". */
            status: proposal!.status,
          },
      }
    }),
  }
}
