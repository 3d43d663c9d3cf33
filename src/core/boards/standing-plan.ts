import { appearanceOf, prepareLight, type PreparedLight } from '../colour/appearance'
import type { Ucs } from '../colour/cam16'
import type { Reflectance } from '../colour/spectrum'
import { lightOf, type RoomDay } from '../light/light-choice'
import { ALL_WALLS } from '../light/spot'
import { judgePair } from '../pairing/judge-pair'
import type { WallName } from '../light/walls'
import type { ReadingSource } from '../paint/reading'
import type { Sheen } from '../paint/sheen'
import { undertoneOf } from '../undertone/undertone'
import type { BoardGaps, BoardPlaces } from './board-gaps'
import type { BoardHour, BoardKeeper, Placing } from './placings'

/** A board with what it has still to be seen against, or in. */
export interface BoardToStand {
  readonly candidateId: string
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  /** What it is painted in. */
  readonly sheen: Sheen
  readonly gaps: BoardGaps
}

/** Boards stood in one place in one light, for one look each. */
export interface Standing {
  readonly placing: Placing
  readonly hour: BoardHour
  readonly boards: readonly {
    readonly candidateId: string
    /** The board's own, or that of a brushed-out patch of the product where the board's is not the one wanted. */
    readonly sheen: Sheen
    readonly isPatch: boolean
  }[]
  /** How much that place in that light tells, 0 to 1. */
  readonly worth: number
}

/**
 * Where and when to stand the boards of a room: the fewest looks that close every gap, and of such plans the one that tells
 * most. Beside something that stays a light tells more the less likely the pair is to work in it; on a wall the farther the
 * colour is from what the room's walls together make of it at midday.
 *
 * A look meets one light, one thing that stays, and one wall: that of the thing where it stands at one. By day and under the
 * lamps are planned each for itself; what may be seen in any light goes where it costs least. As many walls as can be are met
 * with what stands at them; what is left on one side and the lights on the other then ask for as many looks as the larger side
 * has. Exact, by the sets of the smaller side that are met.
 *
 * @returns in the order of the day's lights
 */
export function standingPlan(
  roomDay: RoomDay,
  placings: readonly Placing[],
  hours: readonly BoardHour[],
  keepers: readonly BoardKeeper[],
  boards: readonly BoardToStand[],
): Standing[] {
  if (hours.length === 0) return []
  const worthAt = worthOf(roomDay, keepers, boards)
  const edge = (targets: readonly Placing[], hour: BoardHour): Edge =>
    targets
      .map((placing) => ({ placing, hour, worth: worthAt(placing, hour) }))
      .reduce((p, q) => (q.worth > p.worth ? q : p))
  const wanted = (light: 'anyLight' | 'byDay' | 'underLamps'): BoardPlaces => {
    const keeperIds = keepers.map(({ id }) => id)
    const walls = [...new Set(placings.flatMap(({ wall }) => wall ?? []))]
    const isWanted = (lacks: (places: BoardPlaces) => boolean): boolean =>
      boards.some(({ gaps }) => lacks(gaps[light]))
    return {
      keeperIds: keeperIds.filter((id) => isWanted((places) => places.keeperIds.includes(id))),
      walls: walls.filter((wall) => isWanted((places) => places.walls.includes(wall))),
    }
  }
  const isOfDay = ({ choice }: BoardHour): boolean => choice.source !== 'lamps'
  const [dayHours, lampHours] = [
    hours.filter(isOfDay),
    hours.filter((hour) => !isOfDay(hour)),
  ] as const
  const wantedHours = hours.filter(({ name }) =>
    boards.some(({ gaps }) => gaps.hours.includes(name)),
  )
  const of = (keeperId: string | null) => placings.filter((each) => each.keeperId === keeperId)
  /** What one look each meets: a thing that stays, at a wall where it meets one too, or a wall by itself. */
  const targetsOf = ({ keeperIds, walls }: BoardPlaces): Placing[][] => {
    const wallOf = walledKeepers(keeperIds, walls, (id) => of(id).flatMap(({ wall }) => wall ?? []))
    // Of a wall any place on it serves.
    return [
      ...keeperIds.map((id) => {
        const wall = wallOf.get(id)
        return wall ? of(id).filter((placing) => placing.wall === wall) : of(id)
      }),
      ...walls
        .filter((wall) => ![...wallOf.values()].includes(wall))
        .map((wall) => of(null).filter((placing) => placing.wall === wall)),
    ].filter((places) => places.length > 0)
  }
  const [byDay, underLamps, anyLight] = [wanted('byDay'), wanted('underLamps'), wanted('anyLight')]
  // What wants a look in any light goes where it costs least: every way of dealing it out is tried.
  const dealt = waysToDeal(anyLight, dayHours.length > 0, lampHours.length > 0).map(
    ({ toDay, toLamps }) => ({
      day: targetsOf(together(byDay, toDay)),
      lamps: targetsOf(together(underLamps, toLamps)),
    }),
  )
  const looks = ({ day, lamps }: (typeof dealt)[number]): number =>
    Math.max(day.length, wantedHours.filter(isOfDay).length) +
    Math.max(lamps.length, wantedHours.filter((hour) => !isOfDay(hour)).length)
  const covered = (targets: readonly Placing[][], among: readonly BoardHour[]): Edge[] =>
    cover(
      targets,
      wantedHours.filter((hour) => among.includes(hour)),
      among,
      placings,
      edge,
    )
  const fewest = Math.min(...dealt.map(looks))
  const worth = (edges: readonly Edge[]): number => edges.reduce((sum, each) => sum + each.worth, 0)
  const edges = dealt
    .filter((each) => looks(each) === fewest)
    .map(({ day, lamps }) => [...covered(day, dayHours), ...covered(lamps, lampHours)])
    .reduce((p, q) => (worth(q) > worth(p) ? q : p))
  const standings = edges.map(({ placing, hour, worth }): Standing => ({
    placing,
    hour,
    worth,
    boards: boards
      .filter(({ gaps }) => closes(placing, hour, gaps))
      .map(({ candidateId, sheen }) => ({ candidateId, sheen, isPatch: false })),
  }))
  return [...standings, ...sheenStandings(placings, hours, boards, standings, worthAt)].sort(
    (p, q) => hours.indexOf(p.hour) - hours.indexOf(q.hour),
  )
}

interface Edge {
  readonly placing: Placing
  readonly hour: BoardHour
  readonly worth: number
}

function closes(placing: Placing, { name, choice }: BoardHour, gaps: BoardGaps): boolean {
  const meets = ({ keeperIds, walls }: BoardPlaces): boolean =>
    (placing.keeperId !== null && keeperIds.includes(placing.keeperId)) ||
    (placing.wall !== null && walls.includes(placing.wall))
  return (
    gaps.hours.includes(name) ||
    meets(gaps.anyLight) ||
    meets(choice.source === 'lamps' ? gaps.underLamps : gaps.byDay)
  )
}

const together = (p: BoardPlaces, q: BoardPlaces): BoardPlaces => ({
  keeperIds: [...new Set([...p.keeperIds, ...q.keeperIds])],
  walls: [...new Set([...p.walls, ...q.walls])],
})

// Of more things than these only one at a time is tried under the lamps: that costs as few looks, and may tell a little less.
const MOST_DEALT = 7

/** The ways to see some things by day and the others under the lamps; first all of them by day. */
function waysToDeal(
  { keeperIds, walls }: BoardPlaces,
  hasDay: boolean,
  hasLamps: boolean,
): { readonly toDay: BoardPlaces; readonly toLamps: BoardPlaces }[] {
  const none: BoardPlaces = { keeperIds: [], walls: [] }
  if (!hasDay) return [{ toDay: none, toLamps: { keeperIds, walls } }]
  let moved: string[][] = [[]]
  if (hasLamps)
    moved =
      keeperIds.length <= MOST_DEALT
        ? keeperIds.reduce((sets, id) => [...sets, ...sets.map((set) => [...set, id])], moved)
        : [[], ...keeperIds.map((id) => [id])]
  return moved.map((ids) => ({
    toDay: { keeperIds: keeperIds.filter((id) => !ids.includes(id)), walls },
    toLamps: { keeperIds: ids, walls: [] },
  }))
}

/** Which wall is met with which thing that stays: as many walls as can be, each with a thing of its own (Kuhn 1955). */
function walledKeepers(
  keeperIds: readonly string[],
  walls: readonly WallName[],
  wallsOf: (keeperId: string) => readonly WallName[],
): ReadonlyMap<string, WallName> {
  const keeperAt = new Map<WallName, string>()
  const place = (id: string, tried: Set<WallName>): boolean =>
    wallsOf(id)
      .filter((wall) => walls.includes(wall))
      .some((wall) => {
        if (tried.has(wall)) return false
        tried.add(wall)
        const before = keeperAt.get(wall)
        if (before !== undefined && !place(before, tried)) return false
        keeperAt.set(wall, id)
        return true
      })
  for (const id of keeperIds) place(id, new Set())
  return new Map([...keeperAt].map(([wall, id]) => [id, wall]))
}

/** The fewest edges that meet every target and every wanted hour; of such the sum of worth is greatest. */
function cover(
  targets: readonly (readonly Placing[])[],
  wantedHours: readonly BoardHour[],
  hours: readonly BoardHour[],
  placings: readonly Placing[],
  edge: (targets: readonly Placing[], hour: BoardHour) => Edge,
): Edge[] {
  if (targets.length === 0) return wantedHours.map((hour) => edge(placings, hour))
  if (targets.length >= wantedHours.length)
    return assign(
      targets.map((places) => hours.map((hour) => edge(places, hour))),
      hours.map((hour) => wantedHours.includes(hour)),
    )
  return assign(
    wantedHours.map((hour) => targets.map((places) => edge(places, hour))),
    targets.map(() => true),
  )
}

/**
 * One edge a row, so that every column that must be is met and the sum of worth is greatest; at least as many rows as such
 * columns.
 */
function assign(rows: readonly (readonly Edge[])[], must: readonly boolean[]): Edge[] {
  const bit = must.map((is, column) => (is ? 1 << must.slice(0, column).filter(Boolean).length : 0))
  const full = bit.reduce((all, each) => all | each, 0)
  interface Way {
    readonly sum: number
    readonly taken: readonly Edge[]
  }
  let ways = new Map<number, Way>([[0, { sum: 0, taken: [] }]])
  for (const edges of rows) {
    const next = new Map<number, Way>()
    for (const [met, way] of ways)
      edges.forEach((each, column) => {
        const now = met | bit[column]!
        const sum = way.sum + each.worth
        if (sum > (next.get(now)?.sum ?? -1)) next.set(now, { sum, taken: [...way.taken, each] })
      })
    ways = next
  }
  return [...(ways.get(full)?.taken ?? [])]
}

/** Looks for a sheen that is wanted and that no standing shows: a patch of the product itself, tilted to the light. */
function sheenStandings(
  placings: readonly Placing[],
  hours: readonly BoardHour[],
  boards: readonly BoardToStand[],
  standings: readonly Standing[],
  worthAt: (placing: Placing, hour: BoardHour) => number,
): Standing[] {
  const isStood = ({ candidateId }: BoardToStand, sheen: Sheen): boolean =>
    standings.some((standing) =>
      standing.boards.some((each) => each.candidateId === candidateId && each.sheen === sheen),
    )
  const missing = boards.flatMap((board) =>
    board.gaps.sheens
      .filter((sheen) => !isStood(board, sheen))
      .map((sheen) => ({
        candidateId: board.candidateId,
        sheen,
        isPatch: sheen !== board.sheen,
      })),
  )
  const placing = placings.find(({ id }) => id === 'tilted') ?? placings[0]
  if (missing.length === 0 || !placing) return []
  const hour = hours.find(({ name }) => name === 'brightest') ?? hours[0]!
  return [{ placing, hour, boards: missing, worth: worthAt(placing, hour) }]
}

// At this distance from the middle of the day a wall tells two thirds of what a pair does that surely fails.
const FAR_UNITS = 12

function worthOf(
  roomDay: RoomDay,
  keepers: readonly BoardKeeper[],
  boards: readonly BoardToStand[],
): (placing: Placing, hour: BoardHour) => number {
  const lights = new Map<string, PreparedLight | null>()
  const lightAt = (placing: Placing, hour: BoardHour): PreparedLight | null => {
    const key = `${placing.spot} ${hour.name}`
    if (!lights.has(key)) {
      const light = lightOf(roomDay, { ...hour.choice, spot: placing.spot })
      lights.set(key, light && prepareLight(light.spectrum, light.illuminanceLux))
    }
    return lights.get(key)!
  }
  const seen = (light: PreparedLight, { reflectance }: BoardToStand): Ucs =>
    appearanceOf(light, reflectance).ucs
  const noon = lightOf(roomDay, {
    source: 'room',
    sky: 'clear',
    lampsOn: roomDay.room.windows.length === 0,
    minute: 12 * 60,
    spot: ALL_WALLS,
  })
  const plain = noon && prepareLight(noon.spectrum, noon.illuminanceLux)
  const known = new Map<string, number>()
  const worthIn = (placing: Placing, hour: BoardHour): number => {
    const light = lightAt(placing, hour)
    if (!light || boards.length === 0) return 0
    const keeper = keepers.find(({ id }) => id === placing.keeperId)
    if (keeper) {
      const chances = boards.flatMap(({ reflectance, source }) =>
        keeper.colours.map(
          (colour) =>
            judgePair(
              { undertone: undertoneOf(light, reflectance), source },
              {
                undertone: undertoneOf(light, colour.reflectance),
                source: colour.source,
                varies: keeper.varies,
              },
              keeper.role,
            ).chance,
        ),
      )
      return 1 - Math.min(...chances)
    }
    if (!plain) return 0
    const apart = boards.map((board) => {
      const [here, there] = [seen(light, board), seen(plain, board)]
      return Math.hypot(here[0] - there[0], here[1] - there[1], here[2] - there[2])
    })
    return 1 - Math.exp(-Math.max(...apart) / FAR_UNITS)
  }
  return (placing, hour) => {
    const key = `${placing.id} ${hour.name}`
    if (!known.has(key)) known.set(key, worthIn(placing, hour))
    return known.get(key)!
  }
}
