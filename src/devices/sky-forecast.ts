import { seededRandom } from '@/core/seeded-random'
import { SKIES, type Sky } from '@/core/light/sky'
import type { Place } from '@/core/light/sun-position'

/** The sky expected over a place, hour by hour of its day. */
export interface SkyForecast {
  /** What it is called on screen; a stand-in says that it is one. */
  readonly source: string
  /** 24 skies, one an hour of the clock. */
  readonly hours: readonly Sky[]
}

/** Whoever knows the weather. */
export interface SkyForecaster {
  forecast(place: Place, isoDate: string): Promise<SkyForecast>
}

export const CLIMATE_OPENINGS = { grey: 0.15, mixed: 0.4, sunny: 0.7 } as const

/** A stand-in that makes a day's sky up, the same for a place and date every time, greyer or clearer by climate. */
export function simulatedForecaster(climate: keyof typeof CLIMATE_OPENINGS): SkyForecaster {
  return {
    forecast: async ({ latitudeDeg, longitudeDeg }, isoDate) => {
      const random = seededRandom(seedOf(`${latitudeDeg} ${longitudeDeg} ${isoDate}`))
      let at = random() < CLIMATE_OPENINGS[climate] ? 0 : 2
      const hours = Array.from({ length: 24 }, (): Sky => {
        const turn = random()
        if (turn < 0.2) at = Math.max(0, at - 1)
        else if (turn < 0.4) at = Math.min(2, at + 1)
        return SKIES[at]!
      })
      return { source: 'simulated', hours }
    },
  }
}

/** A number from a text, FNV-1a. */
function seedOf(text: string): number {
  let hash = 2166136261
  for (const letter of text) hash = Math.imul(hash ^ letter.codePointAt(0)!, 16777619)
  return hash >>> 0
}
