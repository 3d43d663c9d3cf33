import { screenColour, type ScreenColour } from '@/core/colour/appearance'
import { clockTime } from '@/core/light/day-clock'
import { keyLights, type KeyLight } from '@/core/light/key-lights'
import { lrvPercent } from '@/core/paint/lrv'
import { cellSays, type CellSays } from '@/core/record/cell'
import type { Look } from '@/core/record/look'
import { rowSum, worksIn } from '@/core/record/row-sum'
import { againstSaid, lightSaid } from '@/core/record/look-words'
import { isLeanOut } from '@/core/undertone/lean'
import type { Candidate } from '@/db/candidates'
import type { Visit } from '@/db/visits'
import { localDay } from '@/time/local-day'
import type { BenchCandidate } from '@/ui/bench/bench-model'
import { candidatePaint } from './paints'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadNames,
  loadRoomDays,
  loadStandingLooks,
  loadVisit,
} from './visit-page'

export interface GridColumn {
  readonly id: string
  readonly name: string
  /** "midday, 19:20, lamps": what the bands of its cells are. */
  readonly lights: readonly string[]
}

/** How a candidate stands in a room. */
export interface GridCell {
  readonly roomId: string
  readonly bands: readonly ScreenColour[]
  readonly says: CellSays
  /** "beside the stone, 21 December 2026, 19:10, …" of the look that names it. */
  readonly namedBy: string
  /** Whether it is proposed here at all; why it is out, where it is. */
  readonly isUp: boolean
  readonly ruledOut: string | null
  /** Whether its lean is out of this room. */
  readonly isLeanOut: boolean
}

export interface GridRow {
  readonly paint: BenchCandidate
  readonly lrvPercent: number
  readonly cells: readonly GridCell[]
  /** "works in 3 of 5, stronger in the Snug". */
  readonly sum: string
  readonly worksIn: number
}

/**
 * Rooms × candidates at a strength: each in the room's key lights, with how it stands there.
 *
 * @param date the day of those lights, the visit's own without one
 */
export async function loadHouseGrid(visitId: string, date?: string) {
  const page = await loadVisit(visitId)
  const { visit, rooms } = page
  const roomDays = await loadRoomDays(page, date)
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const looks = await loadStandingLooks(visit.id)
  const said = await lookWordsOf(visit)
  const [first] = roomDays.values()
  const shown = first?.day.date ?? visit.visitDate
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
    const cells = lit.map(({ room, lights }) => {
      const says = cellSays(looksOf(looks, candidate.id, room.id))
      return {
        roomId: room.id,
        bands: bandsOf(paint, lights),
        says,
        namedBy: says.look
          ? `beside ${said.against(says.look)}, ${said.light(says.look, shown)}`
          : '',
        isUp: isUpIn(candidate, room.id),
        ruledOut: whyOut(candidate, room.id),
        isLeanOut: isLeanOut(room.ruledOutLeans, paint.lean),
      }
    })
    const summed = cells.map(({ roomId, isUp, ruledOut, says }) => ({
      room: rooms.find(({ id }) => id === roomId)!.name,
      isUp: isUp && ruledOut === null,
      verdict: says.verdict,
    }))
    return {
      paint,
      lrvPercent: lrvPercent(paint.reflectance),
      cells,
      sum: rowSum(summed),
      worksIn: worksIn(summed),
    }
  })
  return { visit, date: shown, columns, rows }
}

export const looksOf = <L extends Look>(
  looks: readonly L[],
  candidateId: string,
  roomId: string,
): L[] =>
  looks.filter((look) => look.candidate.candidateId === candidateId && look.roomId === roomId)

/** Why a candidate is out in a room: for the house, or for all it was proposed for there; null where it is not. */
export function whyOut(candidate: Candidate, roomId: string): string | null {
  if (candidate.ruledOut !== null) return candidate.ruledOut || 'ruled out for the house'
  const here = candidate.proposals.filter((proposal) => proposal.roomId === roomId)
  if (here.length === 0 || here.some(({ status }) => status !== 'ruled out')) return null
  return here[0]!.reason || 'ruled out'
}

/** What a look was held against and in which light, in the words of its visit. */
export async function lookWordsOf(visit: Visit) {
  const names = await loadNames(visit.id)
  const { latitudeDeg, longitudeDeg, timeZone } = visit
  return {
    against: ({ against }: Look): string =>
      againstSaid(against, (id) => names.get(id) ?? 'what was taken out since'),
    light: ({ light }: Look, shownDate: string | null = null): string =>
      lightSaid(
        light,
        { latitudeDeg, longitudeDeg },
        (date) => localDay(date, timeZone),
        shownDate,
      ),
  }
}

export const bandsOf = (paint: BenchCandidate, lights: readonly KeyLight[]): ScreenColour[] =>
  lights.map(({ prepared }) => screenColour(prepared, paint.reflectance))
