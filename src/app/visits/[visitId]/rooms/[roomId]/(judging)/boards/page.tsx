import { loadFetchList, type FetchEntry } from '@/app/_load/fetch-list'
import { candidatePaint, keeperFinish } from '@/app/_load/paints'
import { loadRoomBoards } from '@/app/_load/room-boards'
import { loadTradeWords } from '@/app/_load/settings'
import { loadCandidates, loadDecks, loadKeepersInRoom } from '@/app/_load/visit-page'
import { BoardsView } from '@/ui/boards/boards-view'
import { NoBoardYet } from '@/ui/boards/no-board-yet'
import { NeverHeld, ToFetch } from '@/ui/boards/to-fetch'

export const metadata = { title: 'Samples' }

export default async function BoardsPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const inWords = await loadTradeWords()
  const {
    visit,
    room,
    rule,
    onWall,
    patch,
    entries,
    tooMany,
    standings,
    possible,
    lookDate,
    isBegun,
  } = await loadRoomBoards(visitId, roomId)
  const { toFetch, neverHeld } = await loadFetchList(visit.id)
  const isHere = ({ wanted }: FetchEntry): boolean => wanted.some((each) => each.roomId === room.id)
  const fetching = {
    visitId: visit.id,
    toFetch: toFetch.toSorted((p, q) => Number(isHere(q)) - Number(isHere(p))),
  }
  if (entries.length === 0) {
    const decks = await loadDecks()
    return (
      <main className="min-h-0 flex-1 overflow-y-auto px-4 py-3">
        <h1 className="text-head">Samples</h1>
        <div className="mt-3 grid max-w-6xl gap-8 lg:grid-cols-2">
          <NoBoardYet
            mayGo={(await loadCandidates(visit.id)).flatMap((candidate) => {
              const proposal = candidate.proposals.find(
                (each) => each.roomId === room.id && each.status === 'proposed',
              )
              if (candidate.ruledOut !== null || !proposal) return []
              const { surface, sheen } = proposal
              return [
                {
                  paint: candidatePaint(candidate, decks),
                  proposal: {
                    ...{ visitId: visit.id, roomId: room.id, surface, sheen },
                    ...{ proposalId: proposal.id, candidateId: candidate.id },
                  },
                },
              ]
            })}
          />
          <div>
            <ToFetch {...fetching} />
            <NeverHeld neverHeld={neverHeld} />
          </div>
        </div>
      </main>
    )
  }
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  return (
    <BoardsView
      visitId={visit.id}
      roomId={room.id}
      rule={rule}
      patchWords={
        onWall
          ? patch
            ? `On the ${patch.wall} wall, from the ${inWords('trim')} of ${patch.beside}, ${inWords('baseboard')} to ceiling; beside its ${inWords('trim')}, never in the middle of the old colour`
            : inWords('Straight on the wall, up to the trim on both sides')
          : null
      }
      fetching={fetching}
      neverHeld={neverHeld}
      boards={entries}
      tooMany={tooMany}
      standings={standings}
      possible={possible}
      isBegun={isBegun}
      keepers={keepers.map((keeper) => keeperFinish(keeper, visit.houseRules))}
      visitDate={lookDate}
    />
  )
}
