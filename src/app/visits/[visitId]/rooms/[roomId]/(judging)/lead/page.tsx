import { deckName, leadKeepers, loadRoomBrief } from '@/app/_load/paints'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadRoom,
  loadSchemes,
} from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { NoDeck } from '@/ui/deck/no-deck'
import { LeadView } from '@/ui/lead/lead-view'

export const metadata = { title: 'Lead' }

export default async function LeadPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  if (decks.length === 0) return <NoDeck why="Schemes are drawn from a deck." />
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  return (
    <LeadView
      visitId={visit.id}
      roomId={room.id}
      keepers={leadKeepers(keepers, visit.houseRules)}
      chosen={room.leadKeeperId}
      decks={decks.map(deckName)}
      rules={visit.houseRules}
      eye={(await loadRoomBrief(visit, room)).eye}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      schemes={(await loadSchemes(visit.id))
        .filter(({ roomId: at }) => at === room.id)
        .map(({ name }) => name)}
      taken={(await loadCandidates(visit.id))
        .filter((each) => isUpIn(each, room.id))
        .map(({ deckColourId, strengthPercent }) => `${deckColourId} ${strengthPercent}`)}
    />
  )
}
