import { takeUp } from '@/app/_actions/candidate'
import { chooseLead } from '@/app/_actions/lead'
import { deckEntry, leadKeepers, whiteBaseOf } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { listCandidates } from '@/db/candidates'
import { listDeckColours, listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { openDb } from '@/db/store'
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
  const db = await openDb()
  const [deck] = await listDecks(db)
  if (!deck) return <NoDeck why="Schemes are drawn from a deck." />
  const colours = await listDeckColours(db, deck.id)
  const keepers = await listKeepersInRoom(db, room.id)
  return (
    <LeadView
      visitId={visit.id}
      roomId={room.id}
      keepers={leadKeepers(keepers, visit.houseRules)}
      chosen={room.leadKeeperId}
      deck={{ id: deck.id, whiteBase: whiteBaseOf(deck) }}
      entries={colours.map(deckEntry)}
      rules={visit.houseRules}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      taken={(await listCandidates(db, visit.id)).map(
        ({ deckColourId, strengthPercent }) => `${deckColourId} ${strengthPercent}`,
      )}
      actions={{ chooseLead, takeUp }}
    />
  )
}
