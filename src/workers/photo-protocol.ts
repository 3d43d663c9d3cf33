import type { PhotoBytes } from '@/core/photo/pixels'

/** A photo's file and the size it is wanted in; cloneable data only. */
export interface PhotoRequest {
  readonly file: Blob
  readonly width: number
  readonly height: number
}

/** The photo to be shown, and its bytes to be read; null where it cannot be decoded. */
export type PhotoReply = { readonly image: ImageBitmap; readonly photo: PhotoBytes } | null
