import { loadHouseRooms, wearOf } from '@/app/_load/other-rooms'
import { paintOfAddress, type PaintQuery } from '@/app/_load/paint-address'
import { deckName, keeperFinish, loadRoomBrief } from '@/app/_load/paints'
import { loadCandidates, loadDecks, loadKeepersInRoom, loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { NoDeck } from '@/ui/deck/no-deck'
import { TrialView } from '@/ui/trial/trial-view'

export const metadata = { title: 'A paint' }

export default async function PaintInRoomPage({
  params,
  searchParams,
}: {
  params: Promise<{ visitId: string; roomId: string }>
  searchParams: Promise<PaintQuery>
}) {
  const { visitId, roomId } = await params
  const { visit, room } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  if (decks.length === 0) return <NoDeck why="A paint comes from a deck." />
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  return (
    <TrialView
      room={{
        visitId: visit.id,
        roomId: room.id,
        treatment: room.treatment,
        wear: await wearOf(visit.id, room.id),
      }}
      decks={decks.map(deckName)}
      opening={paintOfAddress(await searchParams)}
      brief={await loadRoomBrief(visit, room)}
      weakestPercent={weakestStrengthPercent(visit.houseRules)}
      keepers={keepers
        .filter(({ state }) => isJudgedAgainst(state))
        .map((keeper) => keeperFinish(keeper, visit.houseRules))}
      own={(await loadCandidates(visit.id)).map(
        ({ id, deckColourId, code, name, strengthPercent, proposals }) => ({
          ...{ id, deckColourId, code, name, strengthPercent, proposals },
        }),
      )}
      rooms={await loadHouseRooms(visit.id)}
    />
  )
}
