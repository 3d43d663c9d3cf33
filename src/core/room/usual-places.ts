import type { Reflectance } from '../colour/spectrum'
import type { LitRoom } from '../light/room'
import { mainWindow, type Vector } from '../light/spot'
import { WALL_NAMES, wallWidthMm, type WallName } from '../light/walls'
import type { KeeperKind } from '../pairing/keeper-kind'
import { freeWall, longestRun } from './free-wall'
import type { Body, Opening, Zone } from './scene'

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

/** How a kind of thing usually stands: width along a wall, depth from it, height and how high it begins (common practice). */
const USUAL: Partial<Record<KeeperKind, { readonly size: Vector; readonly fromMm?: number }>> = {
  cabinets: { size: [2400, 600, 880] },
  counter: { size: [2400, 620, 40], fromMm: 880 },
  stone: { size: [1600, 620, 40], fromMm: 880 },
  fireplace: { size: [1400, 350, 1150] },
  appliance: { size: [600, 600, 850] },
  upholstery: { size: [1900, 850, 780] },
  other: { size: [1000, 450, 850] },
  cushion: { size: [450, 300, 140], fromMm: 780 },
}

/** What hangs or lies flat on a wall: tiles, panelling, curtains, pictures, mirrors. */
export function flatOf(
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

/** Where a thing of its kind usually stands, along a wall where there is room for it. */
export function placed(
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
