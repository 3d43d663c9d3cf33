import { Link } from '@/ui/frame/page-link'
import { deckName, keeperFinish, loadRoomBrief, proposedPaint } from '@/app/_load/paints'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadFinishLooks,
  loadKeepersInRoom,
  loadLooks,
  loadRoom,
  loadSweeps,
} from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { Bench } from '@/ui/bench/bench'

export const metadata = { title: 'Bench' }

export default async function BenchPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  const all = await loadKeepersInRoom(visit.id, room.id)
  const keepers = all.filter(({ state }) => isJudgedAgainst(state))
  const candidates = (await loadCandidates(visit.id)).filter((each) => isUpIn(each, room.id))
  if (keepers.length === 0 || candidates.length === 0)
    return (
      <main className="flex-1 p-6">
        <h1 className="text-head">The bench needs two things to hold together</h1>
        <p className="my-3 flex flex-wrap items-center gap-3">
          {keepers.length === 0 && (
            <Link href="keepers" className="key key-first">
              Enter what stays in this room
            </Link>
          )}
          {candidates.length === 0 && (
            <Link href="shortlist" className="key key-first">
              Propose a colour for this room
            </Link>
          )}
        </p>
      </main>
    )
  const looks = await loadLooks(visit.id)
  return (
    <Bench
      visitId={visit.id}
      roomId={room.id}
      roomName={room.name}
      keepers={keepers.map((keeper) => keeperFinish(keeper, visit.houseRules))}
      candidates={candidates.map((candidate) => {
        const paint = proposedPaint(candidate, room.id, decks)
        // Below the house rule a strength is not proposed.
        const useful = (percent: number) => percent >= weakestStrengthPercent(visit.houseRules)
        return { ...paint, ladder: paint.ladder.filter((rung) => useful(rung.strengthPercent)) }
      })}
      leaving={all
        .filter(({ state }) => !isJudgedAgainst(state))
        .map((keeper) => keeperFinish(keeper, visit.houseRules))}
      without={room.ruledOutLeans}
      finishLooks={(await loadFinishLooks(visit.id)).filter((look) => look.roomId === room.id)}
      sweeps={(await loadSweeps(visit.id)).filter((sweep) => sweep.roomId === room.id)}
      looks={looks.filter((look) => look.roomId === room.id)}
      search={{
        without: room.ruledOutLeans,
        names: decks.map(deckName),
        brief: await loadRoomBrief(visit, room),
        weakestPercent: weakestStrengthPercent(visit.houseRules),
      }}
    />
  )
}
