import { keeperFinish } from '@/app/_load/paints'
import { loadRoomBoards } from '@/app/_load/room-boards'
import { loadTradeWords } from '@/app/_load/settings'
import { loadKeepersInRoom } from '@/app/_load/visit-page'
import { Link } from '@/ui/frame/page-link'
import { BoardsView } from '@/ui/boards/boards-view'

export const metadata = { title: 'Boards' }

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
  if (entries.length === 0)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">Nothing goes to board yet</h1>
        <p className="my-3">
          Paint boards of no more than three colours. Say of each candidate that it is going to
          board.
        </p>
        <Link href="shortlist?part=proposed" className="key key-first">
          To the candidates of this room
        </Link>
      </main>
    )
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
