import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import { seededRandom } from '../seeded-random'
import { fillOwn, foldStays, quickScore } from './quick-score'
import { ratedRole, weightsOf } from './role'
import { scoreOf } from './score'
import { emptyStays, emptyWall, fillStays, fillWall } from './sides'
import { fillTerms, TERM_NAMES } from './terms'
import { RATED_KINDS, RATED_TRAITS } from './traits'

test('the sum in one go is the sum of the terms, whatever stays and whoever judges', () => {
  const random = seededRandom(3)
  const between = (low: number, high: number): number => low + (high - low) * random()
  const terms = new Float64Array(TERM_NAMES.length)
  const schools: readonly HouseRules['pairs'][] = ['shared-fixed', 'shared', 'opposites']
  for (let n = 0; n < 600; n++) {
    const kind = RATED_KINDS[n % RATED_KINDS.length]!
    const role = ratedRole(kind, {
      ...DEFAULT_HOUSE_RULES,
      pairs: schools[n % 3]!,
      eye: { version: 1, factors: { clashes: 1.2, dirties: 0.8, 'near miss': 1.1 } },
    })
    const weights = weightsOf({ ...role, onBlack: n % 2 })
    const wall = fillWall(emptyWall(), between(5, 100), between(-40, 45), between(-45, 60))
    const stays = fillStays(emptyStays(), between(5, 100), between(-40, 45), between(-45, 60))
    fillTerms(wall, stays, RATED_TRAITS[kind], terms)
    fillOwn(wall)
    expect(quickScore(wall, foldStays(stays, RATED_TRAITS[kind], weights))).toBeCloseTo(
      scoreOf(terms, weights),
      9,
    )
  }
})
