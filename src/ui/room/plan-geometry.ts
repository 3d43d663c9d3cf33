import type { CSSProperties } from 'react'
import { wallWidthMm, type LitRoom, type RoomWindow } from '@/core/light/room'

// The longer side of the room on a drawing 200 units across.
const LONGEST = 120
// Half of what a thumb needs across a wall, as a share of the drawing.
const THUMB = 0.09

/** Half sizes of the room as shares of the drawing. */
interface Share {
  readonly x: number
  readonly y: number
}

export interface Wall {
  readonly letter: string
  readonly word: string
  readonly bearingDeg: number
  /** Where its touch target lies. */
  readonly box: (share: Share) => CSSProperties
}

const percent = (share: number): string => `${(100 * share).toFixed(2)}%`

const across = (share: Share, top: number): CSSProperties => ({
  left: percent(0.5 - share.x),
  width: percent(2 * share.x),
  top: percent(top - THUMB),
  height: percent(2 * THUMB),
})
const along = (share: Share, left: number): CSSProperties => ({
  top: percent(0.5 - share.y),
  height: percent(2 * share.y),
  left: percent(left - THUMB),
  width: percent(2 * THUMB),
})

export const WALLS: readonly Wall[] = [
  { letter: 'N', word: 'north', bearingDeg: 0, box: (share) => across(share, 0.5 - share.y) },
  { letter: 'E', word: 'east', bearingDeg: 90, box: (share) => along(share, 0.5 + share.x) },
  { letter: 'S', word: 'south', bearingDeg: 180, box: (share) => across(share, 0.5 + share.y) },
  { letter: 'W', word: 'west', bearingDeg: 270, box: (share) => along(share, 0.5 - share.x) },
]

/** A room drawn to scale about the centre of a drawing from −100 to 100, north up. */
export function planGeometry(room: LitRoom, windows: readonly RoomWindow[]) {
  const scale = LONGEST / Math.max(room.northSouthMm, room.eastWestMm)
  const width = room.eastWestMm * scale
  const height = room.northSouthMm * scale
  return {
    /** Units of the drawing a millimetre. */
    scale,
    room: { x: -width / 2, y: -height / 2, width, height },
    share: { x: width / 400, y: height / 400 },
    openings: windows
      .filter(({ pitchDeg }) => pitchDeg === 90)
      .map((window) => {
        const radians = (window.bearingDeg * Math.PI) / 180
        const facesNorthOrSouth =
          wallWidthMm({ northSouthMm: 0, eastWestMm: 1 }, window.bearingDeg) === 1
        const half = (window.widthMm * scale) / 2
        return facesNorthOrSouth
          ? lineAt(-half, half, (-Math.sign(Math.cos(radians)) * height) / 2, 'across')
          : lineAt(-half, half, (Math.sign(Math.sin(radians)) * width) / 2, 'along')
      }),
  }
}

function lineAt(from: number, to: number, at: number, direction: 'across' | 'along') {
  return direction === 'across'
    ? { x1: from, x2: to, y1: at, y2: at }
    : { x1: at, x2: at, y1: from, y2: to }
}
