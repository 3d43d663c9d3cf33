import { deckEntry, keeperFinish, rankedFor } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { listDeckColours, listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { openDb } from '@/db/store'
import { NoDeck } from '@/ui/deck/no-deck'
import { TrialView } from '@/ui/trial/trial-view'

export const metadata = { title: 'On trial' }

export default async function TrialPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<{ deck?: string; colour?: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room, roomDay } = await loadRoom(visitId, roomId)
  const wanted = await searchParams
  const db = await openDb()
  const decks = await listDecks(db)
  const deck = decks.find(({ id }) => id === wanted.deck) ?? decks[0]
  if (!deck) return <NoDeck why="A colour on trial comes from a deck." />
  const colours = await listDeckColours(db, deck.id)
  const place = colours.findIndex(({ code }) => code === wanted.colour)
  const keepers = await listKeepersInRoom(db, room.id)
  return (
    <TrialView
      key={`${deck.id} ${place}`}
      deck={deck}
      entries={colours.map(deckEntry)}
      place={place < 0 ? null : place}
      room={rankedFor(visit, room, roomDay, keepers)}
      keepers={keepers
        .filter(({ state }) => isJudgedAgainst(state))
        .map((keeper) => keeperFinish(keeper, visit.houseRules))}
    />
  )
}
