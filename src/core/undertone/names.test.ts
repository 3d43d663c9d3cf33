import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import type { Lab } from '../colour/lab'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from './daylight'
import { nameOf } from './name'
import names from './names.fixture.json'
import { undertoneName } from './plain-name'
import { undertoneOf } from './undertone'

const LABS: readonly Lab[] = [96, 88, 76, 62, 46, 30, 16].flatMap((l) =>
  [0, 3, 8, 16, 30].flatMap((c) =>
    (c === 0 ? [0] : [20, 60, 85, 110, 150, 200, 250, 300, 345]).map((deg): Lab => {
      const angle = (deg * Math.PI) / 180
      return [l, c * Math.cos(angle), c * Math.sin(angle)]
    }),
  ),
)

test('colours all around are called what they were called: an anchor or a limit that moved is noticed', () => {
  const said = LABS.flatMap((lab) => {
    try {
      const reflectance = reflectanceOfReading({ kind: 'lab', lab })
      const undertone = undertoneOf(DAYLIGHT, reflectance)
      const { words, short } = nameOf(undertone, lrvPercent(reflectance), DEFAULT_HOUSE_RULES)
      return [`${words} | ${short} | ${undertoneName(undertone)}`]
    } catch {
      // No surface has that colour.
      return []
    }
  })
  expect(said).toEqual(names)
})
