import { seededRandom } from '@/core/seeded-random'

/** What a light meter answers, in lux and kelvin. */
export interface MeterAnswer {
  readonly lux: number
  readonly cctK: number
}

/** The meter cannot answer; the message says what to do. */
export class MeterError extends Error {
  override name = 'MeterError'
}

/** A light meter, whatever it is connected by. */
export interface LightMeter {
  /** What it is called on screen; a stand-in says that it is one. */
  readonly name: string
  /**
   * @returns what it reads where it lies
   * @throws MeterError when it is warming up, empty or out of reach
   */
  read(): Promise<MeterAnswer>
}

// An ordinary meter of its class, common practice: within 4 % in lux and 1.5 % in kelvin from reading to reading.
const LUX_NOISE = 0.04
const CCT_NOISE = 0.015
const WARM_UP_READINGS = 1
const BATTERY_READINGS = 200

/**
 * A stand-in: reads the light it is told lies there, with a meter's noise, a warm-up, a battery that runs down and a
 * connection that drops now and then.
 *
 * @param truth what lies at the spot
 * @param seed makes the noise the same in every run
 */
export function simulatedLightMeter(truth: () => MeterAnswer, seed: number): LightMeter {
  const random = seededRandom(seed)
  let readings = 0
  const noise = (size: number): number => 1 + size * (random() + random() - 1)
  return {
    name: 'Simulated meter',
    read: async () => {
      readings++
      if (readings <= WARM_UP_READINGS) throw new MeterError('The meter warms up. Read once more.')
      if (readings > BATTERY_READINGS)
        throw new MeterError('The meter’s battery is empty. Type what it said, or change it.')
      if (random() < 0.05)
        throw new MeterError('The connection dropped. Hold the meter nearer and read again.')
      const { lux, cctK } = truth()
      return { lux: lux * noise(LUX_NOISE), cctK: cctK * noise(CCT_NOISE) }
    },
  }
}
