import { constructedNeutrals, sceneNames } from './neutrals.fixture'

// Constructed neutrals with the names that the trade would accept (common practice), handed over as check values.
test('the undertone of every neutral, the family of nearly all', () => {
  const neutrals = constructedNeutrals()
  expect(neutrals).toHaveLength(39)
  expect(neutrals.filter(({ undertoneHolds }) => !undertoneHolds)).toEqual([])
  expect(neutrals.filter(({ familyHolds }) => !familyHolds).length).toBeLessThanOrEqual(2)
})

test('a taupe leans violet or pink, a butter white is no grey, dark oak a brown, plum no beige', () => {
  expect(sceneNames().filter((each) => !each.undertoneHolds || !each.familyHolds)).toEqual([])
})
