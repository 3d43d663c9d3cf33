import { dryFilm, hidingOver } from '../../src/core/paint/dry-film'
import { labD65, reflectanceOfReading } from '../../src/core/paint/reading'
import { atStrength } from '../../src/core/paint/strength'

const of = (...lab: readonly [number, number, number]) => reflectanceOfReading({ kind: 'lab', lab })
const WHITE_BASE = of(96.6, -0.5, 2)
const COLOURS = {
  terracotta: of(46, 28, 30),
  navy: of(25, 0, -18),
  greige: of(72, 2, 10),
} as const

/** The ladder beside two constants, and what two coats hide. */
export function printPaint(): void {
  const misses = Object.values(COLOURS).flatMap((colour) =>
    [25, 50, 75, 125, 150].map((percent) =>
      Math.abs(
        labD65(atStrength(colour, WHITE_BASE, percent))[0] -
          labD65(dryFilm(colour, WHITE_BASE, 'white', percent).reflectance)[0],
      ),
    ),
  )
  console.log(
    `  ladder of a white base against two constants: ΔL* ${Math.max(...misses).toFixed(1)} at most`,
  )
  console.log(
    `  two coats of white, untinted: contrast ratio ${dryFilm(WHITE_BASE, WHITE_BASE, 'white', 0).contrastRatio.toFixed(3)}`,
  )
  for (const [name, colour] of Object.entries(COLOURS))
    for (const base of ['white', 'deep', 'clear'] as const) {
      const [whole, half] = [100, 50].map((percent) => dryFilm(colour, WHITE_BASE, base, percent))
      const lift = labD65(half!.reflectance)[0] - labD65(whole!.reflectance)[0]
      const over = hidingOver(colour, WHITE_BASE, base, 100, COLOURS.navy)
      console.log(
        `  ${name}, ${base} base: half the tint ${lift.toFixed(1)} L* lighter, contrast ratio ${whole!.contrastRatio.toFixed(3)} to ${half!.contrastRatio.toFixed(3)}; over navy ${over.coats ?? 'no'} coats`,
      )
    }
}
