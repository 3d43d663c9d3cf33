import Link from 'next/link'
import { recordLook, undoLook } from '@/app/_actions/look'
import { candidatePaint, keeperFinish } from '@/app/_load/paints'
import { loadRoom } from '@/app/_load/visit-page'
import { weakestStrengthPercent } from '@/core/advice/house-rules'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { listCandidates } from '@/db/candidates'
import { listDecks } from '@/db/decks'
import { listKeepersInRoom } from '@/db/keepers'
import { listLooks } from '@/db/looks'
import { openDb } from '@/db/store'
import { BenchView } from '@/ui/bench/bench-view'

export const metadata = { title: 'Bench' }

export default async function BenchPage({
  params,
}: {
  params: Promise<{ visitId: string; roomId: string }>
}) {
  const { visitId, roomId } = await params
  const { visit, room } = await loadRoom(visitId, roomId)
  const db = await openDb()
  const decks = await listDecks(db)
  const keepers = (await listKeepersInRoom(db, room.id)).filter(({ state }) =>
    isJudgedAgainst(state),
  )
  const candidates = await listCandidates(db, visit.id)
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
              Take up a candidate
            </Link>
          )}
        </p>
      </main>
    )
  const looks = await listLooks(db, visit.id)
  return (
    <BenchView
      roomId={room.id}
      keepers={keepers.map((keeper) => keeperFinish(keeper, visit.houseRules))}
      candidates={candidates.map((candidate) => {
        const paint = candidatePaint(candidate, decks)
        // The model proposes no strength that the house rule calls too weak.
        const useful = (percent: number) => percent >= weakestStrengthPercent(visit.houseRules)
        return { ...paint, ladder: paint.ladder.filter((rung) => useful(rung.strengthPercent)) }
      })}
      looks={looks.filter((look) => look.roomId === room.id)}
      actions={{ recordLook, undoLook }}
    />
  )
}
