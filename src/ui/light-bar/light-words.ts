import type { LightSource } from '@/core/light/light-choice'
import { shadedBearingDeg } from '@/core/light/light-choice'
import { compassWord } from '@/core/light/aspect'
import type { Sky } from '@/core/light/sky'
import type { Place } from '@/core/light/sun-position'

export const SKY_WORDS: Record<Sky, string> = {
  clear: 'Clear',
  partly: 'Partly cloudy',
  overcast: 'Overcast',
}

/** What a light source is called at a place: the cool side is south below the equator. */
export function sourceWords(source: LightSource, place: Place): string {
  switch (source) {
    case 'room':
      return 'Room’s day'
    case 'north': {
      const side = compassWord(shadedBearingDeg(place))
      return `${side.charAt(0).toUpperCase()}${side.slice(1)} light`
    }
    case 'west':
      return 'West sun'
    case 'lamps':
      return 'Lamps'
  }
}

// Made once: `toLocaleString` makes one a call, and the bar asks at every frame of a drag.
const IN_FIGURES = new Intl.NumberFormat('en-GB')

export const figures = (cctK: number, lux: number): string =>
  `${IN_FIGURES.format(Math.round(cctK / 50) * 50)} K · ${luxFigure(lux)} lux`

/** Two significant figures: a light model is no better than that. */
export function luxFigure(lux: number): string {
  const digits = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, lux))) - 1)
  return IN_FIGURES.format(Math.round(lux / digits) * digits)
}
