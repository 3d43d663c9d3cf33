import type { Lab } from '@/core/colour/lab'
import { cutPatch, finishPatch } from '@/core/photo/finish-patch'
import type { Square } from '@/core/photo/pixels'
import { keepDrawnPhoto, showPhoto, shownPhoto } from './photo-file'

// As wide as a swatch of it is looked at.
const PATCH_WIDTH_PX = 192

/**
 * Keeps the part of a corrected picture that shows a finish best; it is cut before anything is waited for.
 *
 * @param card squares that were tapped as the card
 * @param middle where a person says that it is
 * @returns its hash, or null where it could not be kept
 */
export function keepPatch(
  canvas: HTMLCanvasElement,
  colours: readonly Lab[],
  card: readonly Square[],
  middle: { readonly x: number; readonly y: number } | undefined,
): Promise<string | null> {
  const shown = shownPhoto(canvas)
  const patch = cutPatch(shown, finishPatch(shown, colours, card, middle), PATCH_WIDTH_PX)
  const cut = document.createElement('canvas')
  cut.width = patch.width
  cut.height = patch.height
  showPhoto(patch, cut)
  return keepDrawnPhoto(cut)
}
