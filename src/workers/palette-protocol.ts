import type { PaletteColour } from '@/core/photo/palette'
import type { PhotoBytes, UsablePixels, usablePixels } from '@/core/photo/pixels'

/** A photo to find colours in; cloneable data only. */
export interface PaletteRequest {
  readonly photo: PhotoBytes
  readonly card: Parameters<typeof usablePixels>[1]
}

/** Its colours, and what of it could not be used. */
export interface Palette extends Omit<UsablePixels, 'pixels'> {
  readonly colours: readonly PaletteColour[]
}

export type PaletteReply = { readonly done: number } | Palette
