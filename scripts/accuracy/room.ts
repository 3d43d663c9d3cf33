import { roomFigures } from '../../src/core/room/room-figures.fixture'

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`
const span = (values: readonly number[], digits = 3): string =>
  `${Math.min(...values).toFixed(digits)} to ${Math.max(...values).toFixed(digits)}`

/** How the light of a whole room compares with what is published, and with paths followed at random. */
export function printRoom(): void {
  const { factors, rows, furnace, sphere, paths, core, finer, sun, step, swatch } = roomFigures(800)
  console.log('\nThe room itself')
  console.log(
    `  view factors over the published ones (Howell C-11, C-14): by points ${span(factors.flatMap((each) => each.points))}, of tiles ${span(factors.flatMap((each) => each.tiles))}`,
  )
  console.log(
    `  rows off 1 by at most ${percent(Math.max(...rows.map(({ worst }) => worst)))}; white furnace off by ${percent(furnace)}`,
  )
  console.log(`  boxes of one reflectance over the integrating sphere’s formula: ${span(sphere)}`)
  for (const { name, mean, within } of paths)
    console.log(
      `  ${name}: mean over that of paths at random ${mean.toFixed(3)}; 95 of 100 tiles within ${percent(within)}`,
    )
  console.log(
    `  over the light core, all surfaces, covered sky: ${core.map(({ name, share }) => `${name} ${share.toFixed(2)}`).join('; ')}`,
  )
  console.log(
    `  walls with 60, 130 and 220 tiles: ${finer.map((lux) => lux.toFixed(1)).join(', ')} lux`,
  )
  console.log(`  the sun’s patches over what comes in: ${span(sun)}`)
  console.log(
    `  the largest step of any point from minute to minute: ${percent(step)} of the walls’ white`,
  )
  console.log(`  walls on the whole against the four-walls swatch: ΔE′ ${span(swatch, 2)}`)
}
