import { alongWallMm, wallFacing, wallWidthMm, type WallName } from '../light/walls'
import { isUnderfoot, type KeeperKind, type ViewShare } from '../pairing/keeper-kind'
import type { PaintedRoom, RoomJoinery } from './areas'

export type ElevationPart =
  | 'ceiling'
  | 'wall'
  | 'lower half'
  | 'casing'
  | 'window'
  | 'door'
  | 'baseboard'
  | 'floor'
  | 'cabinets'
  | 'island'
  | 'keeper'

/** A rectangle of a wall as one stands before it: millimetres from the left end of what is drawn, and from its top. */
export interface ElevationRect {
  readonly part: ElevationPart
  readonly keeperId: string | null
  readonly xMm: number
  readonly yMm: number
  readonly widthMm: number
  readonly heightMm: number
}

export interface Elevation {
  readonly widthMm: number
  /** With the strips of ceiling and floor that are in sight. */
  readonly heightMm: number
  /** Later ones stand before earlier ones. */
  readonly rects: readonly ElevationRect[]
}

/** A thing that stands at a wall. */
export interface StandingThing {
  readonly id: string
  readonly kind: KeeperKind
  readonly viewShare: ViewShare
}

// How much of ceiling and floor is in sight above and below a wall (common practice of a drawn elevation).
const CEILING_MM = 300
const FLOOR_MM = 250

// How wide a thing stands, as a share of its wall, and how high it reaches, millimetres (orders of magnitude).
const WIDTH_SHARE: Readonly<Record<ViewShare, number>> = { little: 0.12, some: 0.22, much: 0.4 }
const HEIGHT_MM: Readonly<Partial<Record<KeeperKind, number>>> = {
  fireplace: 1150,
  counter: 900,
  cabinets: 2000,
  panelling: 1000,
  appliance: 1700,
  upholstery: 850,
  curtain: 2200,
  mirror: 900,
  art: 700,
  tile: 600,
}
const STANDS_HIGH = 800
const WORKTOP_MM = 900
// What hangs does so about eye height.
const HANGS: readonly KeeperKind[] = ['mirror', 'art']
const EYE_MM = 1500

/**
 * A wall drawn to scale: what is painted on it, what stands open, its trim, and what stands at it, each at its real share.
 *
 * @param things of the room that touch this wall, and what one walks on
 * @param hasHalf whether the wall has a lower half of its own
 * @param fronts which joinery stands at it; it is drawn where somebody has said how large its fronts are
 */
export function wallElevation(
  room: PaintedRoom,
  joinery: RoomJoinery,
  wall: WallName,
  things: readonly StandingThing[],
  hasHalf: boolean,
  fronts: readonly ('cabinets' | 'island')[] = [],
): Elevation {
  const width = wallWidthMm(room, wall)
  const top = CEILING_MM
  const foot = top + room.heightMm
  const rect = (
    part: ElevationPart,
    xMm: number,
    yMm: number,
    widthMm: number,
    heightMm: number,
    keeperId: string | null = null,
  ): ElevationRect[] =>
    widthMm > 0 && heightMm > 0 ? [{ part, keeperId, xMm, yMm, widthMm, heightMm }] : []
  const half = Math.min(joinery.halfHeightMm, room.heightMm)
  const underfoot = things.find(({ kind }) => isUnderfoot(kind))
  return {
    widthMm: width,
    heightMm: CEILING_MM + room.heightMm + FLOOR_MM,
    rects: [
      ...rect('ceiling', 0, 0, width, CEILING_MM),
      ...rect('wall', 0, top, width, room.heightMm),
      ...(hasHalf ? rect('lower half', 0, foot - half, width, half) : []),
      ...rect('baseboard', 0, foot - joinery.skirtingMm, width, joinery.skirtingMm),
      ...rect('floor', 0, foot, width, FLOOR_MM, underfoot?.id ?? null),
      ...openings(room, joinery, wall).flatMap(({ part, left, right, sillMm, headMm }) => {
        const frame = joinery.casingMm
        const below = sillMm > 0 ? frame : 0
        return [
          ...rect(
            'casing',
            Math.max(0, left - frame),
            foot - headMm - frame,
            Math.min(width, right + frame) - Math.max(0, left - frame),
            headMm - sillMm + frame + below,
          ),
          ...rect(part, left, foot - headMm, right - left, headMm - sillMm),
        ]
      }),
      ...fronts.flatMap((part) => {
        const m2 = part === 'cabinets' ? joinery.cabinetsM2 : joinery.islandM2
        const high = Math.min(WORKTOP_MM, room.heightMm)
        const wide = Math.min(width, ((m2 ?? 0) * 1e6) / high)
        // A run of cabinets begins in a corner, an island stands free before the wall.
        return rect(part, part === 'cabinets' ? 0 : (width - wide) / 2, foot - high, wide, high)
      }),
      ...things
        .filter(({ kind }) => !isUnderfoot(kind))
        .flatMap(({ id, kind, viewShare }, at, all) => {
          const own = Math.min(WIDTH_SHARE[viewShare], 0.8 / all.length) * width
          const middle = ((at + 0.5) / all.length) * width
          const high = Math.min(HEIGHT_MM[kind] ?? STANDS_HIGH, room.heightMm - 200)
          const low = HANGS.includes(kind) ? Math.max(0, EYE_MM - high / 2) : 0
          return rect('keeper', middle - own / 2, foot - low - high, own, high, id)
        }),
    ],
  }
}

function openings(room: PaintedRoom, { casingMm }: RoomJoinery, wall: WallName) {
  const width = wallWidthMm(room, wall)
  const placed = (middle: number, widthMm: number) => ({
    left: Math.max(0, middle - widthMm / 2),
    right: Math.min(width, middle + widthMm / 2),
  })
  const doors = room.doors.filter(({ bearingDeg }) => wallFacing(room, bearingDeg) === wall)
  return [
    ...room.windows
      .filter(
        ({ pitchDeg, bearingDeg }) => pitchDeg === 90 && wallFacing(room, bearingDeg) === wall,
      )
      .map((window) => ({
        part: 'window' as const,
        ...placed(width / 2 + alongWallMm(room, window), window.widthMm),
        sillMm: Math.max(0, window.sillMm),
        headMm: Math.min(room.heightMm - casingMm, window.sillMm + window.heightMm),
      })),
    ...doors.map((door, at) => ({
      part: 'door' as const,
      ...placed(
        'alongPercent' in door && typeof door.alongPercent === 'number'
          ? (door.alongPercent / 100) * width
          : ((at + 0.5) / doors.length) * width,
        door.widthMm,
      ),
      sillMm: 0,
      headMm: Math.min(room.heightMm - casingMm, door.heightMm),
    })),
  ].filter(({ headMm, sillMm }) => headMm > sillMm)
}

/** What share of an elevation each part of it is seen at, 0 to 1; what stands before another hides it. */
export function partShares({ widthMm, heightMm, rects }: Elevation): Map<string, number> {
  const xs = cuts(
    rects.flatMap(({ xMm, widthMm: w }) => [xMm, xMm + w]),
    widthMm,
  )
  const ys = cuts(
    rects.flatMap(({ yMm, heightMm: h }) => [yMm, yMm + h]),
    heightMm,
  )
  const shares = new Map<string, number>()
  for (let i = 0; i + 1 < xs.length; i++)
    for (let k = 0; k + 1 < ys.length; k++) {
      const [x, y] = [(xs[i]! + xs[i + 1]!) / 2, (ys[k]! + ys[k + 1]!) / 2]
      const seen = rects.findLast(
        (r) => x > r.xMm && x < r.xMm + r.widthMm && y > r.yMm && y < r.yMm + r.heightMm,
      )
      if (!seen) continue
      const key = seen.keeperId ?? seen.part
      const area = (xs[i + 1]! - xs[i]!) * (ys[k + 1]! - ys[k]!)
      shares.set(key, (shares.get(key) ?? 0) + area / (widthMm * heightMm))
    }
  return shares
}

const cuts = (at: readonly number[], end: number): number[] =>
  [...new Set([0, end, ...at.map((each) => Math.min(end, Math.max(0, each)))])].sort(
    (p, q) => p - q,
  )
