import type { RoomCharacter } from '../advice/room-character'
import type { Lab } from '../colour/lab'
import { DAYLIGHT } from '../undertone/daylight'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading } from '../paint/reading'
import { undertoneOf } from '../undertone/undertone'
import { prepareRoom, type RoomFinish } from './ranked-room'
import { finish, room } from './ranking-scenes.fixture'
import { asksOf, mostWorth, ownTerms, pairPoints, sharedLean, worthOf, type Worth } from './worth'

/** The worth of a wall with all its pairs as good as can be. */
function worth(
  lab: Lab,
  finishes: readonly RoomFinish[],
  character: Partial<RoomCharacter> = {},
): Worth {
  const prepared = prepareRoom(room(finishes, character))
  const wall = reflectanceOfReading({ kind: 'lab', lab })
  const place = { undertone: undertoneOf(DAYLIGHT, wall), lrvPercent: lrvPercent(wall) }
  const shared = sharedLean(undertoneOf(prepared.lights[0]!.light, wall), prepared)
  return worthOf(wall, place, 1, shared, prepared, asksOf(prepared))
}
const OAK = [finish('floor', [55, 9, 24])]
const PINK_STONE = [finish('stone', [66, 9, 14])]
const GREY_STONE = [finish('stone', [68, 0, 0.5])]

// Common practice.
test.each<[string, Worth, Worth]>([
  [
    'a shared undertone beats the absence of quarrel',
    worth([78, 5, 10], PINK_STONE),
    worth([78, 0, 0], PINK_STONE),
  ],
  ['a grey without any lean looks unpainted', worth([70, 2, 6], OAK), worth([70, 0, 0], OAK)],
  ['but a grey stone asks for grey', worth([70, 0, 0], GREY_STONE), worth([70, 7, 12], GREY_STONE)],
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
    'an evening room is deeper',
    worth([58, 4, 10], OAK, { useHours: 'evening' }),
    worth([92, 1, 8], OAK, { useHours: 'evening' }),
  ],
  [
    'what they will not have steps back',
    worth([74, 3, 9], OAK, { willNotHave: 'no grey' }),
    worth([74, 0, 1], OAK, { willNotHave: 'no grey' }),
  ],
  [
    'what goes dingy steps back',
    worth([72, 4, 12], OAK, { daylightFactorPercent: 0.8 }),
    worth([72, 2, 2], OAK, { daylightFactorPercent: 0.8 }),
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
  [
    'a grey climate wants the sun',
    worth([82, 3, 10], OAK, { climate: 'grey' }),
    worth([82, -3, -1], OAK, { climate: 'grey' }),
  ],
])('%s', (_, better, worse) => {
  expect(better.worth).toBeGreaterThan(worse.worth + 0.02)
})

test('each term is named in the line that explains a proposal', () => {
  const said = worth([72, 2, 2], OAK, {
    wants: ['cosier'],
    willNotHave: 'nothing grey',
    daylightFactorPercent: 0.8,
  }).against.join('; ')
  expect(said).toMatch(/they will not have grey/)
  expect(said).toMatch(/goes dingy on a dull day/)
  expect(worth([70, 6, 13], OAK, { wants: ['cosier'] }).gives.join('; ')).toMatch(
    /deep enough to be cosy.*shares the undertone of what stays.*warm|shares.*cosy.*warm/,
  )
})

test('a pair is worth more the surer it is, and being surer than sure adds little', () => {
  const points = [0, 0.25, 0.5, 0.75, 0.9, 1].map(pairPoints)
  expect([...points].sort((p, q) => p - q)).toEqual(points)
  expect(points[3]! - points[2]!).toBeGreaterThan(1.5 * (points[5]! - points[3]!))
})

test('no colour is ever worth more than the bound that a ranking is cut short by', () => {
  for (const lab of [
    [90, 0, 0],
    [60, 9, 18],
    [30, 2, 3],
    [75, -6, 4],
  ] as const)
    for (const stays of [OAK, PINK_STONE, GREY_STONE]) {
      const prepared = prepareRoom(room(stays, { wants: ['cosier', 'calmer'] }))
      const wall = reflectanceOfReading({ kind: 'lab', lab })
      const place = { undertone: undertoneOf(DAYLIGHT, wall), lrvPercent: lrvPercent(wall) }
      const own = ownTerms(place, prepared, asksOf(prepared)).reduce((sum, t) => sum + t.points, 0)
      expect(worth([...lab], stays, { wants: ['cosier', 'calmer'] }).worth).toBeLessThanOrEqual(
        mostWorth(own) + 1e-12,
      )
    }
})
