import { lrvPercent } from '@/core/paint/lrv'
import { deckName, candidatePaint } from './paints'
import { standsFor } from './room-around'
import { loadCandidates, loadDecks, loadRoomDays, loadVisit } from './visit-page'

/** The rooms of a house as they open to each other, each with what stands for its walls. */
export async function loadTogether(visitId: string) {
  const page = await loadVisit(visitId)
  const { visit, rooms } = page
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const roomDays = await loadRoomDays(page)
  return {
    visit,
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
