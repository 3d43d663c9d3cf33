import { heldAs, nextHeld, ON_SCREEN } from './held-sample'

test('a chip of a 75 % candidate is of the full formula, a board is mixed for it', () => {
  expect(heldAs(ON_SCREEN, 'chip', 75).strengthPercent).toBe(100)
  expect(heldAs(ON_SCREEN, 'large swatch', 75).strengthPercent).toBe(100)
  expect(heldAs(ON_SCREEN, 'board', 75).strengthPercent).toBe(75)
  expect(heldAs({ ...ON_SCREEN, place: 'at the sink' }, 'wall', 50).place).toBe('at the sink')
})

test('one key goes through all that can be held, and back to the screen', () => {
  const round = [nextHeld(null)]
  while (round.at(-1) !== null) round.push(nextHeld(round.at(-1)!))
  expect(round).toEqual(['chip', 'large swatch', 'board', 'wall', null])
})
