import { screenColour, type PreparedLight, type ScreenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { repaint } from './patch'

// Nothing is seen in the dark.
export const DARK: ScreenColour = { hex: '#111111', inGamut: true, p3: null }

interface Watched {
  readonly patch: HTMLElement
  readonly reflectance: Reflectance
  readonly label: string | undefined
}

/** Repaints every watched patch of a page when its light changes: a hundred swatches in a millisecond. */
export class Painter {
  private readonly watched = new Set<Watched>()

  constructor(private light: PreparedLight | null) {}

  colourOf(reflectance: Reflectance): ScreenColour {
    return this.light ? screenColour(this.light, reflectance) : DARK
  }

  /** Paints a patch now and from now on; the answer ends it. */
  watch(watched: Watched): () => void {
    this.watched.add(watched)
    this.paint(watched)
    return () => this.watched.delete(watched)
  }

  show(light: PreparedLight | null): void {
    this.light = light
    for (const watched of this.watched) this.paint(watched)
  }

  private paint({ patch, reflectance, label }: Watched): void {
    repaint(patch, this.colourOf(reflectance), label)
  }
}
