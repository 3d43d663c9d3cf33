import { p3Bytes, type ScreenColour } from '@/core/colour/appearance'

const PAPER = 0xffffffff

/** A strip as it stands in the picture: its colours one under the other. */
export interface Column {
  readonly start: number
  readonly end: number
  readonly top: number
  readonly bottoms: readonly number[]
  readonly pixels: readonly number[]
}

/** Paints columns line by line: between two edges every line is like the first, and is copied. */
export function paintColumns(
  into: Uint32Array,
  width: number,
  columns: readonly Column[],
  edges: readonly number[],
): void {
  for (let e = 0; e + 1 < edges.length; e++) {
    const [y, next] = [edges[e]!, edges[e + 1]!]
    const line = y * width
    into.fill(PAPER, line, line + width)
    for (const { start, end, top, bottoms, pixels } of columns) {
      if (y < top) continue
      const row = bottoms.findIndex((bottom) => y < bottom)
      if (row >= 0) into.fill(pixels[row]!, line + start, line + end)
    }
    for (let below = y + 1; below < next; below++)
      into.copyWithin(below * width, line, line + width)
  }
}

/** A colour as the machine keeps a pixel: red first in memory. */
export function pixelIn(space: PredefinedColorSpace, colour: ScreenColour): number {
  if (space === 'display-p3') {
    const [r, g, b] = p3Bytes(colour) as [number, number, number]
    return (0xff000000 | (b << 16) | (g << 8) | r) >>> 0
  }
  const rgb = parseInt(colour.hex.slice(1), 16)
  return (0xff000000 | ((rgb & 0xff) << 16) | (rgb & 0xff00) | (rgb >> 16)) >>> 0
}

/** What the screen can show; a swatch is shown in the same. */
export const spaceOfScreen = (): PredefinedColorSpace =>
  window.matchMedia('(color-gamut: p3)').matches ? 'display-p3' : 'srgb'
