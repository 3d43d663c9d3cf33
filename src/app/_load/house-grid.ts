import { screenColour, type ScreenColour } from '@/core/colour/appearance'
import { cellVerdict, type CellVerdict } from '@/core/record/cell-verdict'
import { clockTime } from '@/core/light/day-clock'
import { keyLights, type KeyLight } from '@/core/light/key-lights'
import { lrvPercent } from '@/core/paint/lrv'
import { listCandidates } from '@/db/candidates'
import { listDecks } from '@/db/decks'
import { listLooks } from '@/db/looks'
import { openDb } from '@/db/store'
import type { BenchCandidate } from '@/ui/bench/bench-model'
import { candidatePaint } from './paints'
import { loadRoomDays, loadVisit } from './visit-page'

export interface GridColumn {
  readonly id: string
  readonly name: string
  /** "midday, 19:20, lamps": what the bands of its cells are. */
  readonly lights: readonly string[]
}

export interface GridCell {
  readonly roomId: string
  readonly bands: readonly ScreenColour[]
  readonly standing: CellVerdict | null
}

export interface GridRow {
  readonly paint: BenchCandidate
  readonly lrvPercent: number
  readonly cells: readonly GridCell[]
}

/** Rooms × candidates at a strength: each in the room's key lights, with how it stands there. */
export async function loadHouseGrid(visitId: string) {
  const page = await loadVisit(visitId)
  const { visit, rooms } = page
  const roomDays = await loadRoomDays(page)
  const db = await openDb()
  const decks = await listDecks(db)
  const candidates = await listCandidates(db, visit.id)
  const looks = (await listLooks(db, visit.id)).filter((look) => !look.retracted)
  const lit = rooms.map((room) => {
    const roomDay = roomDays.get(room.id)!
    return { room, roomDay, lights: keyLights(roomDay) }
  })
  const columns = lit.map(({ room, roomDay, lights }): GridColumn => ({
    id: room.id,
    name: room.name,
    lights: lights.map(({ name, choice }) =>
      name === 'lamps' ? 'lamps' : `${name} ${clockTime(roomDay.day, choice.minute)}`,
    ),
  }))
  const rows = candidates.map((candidate): GridRow => {
    const paint = candidatePaint(candidate, decks)
    return {
      paint,
      lrvPercent: lrvPercent(paint.reflectance),
      cells: lit.map(({ room, lights }) => ({
        roomId: room.id,
        bands: bandsOf(paint, lights),
        standing: cellVerdict(
          looks.filter((look) => look.candidateId === candidate.id && look.roomId === room.id),
        ),
      })),
    }
  })
  return { visit, columns, rows }
}

export const bandsOf = (paint: BenchCandidate, lights: readonly KeyLight[]): ScreenColour[] =>
  lights.map(({ prepared }) => screenColour(prepared, paint.reflectance))
