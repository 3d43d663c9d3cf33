import type { UsableBlocks } from '@/core/photo/blocks'
import type { CardKind } from '@/core/photo/card'
import type { PaletteColour } from '@/core/photo/palette'
import type { PhotoLight } from '@/core/photo/photo-light'
import type { PhotoBytes, Square } from '@/core/photo/pixels'
import type { PhotoColour, ReadablePhoto, Shown } from '@/core/photo/read-photo'

/** A photo to find colours in, and what is known to read them by; cloneable data only. */
export interface PaletteRequest {
  readonly photo: PhotoBytes
  readonly light: Pick<PhotoLight, 'lights' | 'balance'>
  readonly card: CardKind
  /** The card's patches as they are shown, the white first. */
  readonly shown: readonly Shown[]
  /** Where they were tapped; none where there is no card in the photo. */
  readonly squares: readonly Square[]
  readonly unevenness: number
}

/** Its colours by daylight, what reads further ones, and what of it could not be used. */
export interface Palette extends Omit<UsableBlocks, 'pixels' | 'grain'> {
  readonly colours: readonly (PaletteColour & PhotoColour)[]
  readonly readable: ReadablePhoto
}

export type PaletteReply =
  | { readonly done: number }
  /** The card is none: why. */
  | { readonly refused: string }
  | Palette
