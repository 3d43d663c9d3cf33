import { DEFAULT_HOUSE_RULES, type HouseRules } from '../advice/house-rules'
import type { RoomCharacter } from '../advice/room-character'
import type { Lab } from '../colour/lab'
import { DAYLIGHT } from '../undertone/daylight'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { undertoneOf } from '../undertone/undertone'
import { MOST_PAIR_POINTS, prepareRoom, type RoomFinish } from './ranked-room'
import { finish, room } from './ranking-scenes.fixture'
import { asksOf, pairPoints, worthOf, type Worth } from './worth'

/** The worth of a wall with all its pairs as they are, or as good as can be. */
function worth(
  lab: Lab,
  finishes: readonly RoomFinish[],
  character: Partial<RoomCharacter> = {},
  rules: Partial<HouseRules> = {},
): Worth {
  const prepared = prepareRoom({
    ...room(finishes, character),
    rules: { ...DEFAULT_HOUSE_RULES, ...rules },
  })
  const wall = reflectanceOfReading({ kind: 'lab', lab })
  const place = { undertone: undertoneOf(DAYLIGHT, wall), lrvPercent: lrvPercent(wall) }
  return worthOf(wall, place, [10], prepared, asksOf(prepared))
}
const OAK = [finish('floor', [55, 9, 24])]
const GREY_STONE = [finish('stone', [68, 0, 0.5])]

// Common practice.
test.each<[string, Worth, Worth]>([
  ['a grey without any lean looks unpainted', worth([70, 2, 6], OAK), worth([70, 0, 0], OAK)],
  ['but a grey stone asks for grey', worth([70, 0, 0], GREY_STONE), worth([70, 0, 0], OAK)],
  ['near black leads nowhere by itself', worth([70, 4, 9], OAK), worth([22, 0, 0], OAK)],
  [
    'brighter wants light',
    worth([80, 3, 8], OAK, { wants: ['brighter'] }),
    worth([55, 3, 8], OAK, { wants: ['brighter'] }),
  ],
  [
    'cosier wants depth and warmth',
    worth([64, 5, 12], OAK, { wants: ['cosier'] }),
    worth([92, 1, 3], OAK, { wants: ['cosier'] }),
  ],
  [
    'drama wants the dark',
    worth([32, 4, 6], OAK, { wants: ['more drama'] }),
    worth([80, 4, 9], OAK, { wants: ['more drama'] }),
  ],
  [
    'calmer wants quiet',
    worth([74, 2, 7], OAK, { wants: ['calmer'] }),
    worth([74, 14, 24], OAK, { wants: ['calmer'] }),
  ],
  [
    'fresher is lighter',
    worth([90, 0, 4], OAK, { wants: ['fresher'] }),
    worth([62, 2, 8], OAK, { wants: ['fresher'] }),
  ],
  [
    'warm with no yellow in it leans to the pink',
    worth([80, 6, 6], OAK, { wants: ['warm, no yellow'] }),
    worth([80, -2, 12], OAK, { wants: ['warm, no yellow'] }),
  ],
  [
    'a cool, even room is warmed, by one school',
    worth([80, 4, 10], OAK, { coolAndEven: true }),
    worth([80, -4, -4], OAK, { coolAndEven: true }),
  ],
  [
    'and kept cool, by another',
    worth([80, -4, -4], OAK, { coolAndEven: true }, { 'north-room': 'lean-in' }),
    worth([80, 4, 10], OAK, { coolAndEven: true }, { 'north-room': 'lean-in' }),
  ],
  [
    'what they will not have steps back',
    worth([74, 3, 9], OAK, { willNotHave: 'no grey' }),
    worth([74, 0, 1], OAK, { willNotHave: 'no grey' }),
  ],
  [
    'crisp stands well apart from a dark floor',
    worth([88, 2, 8], OAK, { contrast: 'high' }),
    worth([66, 5, 15], OAK, { contrast: 'high' }),
  ],
  [
    'soft runs one thing into the next',
    worth([64, 6, 17], OAK, { contrast: 'low' }),
    worth([64, 6, 17], OAK, { contrast: 'high' }),
  ],
])('%s', (_, better, worse) => {
  expect(better.worth).toBeGreaterThan(worse.worth + 0.02)
})

// What was not rated is a rule: it moves a colour beside where it would be, and no farther than its points.
test.each<[string, Lab, Partial<RoomCharacter>]>([
  ['what goes dingy steps back', [72, 2, 2], { daylightFactorPercent: 0.8 }],
  ['a cool grey is no sun in a grey climate', [82, -3, -1], { climate: 'grey' }],
])('%s', (_, lab, character) => {
  const warm: Lab = [82, 3, 12]
  const gap = (change: Partial<RoomCharacter>): number =>
    worth(warm, OAK, change).worth - worth(lab, OAK, change).worth
  expect(gap(character)).toBeGreaterThan(gap({}) + 0.01)
})

test('each term is named in the line that explains a proposal', () => {
  const said = worth([72, 2, 2], OAK, {
    wants: ['cosier'],
    willNotHave: 'nothing grey',
    daylightFactorPercent: 0.8,
  }).against.join('; ')
  expect(said).toMatch(/they will not have grey/)
  expect(said).toMatch(/goes dingy on a dull day/)
  expect(worth([55, 8, 16], OAK, { wants: ['cosier'] }).gives).toContain(
    'warm and deep enough to be cosy',
  )
  expect(worth([92, 0, 2], OAK, { wants: ['cosier'] }).against).toContain(
    'too pale or too cool to be cosy',
  )
  expect(worth([92, 0, 2], OAK, { wants: ['brighter'] }).gives).toContain('light, as wished')
})

test('pairs are worth more the better they are, each by how much of it one sees, and never more than the bound', () => {
  const prepared = prepareRoom(
    room([
      finish('floor', [55, 9, 24], { inView: 3 }),
      finish('metal', [60, 5, 30], { inView: 1 }),
    ]),
  )
  const points = (floor: number, metal: number): number => pairPoints([floor, metal], prepared)
  expect(points(8, 5) - points(5, 5)).toBeGreaterThan(2 * (points(5, 8) - points(5, 5)))
  expect(points(2, 2)).toBeLessThan(points(4, 4))
  expect(points(10, 10)).toBeLessThanOrEqual(MOST_PAIR_POINTS)
})

test('black ends at about 8: an LRV of 11 is a dark colour, and a wish or an evening asks for the dark', () => {
  const against = (lab: Lab, character: Partial<RoomCharacter> = {}): string =>
    worth(lab, OAK, character).against.join('; ')
  expect(against([25, 0, -2])).toMatch(/near black/)
  expect(against([40, 0, -2])).not.toMatch(/near black/)
  expect(against([25, 0, -2], { useHours: 'evening' })).not.toMatch(/near black/)
  expect(against([25, 0, -2], { wants: ['more drama'] })).not.toMatch(/near black/)
})
