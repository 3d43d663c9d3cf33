import { deckEntry, keeperFinish, loadRoomBrief } from '@/app/_load/paints'
import { loadDecks, loadKeepersInRoom, loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { listDeckColours } from '@/db/decks'
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
  const { visit, room } = await loadRoom(visitId, roomId)
  const wanted = await searchParams
  const decks = await loadDecks()
  const deck = decks.find(({ id }) => id === wanted.deck) ?? decks[0]
  if (!deck) return <NoDeck why="A colour on trial comes from a deck." />
  const colours = await listDeckColours(await openDb(), deck.id)
  const place = colours.findIndex(({ code }) => code === wanted.colour)
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  return (
    <TrialView
      key={`${deck.id} ${place}`}
      deck={deck}
      entries={colours.map(deckEntry)}
      place={place < 0 ? null : place}
      brief={await loadRoomBrief(visit, room)}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      keepers={keepers
        .filter(({ state }) => isJudgedAgainst(state))
        .map((keeper) => keeperFinish(keeper, visit.houseRules))}
    />
  )
}
