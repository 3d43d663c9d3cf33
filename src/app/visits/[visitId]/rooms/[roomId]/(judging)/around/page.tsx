import { loadRoomAround } from '@/app/_load/room-around'
import { loadTradeWords } from '@/app/_load/settings'
import { labWords } from '@/core/paint/typed-reading'
import { AroundView } from '@/ui/around/around-view'
import { NO_WALL } from '@/ui/around/room-paint-values'
import { NoDeck } from '@/ui/deck/no-deck'
import { Link } from '@/ui/frame/page-link'

export const metadata = { title: 'Around it' }

export default async function AroundPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const inWords = await loadTradeWords()
  const { visit, room, walls, paint, ...page } = await loadRoomAround(visitId, roomId)
  if (page.decks.length === 0) return <NoDeck why="What goes around a wall comes from a deck." />
  if (!walls)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">Nothing to go around yet</h1>
        <p className="my-3">
          {inWords('Trim, ceiling and doors follow the walls: propose a colour for them first.')}
        </p>
        <Link href="shortlist" className="key key-first">
          Propose a colour for this room
        </Link>
      </main>
    )
  const { oldWalls, featureWall, ...joinery } = paint
  return (
    <AroundView
      {...page}
      visitId={visit.id}
      roomId={room.id}
      room={room}
      treatment={room.treatment}
      walls={walls}
      joinery={paint}
      values={{
        ...joinery,
        featureWall: featureWall ?? NO_WALL,
        oldWalls: oldWalls
          ? oldWalls.kind === 'srgb'
            ? oldWalls.hex
            : labWords(oldWalls.lab)
          : '',
      }}
    />
  )
}
