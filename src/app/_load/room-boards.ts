import { boardGaps, gapsSaid, isClosed, HOUR_SAID, wasClosedBefore } from '@/core/boards/board-gaps'
import { boardSteps } from '@/core/boards/drying'
import {
  boardHours,
  paintedWalls,
  placingsOf,
  wallInSightOfDoor,
  type BoardKeeper,
} from '@/core/boards/placings'
import { paintedM2, potsFor } from '@/core/boards/sample'
import { sheenApart, sheenApartSaid } from '@/core/boards/sheen-apart'
import { standingPlan, type Standing } from '@/core/boards/standing-plan'
import { wallPatchOf } from '@/core/boards/wall-patch'
import { ruleWords } from '@/core/advice/house-rules'
import { dateOfDayNumber, dayNumber, longDate } from '@/core/light/calendar-date'
import {
  clockOfMinutes,
  clockTime,
  MS_PER_MINUTE,
  utcMsAt,
  type LocalDay,
} from '@/core/light/day-clock'
import type { RoomDay } from '@/core/light/light-choice'
import { isFixed, isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { groundFor, groundSaid } from '@/core/paint/ground'
import { reflectanceOfReading } from '@/core/paint/reading'
import type { Sheen } from '@/core/paint/sheen'
import { packsSaid } from '@/core/quantity/packs'
import { coatsOver } from '@/core/quantity/quantity'
import { DAYLIGHT } from '@/core/undertone/daylight'
import type { Board } from '@/db/boards'
import type { Candidate } from '@/db/candidates'
import { USUAL_ROOM_PAINT } from '@/db/room-paint'
import { simulatedForecaster } from '@/devices/sky-forecast'
import { localDay } from '@/time/local-day'
import { oldCoat } from './hand-off'
import { looksOf } from './house-grid'
import { candidatePaint, keeperFinish, whiteBaseOf } from './paints'
import { loadPaintWays } from './settings'
import {
  loadBoards,
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadLooksThatCount,
  loadRoom,
  loadRoomDays,
  loadRoomPaint,
} from './visit-page'

// More boards than this in a room tire the eye (common practice).
const MOST_BOARDS = 3

/** What goes to paint for a room: each board with its pots, its ground and its coats, where and when to stand it, what is missing. */
export async function loadRoomBoards(visitId: string, roomId: string) {
  const page = await loadRoom(visitId, roomId)
  const { visit, room } = page
  const ways = await loadPaintWays()
  const decks = await loadDecks()
  const all = await loadCandidates(visit.id)
  const boards = await loadBoards(visit.id)
  const keepers = (await loadKeepersInRoom(visit.id, room.id)).filter(({ state }) =>
    isJudgedAgainst(state),
  )
  const looks = await loadLooksThatCount(visit.id)
  const joinery = (await loadRoomPaint(visit.id)).get(room.id) ?? USUAL_ROOM_PAINT
  const onWall = visit.houseRules.sampling === 'wall'
  const patch = wallPatchOf(room, joinery.skirtingMm)

  const boardOf = ({ id }: Candidate): Board | undefined =>
    boards.find((each) => each.candidateId === id && each.roomId === (onWall ? room.id : null))
  // What is ruled on is done, unless a board of it is still about.
  const candidates = all.filter(
    (each) =>
      each.ruledOut === null &&
      each.proposals.some(
        ({ roomId: at, status }) =>
          at === room.id &&
          (status === 'going to board' || (status === 'picked' && boardOf(each) !== undefined)),
      ),
  )
  const lookDate =
    dryDate(
      candidates.flatMap((each) => boardOf(each) ?? []),
      onWall,
    ) ?? visit.visitDate
  const roomDay = (await loadRoomDays(page, lookDate)).get(room.id)!
  const hours = boardHours(roomDay, visit.climate)
  // A strip stays where it was painted: what stands elsewhere is seen with it, not carried to it.
  const strips = onWall && patch ? [patch.wall] : null
  const standKeepers = keepers.map((keeper): BoardKeeper => ({
    isTrim: keeper.kind === 'trim' && keeper.state === 'staying',
    leads: keeper.id === room.leadKeeperId,
    walls: (keeper.roomId === room.id ? keeper.walls : []).filter(
      (wall) => strips === null || strips.includes(wall),
    ),
    ...keeperFinish(keeper, visit.houseRules),
  }))
  const placings = placingsOf(room, standKeepers).filter(
    ({ wall, keeperId }) => strips === null || keeperId !== null || (wall && strips.includes(wall)),
  )
  const asks = {
    keeperIds: standKeepers.map(({ id }) => id),
    fixedIds: keepers.filter(({ kind }) => isFixed(kind)).map(({ id }) => id),
    walls: strips ?? paintedWalls(room),
    mainWall: strips?.[0] ?? wallInSightOfDoor(room),
    hours,
  }
  const nameOf = (id: string): string => keepers.find((each) => each.id === id)?.name ?? ''

  const entries = candidates.map((candidate) => {
    const paint = candidatePaint(candidate, decks)
    const board = boardOf(candidate)
    const wanted = sheensOf(candidate, room.id)
    const sheen = board?.sheen ?? ways.testerSheen
    const own = looksOf(looks, candidate.id, room.id)
    const gaps = boardGaps(asks, wanted, own)
    const size = board ?? sizeOf()
    const mix = {
      full: reflectanceOfReading(candidate.reading),
      whiteBase: whiteBaseOf(decks.find(({ id }) => id === candidate.deckId)!),
      base: candidate.base,
      strengthPercent: candidate.strengthPercent,
    }
    const ground = groundFor(mix.full, mix.whiteBase, mix.base, mix.strengthPercent)
    const primer = onWall
      ? null
      : ground.is === 'grey'
        ? `grey undercoat, LRV ${ground.greyLrvPercent} %`
        : 'white primer'
    const others = all.filter(
      (other) =>
        other.id !== candidate.id &&
        other.deckColourId === candidate.deckColourId &&
        boards.some(({ candidateId }) => candidateId === other.id),
    )
    return {
      paint,
      board: board ?? null,
      sheen,
      wanted,
      size,
      count: board?.count ?? 1,
      pots: packsSaid(potsFor((board?.count ?? 1) * paintedM2(size), ways.pots)),
      // A strip goes over what is on the wall, a board over its primer.
      ground: onWall ? coatsOver(mix, oldCoat('walls', joinery)).said : groundSaid(ground),
      primer,
      apart: wanted.map((each) =>
        sheenApartSaid(sheen, each, sheenApart(DAYLIGHT, paint.reflectance, sheen, each)),
      ),
      steps: board?.begun
        ? stepsOf(board, onWall, primer).map(({ what, date, clockMinute }) => ({
            what,
            when: `${longDate(date)}, ${clockOfMinutes(clockMinute)}`,
          }))
        : [],
      /** Boards of the same colour at another strength: they show something else. */
      elsewhere: others.map(({ strengthPercent }) => strengthPercent),
      gaps,
      missing: isClosed(gaps) ? '' : gapsSaid(gaps, nameOf),
      /** It had been seen whole before more was asked: what an upgrade opened again. */
      isReopened: !isClosed(gaps) && wasClosedBefore(asks, wanted, own),
    }
  })
  const plan = standingPlan(
    roomDay,
    placings,
    hours,
    standKeepers,
    entries.map(({ paint, sheen, gaps }) => ({
      candidateId: paint.id,
      reflectance: paint.reflectance,
      source: paint.source,
      sheen,
      gaps,
    })),
  )
  const dates = await datesOf(roomDay, plan, visit.climate)
  return {
    visit,
    room,
    onWall,
    rule: ruleWords('sampling', visit.houseRules),
    patch,
    entries,
    tooMany: entries.length > MOST_BOARDS,
    /** All that could be done, for the thinned plan to be seen beside. */
    possible: placings.length * hours.length,
    // As they come; what is seen after dark last of its day.
    standings: plan
      .map((standing, at) => standingShown(standing, at, dates))
      .sort(
        (p, q) =>
          p.date.localeCompare(q.date) ||
          Number(p.clock === AFTER_DARK) - Number(q.clock === AFTER_DARK) ||
          p.minute - q.minute,
      ),
    isBegun: candidates.some((each) => boardOf(each)?.begun),
    lookDate,
  }

  function sizeOf() {
    return onWall && patch
      ? { widthMm: Math.round(patch.widthMm), heightMm: Math.round(patch.heightMm), borderMm: 0 }
      : ways.board
  }

  function stepsOf(board: Board, isWall: boolean, primer: string | null) {
    const { date, clockMinute } = board.begun!
    return boardSteps(date, clockMinute, COATS, isWall ? null : primer, ways.drying)
  }

  /** The first day on which all boards that are begun are dry from its morning on; null before one is begun. */
  function dryDate(of: readonly Board[], isWall: boolean): string | null {
    const days = of.flatMap((board) => {
      if (!board.begun) return []
      const dry = stepsOf(board, isWall, 'primer').at(-1)!
      const day = dayNumber(dry.date)!
      return [dry.clockMinute > MORNING_MINUTE ? day + 1 : day]
    })
    return days.length > 0 ? dateOfDayNumber(Math.max(...days)) : null
  }

  function standingShown(
    { placing, hour, boards: at }: Standing,
    place: number,
    on: readonly string[],
  ) {
    const date = on[place]!
    const day = localDay(date, visit.timeZone)
    const choice =
      hour.choice.source === 'lamps'
        ? hour.choice
        : { ...hour.choice, minute: sameSun(hour.choice.minute, roomDay.day, day) }
    const entry = (candidateId: string) => entries.find(({ paint }) => paint.id === candidateId)!
    return {
      key: `${placing.id} ${hour.name}${at.every(({ isPatch }) => isPatch) ? ' patch' : ''}`,
      hour: hour.name,
      hourSaid: HOUR_SAID[hour.name],
      date,
      clock: choice.source === 'lamps' ? AFTER_DARK : clockTime(day, choice.minute),
      minute: choice.minute,
      choice,
      words: placing.words,
      spot: placing.spot,
      keeperId: placing.keeperId,
      wall: placing.wall,
      boards: at.map(({ candidateId, sheen, isPatch }) => ({
        paint: entry(candidateId).paint,
        sheen,
        isPatch,
      })),
    }
  }
}

/** The minute of another day at which the sun stands as at a minute of one: so long after it, whatever the clocks did. */
function sameSun(minute: number, of: LocalDay, on: LocalDay): number {
  const days = dayNumber(on.date)! - dayNumber(of.date)!
  return Math.round((utcMsAt(of, minute + days * 1440) - on.startUtcMs) / MS_PER_MINUTE)
}

const AFTER_DARK = 'after dark'
const COATS = 2
const MORNING_MINUTE = 8 * 60

const sheensOf = (candidate: Candidate, roomId: string): Sheen[] => [
  ...new Set(
    candidate.proposals
      .filter(({ roomId: at, status }) => at === roomId && status !== 'ruled out')
      .map(({ sheen }) => sheen),
  ),
]

// A forecast further off tells nothing.
const FORECAST_DAYS = 7

/** For each standing the first day from which its sky is expected then; the first day where none is. */
async function datesOf(
  { day, place }: RoomDay,
  plan: readonly Standing[],
  climate: Parameters<typeof simulatedForecaster>[0],
): Promise<string[]> {
  const first = dayNumber(day.date)!
  const days = await Promise.all(
    Array.from({ length: FORECAST_DAYS }, async (_, at) => {
      const date = dateOfDayNumber(first + at)
      return { date, hours: (await simulatedForecaster(climate).forecast(place, date)).hours }
    }),
  )
  return plan.map(({ hour: { choice } }) => {
    if (choice.source === 'lamps') return day.date
    const at = Math.min(23, Math.floor(choice.minute / 60))
    const isDull = choice.sky === 'overcast'
    return (days.find(({ hours }) => (hours[at] === 'overcast') === isDull) ?? days[0]!).date
  })
}
