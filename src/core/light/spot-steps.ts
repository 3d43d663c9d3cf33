import { ALL_WALLS, DEPTHS, PLANES, spotOf, type Depth, type Plane, type SpotName } from './spot'

const nameOf = (plane: Plane, depth: Depth): SpotName => `${plane}-${depth}`

/**
 * The next place of a sample that is slid from the window to the lamp, and then back to the walls together; from there it is
 * tilted, for so a sample is carried.
 */
export function nextAlong(name: SpotName): SpotName {
  const spot = spotOf(name)
  if (spot === ALL_WALLS) return nameOf('tilted', DEPTHS[0])
  const next = DEPTHS[DEPTHS.indexOf(spot.depth) + 1]
  return next ? nameOf(spot.plane, next) : ALL_WALLS
}

/** The same place, the sample held another way: against each wall in turn, flat, tilted, and round again. */
export function nextTilt(name: SpotName): SpotName {
  const spot = spotOf(name)
  if (spot === ALL_WALLS) return nameOf('flat', 'middle')
  return nameOf(PLANES[(PLANES.indexOf(spot.plane) + 1) % PLANES.length]!, spot.depth)
}
