import { screenColour, type ScreenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { clockTime } from '@/core/light/day-clock'
import { keyLights, type KeyLight } from '@/core/light/key-lights'
import type { RoomDay } from '@/core/light/light-choice'
import { lrvPercent } from '@/core/paint/lrv'
import { judgementOf, type Judgement } from '@/core/pairing/chance'
import type { ReadingSource } from '@/core/paint/reading'
import { askedRoomOn, rankedRoomOf } from '@/core/ranking/asked-room'
import { chanceInRoom } from '@/core/ranking/rank-for-room'
import { cellSays } from '@/core/record/cell'
import { foundedOn } from '@/core/record/founded'
import type { Look } from '@/core/record/look'
import { SURFACES, type Surface } from '@/core/record/proposal'
import { rowSum, worksIn } from '@/core/record/row-sum'
import { againstSaid, lightSaid } from '@/core/record/look-words'
import { isLeanOut } from '@/core/undertone/lean'
import type { Candidate } from '@/db/candidates'
import type { Visit } from '@/db/visits'
import { localDay } from '@/time/local-day'
import type { Room } from '@/db/rooms'
import type { BenchCandidate } from '@/ui/bench/bench-model'
import type { GridAsked, GridColumn, GridRow } from '@/ui/grid/grid-model'
import { candidatePaint, loadRoomBrief } from './paints'
import { standingRulings } from './rulings'
import { loadSettings } from './settings'
import {
  loadCandidates,
  loadDecks,
  loadNames,
  loadRoomDays,
  loadRulings,
  loadLooksThatCount,
  loadVisit,
} from './visit-page'

/** Rooms × candidates at a strength: each in the room's key lights, with how it stands there. */
export async function loadHouseGrid(visitId: string, { day, surface, guess }: GridAsked) {
  const page = await loadVisit(visitId)
  const { visit, rooms } = page
  const roomDays = await loadRoomDays(page, day ?? undefined)
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const looks = await loadLooksThatCount(visit.id)
  const rulings = await loadRulings(visit.id)
  const said = await lookWordsOf(visit)
  const [first] = roomDays.values()
  const shown = first?.day.date ?? visit.visitDate
  const lit = await Promise.all(
    rooms.map(async (room) => {
      const roomDay = roomDays.get(room.id)!
      const judge = guess ? await guessIn(visit, room, roomDay) : null
      return { room, roomDay, lights: keyLights(roomDay), judge }
    }),
  )
  const columns = lit.map(({ room, roomDay, lights }): GridColumn => ({
    id: room.id,
    name: room.name,
    lights: lights.map(({ name, choice }) =>
      name === 'lamps' ? 'lamps' : `${name} ${clockTime(roomDay.day, choice.minute)}`,
    ),
  }))
  const rows = candidates.map((candidate): GridRow => {
    const paint = candidatePaint(candidate, decks)
    const cells = lit.map(({ room, lights, judge }) => {
      const proposed = proposalsIn(candidate, room.id, surface)
      const says = cellSays(looksOf(looks, candidate.id, room.id))
      return {
        roomId: room.id,
        bands: bandsOf(paint, lights),
        says,
        founded: foundedOn(says.counted),
        pickFor: standingRulings(rulings)
          .filter((each) => each.roomId === room.id && each.candidateId === candidate.id)
          .map((each) => each.surface),
        namedBy: says.look
          ? `beside ${said.against(says.look)}, ${said.light(says.look, shown)}`
          : '',
        isUp: candidate.ruledOut === null && proposed.some(({ status }) => status !== 'ruled out'),
        ruledOut: whyOut(candidate, room.id, surface),
        proposedFor: proposed
          .filter(({ status }) => status !== 'ruled out')
          .map((each) => ({ surface: each.surface, sheen: each.sheen })),
        guess: says.verdict === null && judge ? judge(paint) : null,
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
  const used = new Set(candidates.flatMap(({ proposals }) => proposals.map((each) => each.surface)))
  return {
    visit,
    date: shown,
    columns,
    rows,
    surfaces: SURFACES.filter((each) => used.has(each)),
  }
}

/** What the model expects of a paint in a room, over all that stays and all its key lights; null where it has nothing to go by. */
async function guessIn(
  visit: Visit,
  room: Room,
  roomDay: RoomDay,
): Promise<
  | ((paint: { readonly reflectance: Reflectance; readonly source: ReadingSource }) => Judgement)
  | null
> {
  const ranked = rankedRoomOf(askedRoomOn(await loadRoomBrief(visit, room), roomDay), roomDay)
  if (ranked.lights.length === 0 || ranked.finishes.length === 0) return null
  const judge = chanceInRoom(ranked)
  return ({ reflectance, source }) => judgementOf(judge(reflectance, source).chance)
}

/** What a candidate is proposed for in a room, of one surface or of all. */
const proposalsIn = ({ proposals }: Candidate, roomId: string, surface: Surface | null) =>
  proposals.filter(
    (each) => each.roomId === roomId && (surface === null || each.surface === surface),
  )

export const looksOf = <L extends Look>(
  looks: readonly L[],
  candidateId: string,
  roomId: string,
): L[] =>
  looks.filter((look) => look.candidate.candidateId === candidateId && look.roomId === roomId)

/** Why a candidate is out in a room: for the house, or for all it was proposed for there; null where it is not. */
export function whyOut(
  candidate: Candidate,
  roomId: string,
  surface: Surface | null = null,
): string | null {
  if (candidate.ruledOut !== null) return candidate.ruledOut || 'ruled out for the house'
  const here = proposalsIn(candidate, roomId, surface)
  if (here.length === 0 || here.some(({ status }) => status !== 'ruled out')) return null
  return here[0]!.reason || 'ruled out'
}

/** What a look was held against and in which light, in the words of its visit. */
export async function lookWordsOf(visit: Visit) {
  const names = await loadNames(visit.id)
  const { words } = await loadSettings()
  const { latitudeDeg, longitudeDeg, timeZone } = visit
  return {
    against: ({ against }: Look): string =>
      againstSaid(against, (id) => names.get(id) ?? 'what was removed since', words),
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
