import { scoreOf } from '../../src/core/pairing/score'
import { termsOf } from './pairs'
import { byDaylight, ratedPairs } from './ratings'
import scores from './scores.fixture.json'

test('a hundred pairs have the scores that they had: a weight that moved is noticed', () => {
  const every = ratedPairs().filter((_, at) => at % 8 === 0)
  const said = every.map(({ wall, finish, kind }) =>
    Number(scoreOf(termsOf(byDaylight(wall), byDaylight(finish), kind)).toFixed(2)),
  )
  expect(said).toEqual(scores)
})
