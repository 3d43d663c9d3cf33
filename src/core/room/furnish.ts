import { flatReflectance, BANDS, type Reflectance } from '../colour/spectrum'
import type { LitRoom } from '../light/room'
import type { Vector } from '../light/spot'
import { WALL_NAMES, wallWidthMm, type WallName } from '../light/walls'
import { isMottled, isUnderfoot, type KeeperKind } from '../pairing/keeper-kind'
import type { RoomDoor } from './doors'
import { openingOf, type Body, type Furnished, type Opening, type Zone } from './scene'
import { flatOf, placed, type Placing, type StandingKeeper } from './usual-places'
import type { Pattern } from './view'

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
