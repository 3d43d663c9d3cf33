import { deckName, leadKeepers } from '@/app/_load/paints'
import { loadRoomSchemes } from '@/app/_load/room-schemes'
import { wearOf } from '@/app/_load/other-rooms'
import { loadCandidates, loadDecks, loadKeepersInRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { NoDeck } from '@/ui/deck/no-deck'
import { LeadView } from '@/ui/lead/lead-view'

export const metadata = { title: 'Schemes' }

export default async function SchemesPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const decks = await loadDecks()
  if (decks.length === 0) return <NoDeck why="Schemes are drawn from a deck." />
  const { visit, room, schemes, keepers, stands, eye } = await loadRoomSchemes(visitId, roomId)
  return (
    <LeadView
      visitId={visit.id}
      roomId={room.id}
      keepers={leadKeepers(await loadKeepersInRoom(visit.id, room.id), visit.houseRules)}
      chosen={room.leadKeeperId}
      decks={decks.map(deckName)}
      rules={visit.houseRules}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      candidates={(await loadCandidates(visit.id)).map(
        ({ id, deckColourId, name, strengthPercent, proposals }) => ({
          ...{ id, deckColourId, name, strengthPercent, proposals },
        }),
      )}
      treatment={room.treatment}
      wear={await wearOf(visit.id, room.id)}
      saved={schemes}
      besides={keepers}
      {...{ stands, eye }}
    />
  )
}
