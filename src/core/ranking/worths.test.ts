import type { HouseRules } from '../advice/house-rules'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import type { Lab } from '../colour/lab'
import { reflectanceOfReading } from '../paint/reading'
import { judgeInRoom } from './rank-for-room'
import { finish, room } from './ranking-scenes.fixture'
import worths from './worths.fixture.json'

const ROOMS: readonly [Partial<RoomCharacter>, Partial<HouseRules>?][] = [
  [{}],
  [{ wants: ['brighter'] }],
  [{ wants: ['cosier'] }],
  [{ wants: ['calmer'] }],
  [{ wants: ['more drama'] }],
  [{ wants: ['fresher'] }],
  [{ wants: ['warm, no yellow'] }],
  [{ wants: ['brighter', 'calmer'] }],
  [{ willNotHave: 'nothing cold or grey' }],
  [{ willNotHave: 'no yellow' }],
  [{ useHours: 'evening' }],
  [{ useHours: 'breakfast' }],
  [{ coolAndEven: true }],
  [{ coolAndEven: true }, { 'north-room': 'lean-in' }],
  [{ daylightFactorPercent: 0 }],
  [{ daylightFactorPercent: 0.8 }],
  [{ lamps: { cctK: 4000, illuminanceLux: 200 } }],
  [{ lamps: null }],
  [{ climate: 'grey' }],
  [{ contrast: 'high' }],
  [{ contrast: 'low' }],
]
const STAYS = [
  finish('floor', [55, 9, 24], { inView: 2 }),
  finish('stone', [66, 1, 2]),
  finish('trim', [93, 0, 4], { inView: 0.5 }),
]
const WALLS: readonly Lab[] = [
  [95, 0, 3],
  [88, 3, 8],
  [80, -4, 4],
  [72, 0, 0],
  [70, 6, 15],
  [60, -2, -12],
  [52, 12, 18],
  [38, 2, 4],
  [30, -8, -14],
  [20, 0, 0],
]

test('walls in rooms are worth what they were worth, and said so: a term or a weight that moved is noticed', () => {
  const said = ROOMS.map(([character, rules]) => {
    const judge = judgeInRoom({
      ...room(STAYS, character),
      rules: { ...DEFAULT_HOUSE_RULES, ...rules },
    })
    return WALLS.map((lab) => {
      const { worth, gives, against } = judge(reflectanceOfReading({ kind: 'lab', lab }), 'maker')
      return [worth.toFixed(3), ...gives, ...against].join('; ')
    })
  })
  expect(said).toEqual(worths)
})
