import type { Lab } from '../colour/lab'
import type { Reflectance } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { seededRandom } from '../seeded-random'

const random = seededRandom(41)

/** A finish with a spectrum of its own shape, so that it is not just what the solver makes of its colour. */
const bumpy = (lab: Lab): Reflectance =>
  reflectanceOfReading({ kind: 'lab', lab }).map((share, band) =>
    Math.min(0.97, Math.max(0.01, share * (1 + 0.04 * Math.sin(band / 3 + 6 * random())))),
  )

/** Twelve finishes of a house, invented, to be photographed in tests. */
export const PHOTOGRAPHED_FINISHES: readonly Reflectance[] = (
  [
    [66, 9, 14],
    [55, 9, 24],
    [38, -1, -3],
    [91, 0.5, 9],
    [78, 4, 13],
    [72, -5, 12],
    [50, 20, 13],
    [45, -8, -14],
    [62, 0, 0],
    [30, 8, 10],
    [84, -2, -4],
    [58, 12, 30],
  ] as const
).map(bumpy)
