import { seededRandom } from '../seeded-random'
import type { Reflectance } from '../colour/spectrum'
import { WALL_NAMES, type WallName } from '../light/walls'
import type { RoomDay } from '../light/light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../light/room'
import { utcDay } from '../light/utc-day.fixture'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { roleOf } from '../pairing/role'
import { reflectanceOfReading } from '../paint/reading'
import type { Sheen } from '../paint/sheen'
import type { Look } from '../record/look'
import { look } from '../record/look.fixture'
import { boardGaps, isClosed, type BoardRoom } from './board-gaps'
import { gapsOf } from '../record/gaps'
import {
  boardHours,
  paintedWalls,
  placingsOf,
  wallInSightOfDoor,
  type BoardKeeper,
} from './placings'
import { standingPlan, type BoardToStand, type Standing } from './standing-plan'

const NOTHING = { keeperIds: [], walls: [] }

const of = (l: number, a: number, b: number): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab: [l, a, b] })

const keeper = (
  id: string,
  reflectance: Reflectance,
  more: Partial<BoardKeeper> = {},
): BoardKeeper => ({
  id,
  name: id,
  isTrim: false,
  leads: false,
  walls: [],
  role: roleOf('tile', DEFAULT_HOUSE_RULES),
  varies: false,
  colours: [{ reflectance, source: 'spectral' }],
  ...more,
})

/** An invented room: its sizes, windows, lamps and what stays, of a seed. */
function inventedRoom(seed: number) {
  const random = seededRandom(seed)
  const between = (from: number, to: number): number => from + random() * (to - from)
  const windows = Array.from({ length: Math.floor(between(1, 4)) }, () => ({
    ...PLAIN_WINDOW,
    bearingDeg: Math.floor(between(0, 360)),
    widthMm: Math.floor(between(600, 1800)),
  }))
  const roomDay: RoomDay = {
    room: {
      northSouthMm: Math.floor(between(2400, 7000)),
      eastWestMm: Math.floor(between(2400, 7000)),
      heightMm: 2500,
      windows,
      lamps: random() < 0.8 ? [PLAIN_LAMP] : [],
    },
    place: { latitudeDeg: between(-45, 58), longitudeDeg: 2 },
    day: utcDay('2026-04-14'),
  }
  const keepers = Array.from({ length: Math.floor(between(1, 7)) }, (_, at) =>
    keeper(`keeper ${at}`, of(between(25, 92), between(-8, 20), between(-6, 26)), {
      leads: at === 0,
      isTrim: at === 1,
      walls: WALL_NAMES.filter(() => random() < 0.3),
    }),
  )
  const boards = Array.from({ length: Math.floor(between(1, 4)) }, (_, at) => ({
    candidateId: `board ${at}`,
    reflectance: of(between(30, 90), between(-5, 10), between(0, 18)),
    wanted: (random() < 0.3 ? ['matt', 'satin'] : ['matt']) as Sheen[],
  }))
  return { roomDay, keepers, boards, climate: (['grey', 'mixed', 'sunny'] as const)[seed % 3]! }
}

/** The look that keeps a standing of one board. */
const lookAt = (standing: Standing, candidateId: string, sheen: Sheen): Look => {
  const { placing, hour } = standing
  const plain = look('works', { ...hour.choice, spot: placing.spot })
  return {
    ...plain,
    candidate: { candidateId, strengthPercent: 75, sheen },
    against:
      placing.keeperId === null
        ? { kind: 'wall', plane: placing.wall ?? 'tilted' }
        : { kind: 'keeper', keeperId: placing.keeperId, part: null },
  }
}

const looksOf = (plan: readonly Standing[]): Look[] =>
  plan.flatMap((standing) =>
    standing.boards.map(({ candidateId, sheen }) => lookAt(standing, candidateId, sheen)),
  )

/** The first and every third after it; the others are furnishings. */
const fixedOf = (keepers: readonly BoardKeeper[]): string[] =>
  keepers.filter((_, at) => at % 3 === 0).map(({ id }) => id)

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10]
const ROOMS = SEEDS.map((seed) => {
  const room = inventedRoom(seed)
  return { ...room, hours: boardHours(room.roomDay, room.climate) }
})

/** A room planned from the looks there are: what is missing board by board, and the plan. */
function planned(seed: number, looks: readonly Look[]) {
  const { roomDay, keepers, boards, hours } = ROOMS[seed - 1]!
  const placings = placingsOf(roomDay.room, keepers)
  const asks: BoardRoom = {
    keeperIds: keepers.map(({ id }) => id),
    fixedIds: fixedOf(keepers),
    walls: paintedWalls(roomDay.room),
    mainWall: wallInSightOfDoor(roomDay.room),
    hours,
  }
  const toStand = boards.map(({ candidateId, reflectance, wanted }): BoardToStand => ({
    candidateId,
    reflectance,
    source: 'spectral',
    sheen: 'matt',
    gaps: boardGaps(
      asks,
      wanted,
      looks.filter(({ candidate }) => candidate.candidateId === candidateId),
    ),
  }))
  return {
    hours,
    placings,
    asks,
    toStand,
    plan: standingPlan(roomDay, placings, hours, keepers, toStand),
  }
}

const FIRST = SEEDS.map((seed) => planned(seed, []))

test('in ten invented rooms the looks of the plan close every gap of every board, with at most 60 % of places × lights', () => {
  const shares = SEEDS.map((seed) => {
    const { plan, hours, placings } = FIRST[seed - 1]!
    const { toStand } = planned(seed, looksOf(plan))
    expect(toStand.filter(({ gaps }) => !isClosed(gaps))).toEqual([])
    return plan.length / (placings.length * hours.length)
  })
  expect(Math.max(...shares)).toBeLessThanOrEqual(0.6)
  console.log(
    `looks of the plan over places × lights: ${shares.map((share) => `${Math.round(100 * share)} %`).join(', ')}`,
  )
  expect(shares.toSorted((p, q) => p - q)[5]!).toBeLessThan(0.4)
})

/** The most walls that can each be met with a thing of its own that stands at it, every way tried. */
function mostTogether(keepers: readonly BoardKeeper[], walls: readonly WallName[]): number {
  const [first, ...rest] = keepers
  if (!first) return 0
  return Math.max(
    mostTogether(rest, walls),
    ...walls
      .filter((wall) => first.walls.includes(wall))
      .map(
        (wall) =>
          1 +
          mostTogether(
            rest,
            walls.filter((each) => each !== wall),
          ),
      ),
  )
}

/** Every choice among some things. */
const subsets = <T>(all: readonly T[]): T[][] =>
  all.reduce<T[][]>((some, each) => [...some, ...some.map((set) => [...set, each])], [[]])

test('no plan has fewer: each look meets one light, one thing that stays, and one wall, and all ways of dealing out were tried', () => {
  for (const seed of SEEDS) {
    const { plan, asks, toStand } = FIRST[seed - 1]!
    const { keepers } = ROOMS[seed - 1]!
    const of = (ids: readonly string[]) => keepers.filter(({ id }) => ids.includes(id))
    const day = asks.hours.filter(({ choice }) => choice.source !== 'lamps').length
    const lamps = asks.hours.length - day
    const looks = (ids: readonly string[], walls: readonly WallName[], hours: number): number =>
      Math.max(ids.length + walls.length - mostTogether(of(ids), walls), hours)
    const free = asks.keeperIds.filter((id) => !asks.fixedIds.includes(id))
    const least = Math.min(
      ...subsets(free).map((dark) => {
        const light = free.filter((id) => !dark.includes(id))
        if (lamps === 0 && dark.length > 0) return Infinity
        return (
          looks([...asks.fixedIds, ...light], asks.walls, day) +
          (lamps === 0 ? 0 : looks([...asks.fixedIds, ...dark], [asks.mainWall!], lamps))
        )
      }),
    )
    const patches = plan.filter(({ boards }) => boards.every(({ isPatch }) => isPatch)).length
    expect([seed, plan.length - patches]).toEqual([seed, least])
    expect(toStand.length).toBeGreaterThan(0)
  }
})

test('where a plan says that all was seen, the ruling knows of no gap that a look would close', () => {
  for (const seed of SEEDS) {
    const { plan } = FIRST[seed - 1]!
    const { roomDay, keepers, boards, climate } = ROOMS[seed - 1]!
    const room = {
      hasWindow: roomDay.room.windows.length > 0,
      hasLamps: roomDay.room.lamps.length > 0,
      hasSkies: climate !== 'sunny',
      keepers: keepers.map(({ id, name }) => ({ id, name, state: 'staying' as const })),
    }
    for (const { candidateId } of boards) {
      const looks = looksOf(plan).filter(({ candidate }) => candidate.candidateId === candidateId)
      expect([seed, gapsOf(room, looks)]).toEqual([seed, []])
    }
  }
})

test('what was seen is not asked again, and the rest still closes every gap', () => {
  for (const seed of SEEDS) {
    const first = FIRST[seed - 1]!
    const seen = looksOf(first.plan.filter((_, at) => at % 2 === 0))
    const second = planned(seed, seen)
    expect(second.plan.length).toBeLessThan(first.plan.length)
    const third = planned(seed, [...seen, ...looksOf(second.plan)])
    expect(third.toStand.filter(({ gaps }) => !isClosed(gaps))).toEqual([])
    expect(third.plan).toEqual([])
  }
})

test('boards of which different things were seen are stood together, and each closes what it lacks itself', () => {
  for (const seed of SEEDS) {
    const first = FIRST[seed - 1]!
    // The first board was seen everywhere in the first light, and in no other; of the others nothing was.
    const [hour] = first.hours
    const seen = first.placings.map((placing) =>
      lookAt({ placing, hour: hour!, boards: [], worth: 0 }, 'board 0', 'matt'),
    )
    const second = planned(seed, seen)
    const third = planned(seed, [...seen, ...looksOf(second.plan)])
    expect(third.toStand.filter(({ gaps }) => !isClosed(gaps))).toEqual([])
  }
})

test('something that stays is met in the light in which the pair is least likely to work', () => {
  // A stone whose orange-pink shows under warm lamps, beside a wall that leans green; and a grey that quarrels with nothing.
  const roomDay: RoomDay = {
    room: {
      northSouthMm: 4000,
      eastWestMm: 4000,
      heightMm: 2500,
      windows: [{ ...PLAIN_WINDOW, bearingDeg: 0 }],
      lamps: [{ ...PLAIN_LAMP, cctK: 2400 }],
    },
    place: { latitudeDeg: 52, longitudeDeg: 0 },
    day: utcDay('2026-03-21'),
  }
  const keepers = [keeper('stone', of(62, 14, 22)), keeper('slate', of(45, 0, -1))]
  const hours = boardHours(roomDay, 'sunny')
  const placings = placingsOf(roomDay.room, keepers)
  const board = (reflectance: Reflectance): BoardToStand => ({
    candidateId: 'board',
    reflectance,
    source: 'spectral',
    sheen: 'matt',
    gaps: {
      ...{ byDay: NOTHING, underLamps: NOTHING, hours: [], sheens: [] },
      anyLight: { keeperIds: ['stone', 'slate'], walls: [] },
    },
  })
  for (const wall of [of(76, -5, 9), of(80, 2, 9)]) {
    const plan = standingPlan(roomDay, placings, hours, keepers, [board(wall)])
    for (const { placing, worth } of plan)
      for (const hour of hours) {
        const alone = standingPlan(roomDay, [placing], [hour], keepers, [board(wall)])
        expect(worth).toBeGreaterThanOrEqual(alone[0]!.worth)
      }
    expect(plan).toHaveLength(2)
  }
})

test('a sheen that the tester does not come in is seen on a patch of the product, tilted to the light', () => {
  const { roomDay, keepers } = inventedRoom(4)
  const hours = boardHours(roomDay, 'mixed')
  const placings = placingsOf(roomDay.room, keepers)
  const asks = { keeperIds: [], fixedIds: [], walls: [], mainWall: null, hours }
  const gaps = boardGaps(asks, ['satin'], [])
  const plan = standingPlan(roomDay, placings, hours, keepers, [
    { candidateId: 'a', reflectance: of(60, 2, 8), source: 'spectral', sheen: 'matt', gaps },
  ])
  const patch = plan.flatMap(({ placing, boards }) =>
    boards.filter(({ isPatch }) => isPatch).map(({ sheen }) => [placing.id, sheen]),
  )
  expect(patch).toEqual([['tilted', 'satin']])
})
