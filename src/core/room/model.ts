import { luxFromLamp } from '../light/lamp-light'
import { latticesOf, type Lattice } from './lattice'
import { daylitAt, type Receiver, type SkyDirection } from './openings-light'
import { sees } from './rays'
import type { Scene } from './scene'
import { meanRows, sparseOf, type Row, type SparseRows } from './sparse'
import { factorsAt, tilesOf, type Tiles } from './tiles'

/** All of a room that does not change with its paints or with the hour. */
export interface RoomModel {
  readonly scene: Scene
  readonly tiles: Tiles
  /** By surface. */
  readonly lattices: readonly Lattice[]
  readonly points: readonly Receiver[]
  readonly directions: readonly SkyDirection[]
  /** Of the points, then averaged over each tile. */
  readonly pointLight: StillLight
  readonly tileLight: StillLight
  /** What share of the light that a point gets comes from each tile and, after them, each opening. */
  readonly gathered: SparseRows
}

/** Shares that reach places of a room, a row each. */
export interface StillLight {
  readonly sky: SparseRows
  readonly shown: SparseRows
  /** Lux straight from each lamp. */
  readonly lamps: SparseRows
}

// A tile's light is that of so many of its points.
const POINTS_A_TILE = 14

/** Solves the geometry of a room; takes the longest of all, and is done once. */
export function modelOf(
  scene: Scene,
  wanted?: number,
  onProgress: (share: number) => void = () => undefined,
): RoomModel {
  const tiles = tilesOf(scene, wanted)
  onProgress(0.3)
  const { lattices, receivers: points } = latticesOf(scene)
  const [tilePoints, counts] = tileReceivers(scene, tiles)
  const { directions, sky, shown } = daylitAt(scene, [...points, ...tilePoints])
  onProgress(0.7)
  const parts = { sky, shown, lamps: lampsAt(scene, [...points, ...tilePoints]) }
  const gathered = sparseOf(
    points.map(({ at, normal }) => {
      const axis = normal.findIndex((v) => v !== 0) as 0 | 1 | 2
      return factorsAt(scene, tiles.tiles, at, axis, normal[axis] as 1 | -1)
    }),
  )
  onProgress(1)
  const still = (of: (rows: readonly Row[]) => readonly Row[]): StillLight => ({
    sky: sparseOf(of(parts.sky)),
    shown: sparseOf(of(parts.shown)),
    lamps: sparseOf(of(parts.lamps)),
  })
  return {
    ...{ scene, tiles, lattices, points, directions, gathered },
    pointLight: still((rows) => rows.slice(0, points.length)),
    tileLight: still((rows) => meanRows(rows.slice(points.length), counts)),
  }
}

function tileReceivers(scene: Scene, { tiles }: Tiles): [Receiver[], number[]] {
  const counts: number[] = []
  const receivers = tiles.flatMap(({ surface, points }) => {
    const { axis, facing } = scene.surfaces[surface]!
    const normal: [number, number, number] = [0, 0, 0]
    normal[axis] = facing
    const some = Math.min(POINTS_A_TILE, points.length)
    counts.push(some)
    return Array.from({ length: some }, (_, n): Receiver => ({
      at: points[n]!,
      normal,
    }))
  })
  return [receivers, counts]
}

const lampsAt = (scene: Scene, receivers: readonly Receiver[]): Row[] =>
  receivers.map((receiver) => {
    const row: Row = new Map()
    scene.lamps.forEach(({ lamp, at }, l) => {
      const lux = luxFromLamp(lamp, at, receiver)
      if (lux > 0 && sees(scene, receiver.at, at)) row.set(l, lux)
    })
    return row
  })
