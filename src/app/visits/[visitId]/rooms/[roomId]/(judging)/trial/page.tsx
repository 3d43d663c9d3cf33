import { loadHouseRooms } from '@/app/_load/other-rooms'
import { deckName, keeperFinish, loadRoomBrief } from '@/app/_load/paints'
import { loadCandidates, loadDecks, loadKeepersInRoom, loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
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
  if (decks.length === 0) return <NoDeck why="A colour on trial comes from a deck." />
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  return (
    <TrialView
      decks={decks.map(deckName)}
      opening={wanted.colour ? { deckId: wanted.deck ?? null, code: wanted.colour } : null}
      brief={await loadRoomBrief(visit, room)}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      keepers={keepers
        .filter(({ state }) => isJudgedAgainst(state))
        .map((keeper) => keeperFinish(keeper, visit.houseRules))}
      own={(await loadCandidates(visit.id)).map(({ deckColourId }) => deckColourId)}
      rooms={await loadHouseRooms(visit.id)}
    />
  )
}
