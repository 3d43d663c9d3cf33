import fc from 'fast-check'
import { cellSays, isSameLight, type CellMark } from './cell'
import type { Look } from './look'
import {
  BOARD,
  CHIP,
  FULL_CHIP,
  FULL_SWATCH,
  HALF_SWATCH,
  LAMPS,
  look,
  OLD,
  SCREEN,
} from './look.fixture'
import { VERDICTS, type Verdict } from './verdict'

const leanAlone: Look = { ...look('unsure'), verdict: null, lean: 'pink' }

test.each<[string, Look[], Verdict | null, number, CellMark[]]>([
  ['nothing seen', [], null, 0, []],
  ['one look', [look('works')], 'works', 1, []],
  ['a lean and no verdict', [leanAlone], null, 0, []],
  ['a lean after a verdict takes nothing from it', [look('works'), leanAlone], 'works', 1, []],
  [
    'the worst of two keepers names the room',
    [look('works'), look('no', { beside: 'floor' })],
    'no',
    1,
    ['looks differ'],
  ],
  [
    'a later look at the same thing in the same light replaces the earlier',
    [look('no'), look('works')],
    'works',
    1,
    [],
  ],
  [
    'within the hour is the same light',
    [look('no'), look('works', { minute: 770 })],
    'works',
    1,
    [],
  ],
  ['an hour on it still is', [look('no'), look('works', { minute: 780 })], 'works', 1, []],
  [
    'two hours on is another',
    [look('no'), look('works', { minute: 840 })],
    'no',
    2,
    ['looks differ'],
  ],
  // The finding that began this: a no under the lamps is not undone by a works without them.
  [
    'a no under the lamps stays when the same hour works without',
    [look('no', { lampsOn: true }), look('works')],
    'no',
    2,
    ['looks differ'],
  ],
  [
    'the lamps alone are one light on any day and at any hour',
    [look('no', LAMPS), look('works', { ...LAMPS, minute: 60, date: '2026-12-21' })],
    'works',
    1,
    [],
  ],
  [
    '21 December is another light than 21 June',
    [look('no', { date: '2026-12-21' }), look('works')],
    'no',
    2,
    ['looks differ'],
  ],
  [
    'under cloud is another light than in the sun',
    [look('no', { sky: 'overcast' }), look('works')],
    'no',
    2,
    ['looks differ'],
  ],
  [
    'at the sink is another place than by the window',
    [look('no', { place: 'at the sink' }), look('works', { place: 'by the window' })],
    'no',
    2,
    ['looks differ'],
  ],
  [
    'flat under the lamp is another spot',
    [look('no', { spot: 'flat-lamp' }), look('works')],
    'no',
    2,
    ['looks differ'],
  ],
  [
    'a part of a keeper is a thing of its own',
    [look('no', { part: 'vein' }), look('works')],
    'no',
    1,
    ['looks differ'],
  ],
  [
    'what was taken back counts nowhere',
    [look('works'), look('no', { beside: 'floor', retracted: true })],
    'works',
    1,
    [],
  ],
  [
    'the screen never closes a gap',
    [look('works', { seen: SCREEN })],
    null,
    0,
    ['on a screen only'],
  ],
  [
    'nor does it spoil what was seen',
    [look('works'), look('no', { seen: SCREEN })],
    'works',
    1,
    [],
  ],
  ['nor replace it', [look('no'), look('works', { seen: SCREEN })], 'no', 1, []],
  [
    'a chip counts, and is said to be one',
    [look('works', { seen: CHIP })],
    'works',
    1,
    ['on a chip only'],
  ],
  [
    'a board rules over a chip in the same light',
    [look('no', { seen: CHIP }), look('works')],
    'works',
    1,
    [],
  ],
  ['also when the chip came later', [look('works'), look('no', { seen: CHIP })], 'works', 1, []],
  [
    'but not over a chip in another',
    [look('no', { seen: CHIP, ...LAMPS }), look('works')],
    'no',
    2,
    ['looks differ'],
  ],
  [
    'a full-strength chip of a 75 % candidate is said so',
    [look('no', { seen: FULL_CHIP })],
    'no',
    1,
    ['on a chip only', 'at another strength'],
  ],
  [
    'a full-strength swatch too',
    [look('works', { seen: FULL_SWATCH })],
    'works',
    1,
    ['at another strength'],
  ],
  [
    'a sample of its own strength rules over all of another',
    [look('no', { seen: FULL_SWATCH, ...LAMPS }), look('works')],
    'works',
    1,
    [],
  ],
  [
    'of two samples of other strengths neither replaces the other',
    [look('no', { seen: FULL_SWATCH }), look('works', { seen: HALF_SWATCH })],
    'no',
    1,
    ['at another strength', 'looks differ'],
  ],
  [
    'an unsure that says no more is one',
    [look('unsure'), look('works', { beside: 'floor' })],
    'unsure',
    1,
    ['looks differ'],
  ],
  [
    'a look of old counts, and is said to be one',
    [look('works', { seen: OLD })],
    'works',
    1,
    ['how it was seen is not noted'],
  ],
  [
    'lighter for one and stronger for another is unsure',
    [look('works-lighter'), look('works-stronger', { beside: 'floor' })],
    'unsure',
    1,
    ['looks differ'],
  ],
  [
    'stronger and as it is: stronger',
    [look('works-stronger'), look('works', { beside: 'floor' })],
    'works-stronger',
    1,
    ['looks differ'],
  ],
  [
    'a reason that withholds takes nothing from a no',
    [look('no', { reasons: ['not-in-this-light'] })],
    'no',
    1,
    [],
  ],
  [
    'one look of old among others is said too',
    [look('works'), look('works', { beside: 'floor', seen: OLD })],
    'works',
    1,
    ['how it was seen is not noted'],
  ],
  [
    'unless a third says no',
    [
      look('works-lighter'),
      look('works-stronger', { beside: 'floor' }),
      look('no', { beside: 'rug' }),
    ],
    'no',
    1,
    ['looks differ'],
  ],
  [
    'lighter and as it is: lighter',
    [look('works-lighter'), look('works', { beside: 'floor' })],
    'works-lighter',
    1,
    ['looks differ'],
  ],
  [
    'a verdict that is withheld counts for nothing',
    [look('works'), look('unsure', { ...LAMPS, reasons: ['not-in-this-light'] })],
    'works',
    1,
    [],
  ],
  [
    'by itself it leaves the cell open',
    [look('unsure', { reasons: ['not-from-here'] })],
    null,
    0,
    [],
  ],
  [
    'with a reason of its own an unsure is one',
    [look('works'), look('unsure', { ...LAMPS, reasons: ['not-in-this-light', 'too-grey'] })],
    'unsure',
    2,
    ['looks differ'],
  ],
])('%s', (_, looks, verdict, lights, marks) => {
  const says = cellSays(looks)
  expect([says.verdict, says.lights, says.marks]).toEqual([verdict, lights, marks])
})

test('a cell names the latest look that decides it, and the reasons of all that do', () => {
  const says = cellSays([
    look('no', { reasons: ['too-green'] }),
    look('no', { ...LAMPS, reasons: ['too-green', 'muddied'] }),
    look('works', { beside: 'floor', reasons: ['sets-it-off'] }),
  ])
  expect(says.reasons).toEqual(['too-green', 'muddied'])
  expect(says.look?.light.source).toBe('lamps')
  const torn = cellSays([
    look('works-lighter', { reasons: ['too-strong'] }),
    look('works-stronger', { beside: 'floor', reasons: ['too-pale'] }),
    look('unsure', { beside: 'rug', reasons: ['muddied'] }),
  ])
  expect(torn.reasons).toEqual(['too-strong', 'too-pale', 'muddied'])
  expect(cellSays([])).toMatchObject({ reasons: [], look: null })
  // Of a cell that was seen on a screen only, what was said there, though it is no verdict.
  expect(cellSays([look('no', { seen: SCREEN, reasons: ['too-pink'] })])).toMatchObject({
    verdict: null,
    reasons: ['too-pink'],
    look: { verdict: 'no' },
  })
})

test('what the client said stands apart, and is gone with its look', () => {
  expect(
    cellSays([look('works', { client: 'no' }), look('works', { beside: 'floor', client: 'yes' })]),
  ).toMatchObject({ verdict: 'works', clientSaysNo: true })
  expect(cellSays([look('works', { client: 'yes' })]).clientSaysNo).toBe(false)
  expect(cellSays([look('works', { client: 'no', retracted: true })]).clientSaysNo).toBe(false)
})

test('a thing is the same in whatever order a store gives its fields', () => {
  const turned = { part: null, keeperId: 'stone', kind: 'keeper' } as const
  expect(cellSays([look('no'), { ...look('works'), against: turned }]).verdict).toBe('works')
})

test('a light is the same as itself, whichever is asked first', () => {
  const lights = [{}, LAMPS, { lampsOn: true }, { sky: 'partly' as const }, { minute: 781 }]
  const looks = lights.map((light) => look('works', light))
  for (const a of looks)
    for (const b of looks) {
      expect(isSameLight(a, b)).toBe(a === b)
      expect(isSameLight(b, a)).toBe(isSameLight(a, b))
    }
})

// Three looks at one thing, each within an hour of the next and the first not of the last.
test('a further no, between a no and a works, leaves the no', () => {
  const [ten, tenToEleven, twentyToTwelve] = [{ minute: 600 }, { minute: 650 }, { minute: 700 }]
  expect(cellSays([look('no', ten), look('works', twentyToTwelve)]).verdict).toBe('no')
  const further = [look('no', ten), look('no', tenToEleven), look('works', twentyToTwelve)]
  expect(cellSays(further).verdict).toBe('no')
})

test('nor does a board that itself gave way to a later one take a chip’s word', () => {
  const chip = look('no', { seen: CHIP, minute: 600 })
  const later = look('works', { minute: 700 })
  expect(cellSays([chip, later]).verdict).toBe('no')
  expect(cellSays([chip, look('no', { minute: 650 }), later]).verdict).toBe('no')
})

test('how many lights were seen does not hang on the order of the looks', () => {
  const minutes = [600, 650, 700, 755]
  const looks = minutes.map((minute) => look('works', { minute }))
  // 10:00 with 10:50, 11:40 with 12:35: two hours hold all four, whoever came first.
  for (const [a, b, c, d] of [
    [0, 1, 2, 3],
    [3, 2, 1, 0],
    [1, 0, 3, 2],
    [2, 0, 3, 1],
  ] as const)
    expect(cellSays([looks[a]!, looks[b]!, looks[c]!, looks[d]!]).lights).toBe(2)
})

const anyLook = fc
  .record({
    verdict: fc.constantFrom(...VERDICTS),
    minute: fc.constantFrom(600, 650, 700, 750),
    beside: fc.constantFrom('stone', 'stone', 'floor'),
    seen: fc.constantFrom(
      BOARD,
      BOARD,
      BOARD,
      CHIP,
      FULL_CHIP,
      FULL_SWATCH,
      HALF_SWATCH,
      SCREEN,
      OLD,
    ),
    lamps: fc.constantFrom({}, {}, {}, LAMPS),
    reasons: fc.constantFrom([], [], ['not-in-this-light' as const], ['too-grey' as const]),
    retracted: fc.nat(5).map((n) => n === 0),
  })
  .map(({ verdict, lamps, ...given }) => look(verdict, { ...given, ...lamps }))
const someLooks = fc.array(anyLook, { maxLength: 9 })
const inserted = (looks: readonly Look[], at: number, further: Look): Look[] =>
  looks.toSpliced(at % (looks.length + 1), 0, further)

/** What is asked of a record when a look comes in anywhere in time, from a device that was away. */
const whenOneComesIn = (
  holds: (before: readonly Look[], after: readonly Look[], further: Look) => void,
) =>
  fc.assert(
    fc.property(someLooks, fc.nat(), anyLook, (looks, at, further) =>
      holds(looks, inserted(looks, at, further), further),
    ),
    { numRuns: 2000, seed: 29 },
  )

test('a further no never makes a cell better, whenever it comes in', () => {
  whenOneComesIn((before, after, further) => {
    const no: Look = { ...further, verdict: 'no', reasons: [] }
    const says = cellSays(after.map((each) => (each === further ? no : each)))
    // Either it counts, or all stands as it stood.
    if (says.verdict !== 'no') expect(says.counted).toEqual(cellSays(before).counted)
  })
})

test('a look that is taken back leaves what stood before it', () => {
  whenOneComesIn((before, after, further) => {
    const takenBack = after.map((each) => (each === further ? { ...each, retracted: true } : each))
    expect(cellSays(takenBack)).toEqual(cellSays(before))
  })
})
