import { ALL_WALLS, SPOT_NAMES, type SpotName } from './spot'
import { nextAlong, nextTilt } from './spot-steps'

const walk = (step: (name: SpotName) => SpotName, from: SpotName, steps: number): SpotName[] =>
  Array.from({ length: steps }).reduce<SpotName[]>((been) => [...been, step(been.at(-1)!)], [from])

test('a sample is carried tilted from the window to the lamp, and back to the walls', () => {
  expect(walk(nextAlong, ALL_WALLS, 5)).toEqual([
    'walls',
    'tilted-window',
    'tilted-middle',
    'tilted-back',
    'tilted-lamp',
    'walls',
  ])
  // Held against a wall it stays so on its way.
  expect(nextAlong('east-window')).toBe('east-middle')
})

test('held another way it stays where it is', () => {
  // Upright it is against a wall, and the record says which.
  expect(walk(nextTilt, 'tilted-lamp', 6)).toEqual([
    'tilted-lamp',
    'north-lamp',
    'east-lamp',
    'south-lamp',
    'west-lamp',
    'flat-lamp',
    'tilted-lamp',
  ])
  expect(nextTilt(ALL_WALLS)).toBe('flat-middle')
  for (const name of SPOT_NAMES) expect(SPOT_NAMES).toContain(nextTilt(name))
})
