import type { PaletteColour } from '@/core/photo/palette'

/** A photo's pixels to find colours in, linear sRGB; cloneable data only. */
export interface PaletteRequest {
  readonly id: number
  readonly pixels: Float32Array<ArrayBuffer>
}

export type PaletteReply =
  | { readonly id: number; readonly done: number }
  | { readonly id: number; readonly colours: readonly PaletteColour[] }
