import Link from 'next/link'
import { takeUp } from '@/app/_actions/candidate'
import { chooseLead } from '@/app/_actions/lead'
import { leadKeepers, whiteBaseOf } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/judge/house-rules'
import { listCandidates } from '@/db/candidates'
import { listDeckColours, listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { openDb } from '@/db/store'
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
  if (!deck)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">No deck yet</h1>
        <p className="my-3">Schemes are drawn from a deck. Take one in first.</p>
        <Link href="/decks" className="key key-first">
          To the decks
        </Link>
      </main>
    )
  const colours = await listDeckColours(db, deck.id)
  const keepers = await listKeepersInRoom(db, room.id)
  return (
    <LeadView
      visitId={visit.id}
      roomId={room.id}
      keepers={leadKeepers(keepers, visit.houseRules)}
      chosen={room.leadKeeperId}
      deck={{ id: deck.id, maker: deck.maker, whiteBase: whiteBaseOf(deck) }}
      entries={colours.map(({ deckColourId, code, name, strip, base }) => ({
        id: deckColourId,
        code,
        name,
        strip,
        base,
      }))}
      rules={visit.houseRules}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      taken={(await listCandidates(db, visit.id)).map(
        ({ deckColourId, strengthPercent }) => `${deckColourId} ${strengthPercent}`,
      )}
      actions={{ chooseLead, takeUp }}
    />
  )
}
