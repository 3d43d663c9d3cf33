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
import type { BoardGaps } from './board-gaps'
import type { BoardHour, BoardHourName, BoardKeeper, Placing } from './placings'

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
 * A look meets one light, one thing that stays, and one wall: that of the thing where it stands at one. As many walls as can
 * be are met with what stands at them; what is left on one side and the lights on the other then ask for as many looks as the
 * larger side has. Exact, by the sets of the smaller side that are met.
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
  const isWanted = (lacks: (gaps: BoardGaps) => boolean): boolean =>
    boards.some(({ gaps }) => lacks(gaps))
  const keeperIds = keepers
    .map(({ id }) => id)
    .filter((id) => isWanted((gaps) => gaps.keeperIds.includes(id)))
  const walls = [...new Set(placings.flatMap(({ wall }) => wall ?? []))].filter((wall) =>
    isWanted((gaps) => gaps.walls.includes(wall)),
  )
  const of = (keeperId: string | null) => placings.filter((each) => each.keeperId === keeperId)
  const wallOf = walledKeepers(keeperIds, walls, (id) => of(id).flatMap(({ wall }) => wall ?? []))
  // Of a wall any place on it serves.
  const targets = [
    ...keeperIds.map((id) => {
      const wall = wallOf.get(id)
      return wall ? of(id).filter((placing) => placing.wall === wall) : of(id)
    }),
    ...walls
      .filter((wall) => ![...wallOf.values()].includes(wall))
      .map((wall) => of(null).filter((placing) => placing.wall === wall)),
  ].filter((places) => places.length > 0)
  const wantedHours = hours.filter(({ name }) => isWanted((gaps) => gaps.hours.includes(name)))
  const edges = cover(targets, wantedHours, hours, placings, edge)
  const standings = edges.map(({ placing, hour, worth }): Standing => ({
    placing,
    hour,
    worth,
    boards: boards
      .filter(({ gaps }) => closes(placing, hour.name, gaps))
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

const closes = (placing: Placing, hour: BoardHourName, gaps: BoardGaps): boolean =>
  gaps.hours.includes(hour) ||
  (placing.keeperId !== null && gaps.keeperIds.includes(placing.keeperId)) ||
  (placing.wall !== null && gaps.walls.includes(placing.wall))

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
  return (placing, hour) => {
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
}
