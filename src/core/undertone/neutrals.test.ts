import { constructedNeutrals, sceneNames } from './neutrals.fixture'

// Constructed neutrals with the names that the trade would accept (common practice), handed over as check values.
test('the undertone of every neutral, the family of nearly all', () => {
  const neutrals = constructedNeutrals()
  expect(neutrals).toHaveLength(39)
  // Told by what names and undertones our raters gave: one of the 39 is read one step along.
  expect(neutrals.filter(({ undertoneHolds }) => !undertoneHolds).length).toBeLessThanOrEqual(1)
  // Seven of 39 go by another of our raters’ names: a pale, green off-white is a sage to them, an orange beige a tan.
  expect(neutrals.filter(({ familyHolds }) => !familyHolds).length).toBeLessThanOrEqual(7)
})

test('a taupe leans violet or pink, a butter white is no grey, dark oak a brown, plum no beige', () => {
  expect(sceneNames().filter((each) => !each.undertoneHolds || !each.familyHolds)).toEqual([])
})
