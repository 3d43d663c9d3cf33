import { capital } from '../words'
import { compassWord } from './aspect'
import { shadedBearingDeg, type LightSource } from './light-choice'
import type { Sky } from './sky'
import type { Place } from './sun-position'

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
      return `${capital(side)} light`
    }
    case 'west':
      return 'West sun'
    case 'lamps':
      return 'Lamps'
  }
}
