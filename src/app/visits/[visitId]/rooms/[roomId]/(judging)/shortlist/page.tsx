import { candidatePaint, deckName, loadRoomBrief } from '@/app/_load/paints'
import { loadHouseRooms, wearOf } from '@/app/_load/other-rooms'
import { loadCandidates, loadDecks, loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { NoDeck } from '@/ui/deck/no-deck'
import { ShortlistView } from '@/ui/shortlist/shortlist-view'

export const metadata = { title: 'Shortlist' }

export default async function ShortlistPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<{ deck?: string; colour?: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  if (decks.length === 0) return <NoDeck why="Candidates come from a deck." />
  const { deck, colour } = await searchParams
  const candidates = await loadCandidates(visit.id)
  return (
    <ShortlistView
      visitId={visit.id}
      roomId={room.id}
      decks={decks.map(deckName)}
      opening={colour ? { deckId: deck ?? null, code: colour } : null}
      candidates={candidates.map((candidate) => {
        const { reflectance, source, deckName, sheens } = candidatePaint(candidate, decks)
        return {
          id: candidate.id,
          deckColourId: candidate.deckColourId,
          code: candidate.code,
          name: candidate.name,
          deckName,
          strengthPercent: candidate.strengthPercent,
          reflectance,
          source,
          sheens,
          ruledOut: candidate.ruledOut,
          proposals: candidate.proposals,
        }
      })}
      brief={await loadRoomBrief(visit, room)}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      treatment={room.treatment}
      wear={await wearOf(visit.id, room.id)}
      without={room.ruledOutLeans}
      otherRooms={(await loadHouseRooms(visit.id)).filter(({ id }) => id !== room.id)}
    />
  )
}
