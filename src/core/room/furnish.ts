import { flatReflectance, BANDS, type Reflectance } from '../colour/spectrum'
import type { LitRoom } from '../light/room'
import { mainWindow, type Vector } from '../light/spot'
import { WALL_NAMES, wallFacing, wallWidthMm, type WallName } from '../light/walls'
import { isMottled, isUnderfoot, type KeeperKind } from '../pairing/keeper-kind'
import { openingOf, type Body, type Furnished, type Opening, type Zone } from './scene'
import type { Pattern } from './view'

/** What stays, as it stands in a room. */
export interface StandingKeeper {
  readonly id: string
  readonly name: string
  readonly kind: KeeperKind
  readonly walls: readonly WallName[]
  readonly parts: readonly { readonly sharePercent: number; readonly reflectance: Reflectance }[]
  /** Where somebody has put it; null stands where its kind usually does. */
  readonly placing: Placing | null
}

/** Where a thing stands and how large it is: a box square to the room, millimetres. */
export interface Placing {
  /** Its middle, from the middle of the room. */
  readonly eastMm: number
  readonly northMm: number
  /** East to west, north to south, up. */
  readonly widthMm: number
  readonly depthMm: number
  readonly heightMm: number
  /** How high its underside is. */
  readonly fromMm: number
}

export interface RoomDoor {
  readonly wall: WallName
  readonly lo: readonly [number, number]
  readonly hi: readonly [number, number]
  /** The room that is seen through it; null where it is shut. */
  readonly opensTo: string | null
}

/** The paints of a room, as they are tried. */
export interface RoomPaints {
  readonly walls: Reflectance
  /** Of the wall that stands apart; null where none does. */
  readonly oneWall: Reflectance | null
  readonly ceiling: Reflectance
  readonly trim: Reflectance
  readonly doors: Reflectance
  /** Over the floor and the cabinets that are there, where they would be painted. */
  readonly floor?: Reflectance | null
  readonly cabinets?: Reflectance | null
}

/** A room put together: its scene's parts, and what each of their materials is. */
export interface FurnishedRoom {
  readonly furnished: Furnished
  readonly materials: readonly Material[]
  /** By keeper: where it stands, for a plan to show; only what can be moved. */
  readonly standing: readonly { readonly id: string; readonly placing: Placing }[]
  /** Keepers that are too small, or nowhere, to be drawn. */
  readonly leftOut: readonly string[]
}

export interface Material {
  readonly name: string
  readonly reflectance: Reflectance
  readonly parts: readonly Reflectance[]
  readonly pattern: Pattern | null
}

const SKIRTING_MM = 120
const CASING_MM = 70
const PLAIN_FLOOR = 0.3
/** Ceiling white as it comes in a tin (common practice). */
export const PLAIN_WHITE = flatReflectance(0.88)

/** How a kind of thing usually stands: width along a wall, depth from it, height and how high it begins (common practice). */
const USUAL: Partial<
  Record<
    KeeperKind,
    { readonly size: Vector; readonly fromMm?: number; readonly at: 'wall' | 'floor' }
  >
> = {
  cabinets: { size: [2400, 600, 880], at: 'wall' },
  counter: { size: [2400, 620, 40], fromMm: 880, at: 'wall' },
  stone: { size: [1600, 620, 40], fromMm: 880, at: 'wall' },
  fireplace: { size: [1400, 350, 1150], at: 'wall' },
  appliance: { size: [600, 600, 850], at: 'wall' },
  upholstery: { size: [1900, 850, 780], at: 'wall' },
  other: { size: [1000, 450, 850], at: 'wall' },
  cushion: { size: [450, 300, 140], fromMm: 780, at: 'wall' },
}

/** A room with what stays in it, before any paint. */
export interface RoomToFurnish {
  readonly room: LitRoom
  readonly keepers: readonly StandingKeeper[]
  readonly doors: readonly RoomDoor[]
  /** The wall that stands apart, where one does. */
  readonly featureWall: WallName | null
  /** Where lamps hang that somebody has placed, lamp by lamp. */
  readonly lampsAt?: readonly (Vector | null)[]
}

/** Puts a room together from what it is, what stays in it and what is tried on it. Whatever the paints, its materials have the same numbers. */
export function furnish(
  { room, keepers, doors, featureWall, lampsAt = [] }: RoomToFurnish,
  paints: RoomPaints,
): FurnishedRoom {
  const materials: Material[] = []
  const add = (material: Material): number => materials.push(material) - 1
  const plain = (name: string, reflectance: Reflectance): number =>
    add({ name, reflectance, parts: [], pattern: null })
  const walls = plain('walls', paints.walls)
  const apart = plain('one wall', paints.oneWall ?? paints.walls)
  const ceiling = plain('ceiling', paints.ceiling)
  const trim = plain('trim', paints.trim)
  const door = plain('doors', paints.doors)
  const of = new Map(keepers.map((keeper) => [keeper.id, add(materialOf(keeper, paints))]))
  const floor = keepers.find(({ kind }) => isUnderfoot(kind))
  const windows = room.windows.map((window) => openingOf(room, window))
  const zones: Zone[] = [...windows, ...doors.map((each) => ({ ...each, face: each.wall }))]
    .filter(({ face }) => face !== 'ceiling')
    .flatMap((opening) => casingOf(opening, trim))
  zones.push(...skirting(room, doors, trim))
  for (const each of doors)
    if (each.opensTo === null)
      zones.push({ name: 'door', material: door, on: each.wall, lo: each.lo, hi: each.hi })

  const bodies: Body[] = []
  const standing: { id: string; placing: Placing }[] = []
  const leftOut: string[] = []
  const taken = new Map<WallName, [number, number][]>(WALL_NAMES.map((wall) => [wall, []]))
  for (const { face, lo, hi } of doors.map((each) => ({ ...each, face: each.wall })))
    taken.get(face)!.push([lo[0] - CASING_MM, hi[0] + CASING_MM])
  for (const keeper of [...keepers].sort((p, q) => orderOf(p) - orderOf(q))) {
    const material = of.get(keeper.id)!
    const flat = flatOf(room, keeper, windows, material, keepers)
    if (flat) {
      zones.push(...flat)
      continue
    }
    const placing = keeper.placing ?? placed(room, keeper, windows, taken, bodies)
    if (isUnderfoot(keeper.kind) || keeper.kind === 'trim') continue
    if (!placing) {
      leftOut.push(keeper.name)
      continue
    }
    standing.push({ id: keeper.id, placing })
    const { eastMm, northMm, widthMm, depthMm, heightMm, fromMm } = placing
    if (keeper.kind === 'rug')
      zones.push({
        ...{ name: keeper.name, material, on: 'floor' },
        lo: [eastMm - widthMm / 2, northMm - depthMm / 2],
        hi: [eastMm + widthMm / 2, northMm + depthMm / 2],
      })
    else
      bodies.push({
        ...{ name: keeper.name, material },
        lo: [eastMm - widthMm / 2, northMm - depthMm / 2, fromMm],
        hi: [eastMm + widthMm / 2, northMm + depthMm / 2, fromMm + heightMm],
      })
  }
  const face = (name: WallName): number => (featureWall === name ? apart : walls)
  const trimStays = keepers.find(({ kind }) => kind === 'trim')
  if (trimStays) materials[trim] = { ...materials[of.get(trimStays.id)!]!, name: 'trim' }
  const doorStays = keepers.find(({ kind }) => kind === 'door')
  if (doorStays) materials[door] = { ...materials[of.get(doorStays.id)!]!, name: 'doors' }
  return {
    ...{ materials, standing, leftOut },
    furnished: {
      materials: {
        ...{ ceiling, east: face('east'), west: face('west') },
        ...{ north: face('north'), south: face('south') },
        floor: floor
          ? of.get(floor.id)!
          : plain('floor', paints.floor ?? flatReflectance(PLAIN_FLOOR)),
      },
      ...{ bodies, zones, lampsAt },
      doorways: doors
        .filter(({ opensTo }) => opensTo !== null)
        .map(({ wall, lo, hi }) => ({ face: wall, lo, hi })),
    },
  }
}

// Cabinets first, then what stands on them; a rug lies under what stands; cushions last, on what is soft.
const ORDER: readonly KeeperKind[] = ['cabinets', 'fireplace', 'appliance', 'upholstery', 'other']
const LATER: readonly KeeperKind[] = ['counter', 'stone', 'cushion']
const orderOf = ({ kind }: StandingKeeper): number =>
  ORDER.includes(kind) ? ORDER.indexOf(kind) : LATER.includes(kind) ? 20 + LATER.indexOf(kind) : 10

function materialOf(
  { name, kind, parts }: StandingKeeper,
  { floor, cabinets }: RoomPaints,
): Material {
  const over = isUnderfoot(kind) ? floor : kind === 'cabinets' ? cabinets : null
  if (over) return { name, reflectance: over, parts: [], pattern: null }
  const whole = parts.reduce((sum, { sharePercent }) => sum + sharePercent, 0)
  const shares = parts.map(({ sharePercent }) => sharePercent / whole)
  const mean = Float64Array.from({ length: BANDS }, (_, b) =>
    parts.reduce((sum, { reflectance }, p) => sum + shares[p]! * reflectance[b]!, 0),
  )
  return {
    ...{ name, reflectance: mean },
    parts: parts.length > 1 ? parts.map(({ reflectance }) => reflectance) : [],
    pattern:
      parts.length > 1
        ? { shares, lie: isMottled(kind) ? 'flecks' : isUnderfoot(kind) ? 'boards' : 'stripes' }
        : null,
  }
}

/** A frame around a window or a door, as four strips or three. */
function casingOf({ face, lo, hi }: Pick<Opening, 'face' | 'lo' | 'hi'>, material: number): Zone[] {
  const strip = (name: string, from: [number, number], to: [number, number]): Zone => ({
    ...{ name, material, on: face, lo: from, hi: to },
  })
  const [left, right] = [lo[0] - CASING_MM, hi[0] + CASING_MM]
  return [
    strip('casing', [left, lo[1]], [lo[0], hi[1]]),
    strip('casing', [hi[0], lo[1]], [right, hi[1]]),
    strip('casing', [left, hi[1]], [right, hi[1] + CASING_MM]),
    ...(lo[1] > SKIRTING_MM ? [strip('sill', [left, lo[1] - 40], [right, lo[1]])] : []),
  ]
}

function skirting(room: LitRoom, doors: readonly RoomDoor[], material: number): Zone[] {
  return WALL_NAMES.flatMap((wall) => {
    const half = wallWidthMm(room, wall) / 2
    const cuts = doors
      .filter((door) => door.wall === wall)
      .map(({ lo, hi }) => [lo[0] - CASING_MM, hi[0] + CASING_MM] as const)
      .sort((p, q) => p[0] - q[0])
    const runs: [number, number][] = []
    let from = -half
    for (const [start, end] of cuts) {
      if (start > from) runs.push([from, start])
      from = Math.max(from, end)
    }
    if (half > from) runs.push([from, half])
    return runs.map(([a, b]): Zone => ({
      ...{ name: 'skirting', material, on: wall, lo: [a, 0], hi: [b, SKIRTING_MM] },
    }))
  })
}

/** What hangs or lies flat on a wall: tiles, panelling, curtains, pictures, mirrors. */
function flatOf(
  room: LitRoom,
  keeper: StandingKeeper,
  windows: readonly Opening[],
  material: number,
  keepers: readonly StandingKeeper[],
): Zone[] | null {
  const { name, kind, walls } = keeper
  const on = (wall: WallName, lo: [number, number], hi: [number, number]): Zone => ({
    ...{ name, material, on: wall, lo, hi },
  })
  const half = (wall: WallName): number => wallWidthMm(room, wall) / 2
  switch (kind) {
    case 'tile': {
      const over = keepers.find(({ kind: other }) => other === 'counter' || other === 'cabinets')
      const at =
        walls.length > 0 ? walls : over?.walls.length ? over.walls : [freeWall(room, windows)]
      const [from, to] = over ? [920, 1500] : [0, 1200]
      return at.map((wall) => on(wall, [-half(wall), from], [half(wall), to]))
    }
    case 'panelling':
      return (walls.length > 0 ? walls : WALL_NAMES).map((wall) =>
        on(wall, [-half(wall), 0], [half(wall), 1000]),
      )
    case 'curtain': {
      const window = mainWindow(room)
      const opening = window && windows[room.windows.indexOf(window)]
      if (!opening || opening.face === 'ceiling' || opening.face === 'floor') return []
      const top = Math.min(room.heightMm, opening.hi[1] + 150)
      const wall = opening.face
      return [
        on(wall, [opening.lo[0] - 380, 30], [opening.lo[0] + 20, top]),
        on(wall, [opening.hi[0] - 20, 30], [opening.hi[0] + 380, top]),
      ]
    }
    case 'art':
    case 'mirror': {
      const wall = walls[0] ?? freeWall(room, windows, kind === 'art' ? 0 : 1)
      const [w, h] = kind === 'art' ? [900, 650] : [650, 850]
      return [on(wall, [-w / 2, 1250], [w / 2, 1250 + h])]
    }
    case 'metal':
    case 'floor':
    case 'carpet':
    case 'trim':
    case 'door':
      return []
    default:
      return null
  }
}

/** The wall with the fewest openings, then the widest; the next one for another thing. */
function freeWall(room: LitRoom, windows: readonly Opening[], nth = 0): WallName {
  const openIn = (wall: WallName): number => windows.filter(({ face }) => face === wall).length
  return [...WALL_NAMES].sort(
    (p, q) => openIn(p) - openIn(q) || wallWidthMm(room, q) - wallWidthMm(room, p),
  )[nth % WALL_NAMES.length]!
}

/** Where a thing of its kind usually stands, along a wall where there is room for it. */
function placed(
  room: LitRoom,
  { kind, walls }: StandingKeeper,
  windows: readonly Opening[],
  taken: Map<WallName, [number, number][]>,
  bodies: readonly Body[],
): Placing | null {
  if (kind === 'rug') {
    const [w, d] = [Math.min(2000, room.eastWestMm * 0.5), Math.min(1400, room.northSouthMm * 0.5)]
    return { eastMm: 0, northMm: 0, widthMm: w, depthMm: d, heightMm: 10, fromMm: 0 }
  }
  const usual = USUAL[kind]
  if (!usual) return null
  const { size, fromMm = 0 } = usual
  // What lies on something lies on it from end to end.
  const under = fromMm > 0 ? bodies.find(({ hi }) => Math.abs(hi[2] - fromMm) < 60) : undefined
  if (under)
    return {
      eastMm: (under.lo[0] + under.hi[0]) / 2,
      northMm: (under.lo[1] + under.hi[1]) / 2,
      widthMm: kind === 'cushion' ? size[0] : under.hi[0] - under.lo[0],
      depthMm: kind === 'cushion' ? size[1] : under.hi[1] - under.lo[1],
      heightMm: size[2],
      fromMm: under.hi[2],
    }
  if (kind === 'cushion') return null
  const height = size[2] + fromMm
  const order = [
    ...walls,
    ...[0, 1, 2, 3].map((n) => freeWall(room, windows, n)).filter((wall) => !walls.includes(wall)),
  ]
  for (const wall of order) {
    const blocked = [
      ...taken.get(wall)!,
      ...windows
        .filter(({ face, lo }) => face === wall && lo[1] < height)
        .map(({ lo, hi }): [number, number] => [lo[0], hi[0]]),
    ]
    const run = longestRun(wallWidthMm(room, wall), blocked)
    if (!run || run[1] - run[0] < Math.min(size[0], 500)) continue
    const length = Math.min(size[0], run[1] - run[0])
    const middle = kind === 'fireplace' ? (run[0] + run[1]) / 2 : run[0] + length / 2
    taken.get(wall)!.push([middle - length / 2 - 50, middle + length / 2 + 50])
    // Without anything under it a slab stands on the floor as a block.
    const block = fromMm > 0 ? { heightMm: height, fromMm: 0 } : { heightMm: size[2], fromMm }
    return { ...atWall(room, wall, middle, length, size[1]), ...block }
  }
  return null
}

function longestRun(width: number, blocked: readonly [number, number][]): [number, number] | null {
  const half = width / 2
  const sorted = [...blocked].sort((p, q) => p[0] - q[0])
  let best: [number, number] | null = null
  let from = -half
  for (const [start, end] of [...sorted, [half, half] as [number, number]]) {
    if (start > from && (!best || start - from > best[1] - best[0])) best = [from, start]
    from = Math.max(from, end)
  }
  return best
}

function atWall(
  room: LitRoom,
  wall: WallName,
  middle: number,
  length: number,
  depth: number,
): Pick<Placing, 'eastMm' | 'northMm' | 'widthMm' | 'depthMm'> {
  const [x, y] = [room.eastWestMm / 2, room.northSouthMm / 2]
  switch (wall) {
    case 'north':
      return { eastMm: middle, northMm: y - depth / 2, widthMm: length, depthMm: depth }
    case 'south':
      return { eastMm: middle, northMm: -y + depth / 2, widthMm: length, depthMm: depth }
    case 'east':
      return { eastMm: x - depth / 2, northMm: middle, widthMm: depth, depthMm: length }
    case 'west':
      return { eastMm: -x + depth / 2, northMm: middle, widthMm: depth, depthMm: length }
  }
}

const DOOR_MM = [850, 2020] as const

/** Where the doors of a room are: its own, and a way to each room that it is open to. */
export function doorsOf(
  room: LitRoom,
  own: readonly {
    readonly bearingDeg: number
    readonly widthMm: number
    readonly heightMm: number
    readonly alongPercent: number | null
  }[],
  opensTo: readonly string[],
): RoomDoor[] {
  const windows = room.windows.map((window) => openingOf(room, window))
  const doors: RoomDoor[] = own.map((door) => {
    const wall = wallFacing(room, door.bearingDeg)
    const half = wallWidthMm(room, wall) / 2
    const at = ((door.alongPercent ?? 50) / 100 - 0.5) * 2 * half
    // From the left corner as seen from inside: in the south and the west that is the other way.
    const middle = (wall === 'south' || wall === 'east' ? -1 : 1) * at
    const reach = Math.min(door.widthMm, 2 * half - 100) / 2
    const clear = Math.min(half - reach - 10, Math.max(-half + reach + 10, middle))
    return {
      ...{ wall, opensTo: null, lo: [clear - reach, 0] },
      hi: [clear + reach, Math.min(door.heightMm, room.heightMm - 20)],
    }
  })
  const ways = opensTo.map((roomId, n): RoomDoor | null => {
    const shut = doors.findIndex((door) => door.opensTo === null)
    if (shut >= 0) {
      const [door] = doors.splice(shut, 1)
      return { ...door!, opensTo: roomId }
    }
    for (let tries = 0; tries < WALL_NAMES.length; tries++) {
      const wall = freeWall(room, windows, n + tries)
      const blocked = [
        ...windows.filter(({ face }) => face === wall).map(({ lo, hi }) => [lo[0], hi[0]]),
        ...doors.filter((door) => door.wall === wall).map(({ lo, hi }) => [lo[0], hi[0]]),
      ] as [number, number][]
      const run = longestRun(wallWidthMm(room, wall), blocked)
      if (!run || run[1] - run[0] < DOOR_MM[0] + 300) continue
      const middle = run[1] - DOOR_MM[0] / 2 - 200
      return {
        ...{ wall, opensTo: roomId, lo: [middle - DOOR_MM[0] / 2, 0] },
        hi: [middle + DOOR_MM[0] / 2, Math.min(DOOR_MM[1], room.heightMm - 20)],
      }
    }
    return null
  })
  return [...doors, ...ways.filter((way) => way !== null)]
}
