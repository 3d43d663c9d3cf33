import { screenColour, type PreparedLight, type ScreenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'

// Nothing is seen in the dark.
export const DARK: ScreenColour = { hex: '#111111', inGamut: true, p3: null }

/** Paints one thing of a page in a light; null when it is dark. */
export type Paint = (light: PreparedLight | null) => void

export const colourIn = (light: PreparedLight | null, reflectance: Reflectance): ScreenColour =>
  light ? screenColour(light, reflectance) : DARK

/** Repaints everything watched on a page when its light changes: a hundred swatches in a millisecond. */
export class Painter {
  private readonly watched = new Set<Paint>()

  constructor(private light: PreparedLight | null) {}

  colourOf(reflectance: Reflectance): ScreenColour {
    return colourIn(this.light, reflectance)
  }

  /** Paints now and from now on; the answer ends it. */
  watch(paint: Paint): () => void {
    this.watched.add(paint)
    paint(this.light)
    return () => this.watched.delete(paint)
  }

  show(light: PreparedLight | null): void {
    this.light = light
    for (const paint of this.watched) paint(light)
  }
}

/** Most stay as they are from frame to frame, and setting one costs more than asking. */
export function changeAttribute(element: Element, attribute: string, value: string): void {
  if (element.getAttribute(attribute) !== value) element.setAttribute(attribute, value)
}
