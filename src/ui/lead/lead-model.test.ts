import { prepareLight } from '@/core/colour/appearance'
import { daylightSpectrum } from '@/core/colour/daylight'
import type { Lab } from '@/core/colour/lab'
import { DEFAULT_HOUSE_RULES } from '@/core/advice/house-rules'
import type { KeeperKind } from '@/core/pairing/keeper-kind'
import { roleOf } from '@/core/pairing/role'
import { reflectanceOfReading } from '@/core/paint/reading'
import { ListedDecks } from '../deck/listed-decks'
import {
  accentsOf,
  judgedSurfaces,
  ledBy,
  schemesOf,
  seenDecks,
  suggestedLead,
  swapWords,
  trimOf,
  type LeadKeeper,
} from './lead-model'

const noon = prepareLight(daylightSpectrum(5500), 500)
const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })

const keeper = (
  name: string,
  state: string,
  colours: readonly (readonly [string, number, Lab])[],
  inspires = false,
  kind: KeeperKind = 'upholstery',
): LeadKeeper => ({
  id: name,
  name,
  state,
  inspires,
  patchHash: null,
  isMottled: false,
  settles: true,
  role: roleOf(kind, DEFAULT_HOUSE_RULES),
  varies: false,
  colours: colours.map(([part, sharePercent, lab]) => ({
    part,
    sharePercent,
    reflectance: surface(lab),
    source: 'reader',
  })),
})

const RUG = keeper(
  'Rug',
  'staying',
  [
    ['field', 60, [50, 20, 13]],
    ['border', 25, [80, 2, 9]],
    ['line', 15, [33, -2, -16]],
  ],
  true,
)
const FLOOR = keeper('Floor', 'staying', [['boards', 100, [55, 9, 24]]])
const RAIL = keeper('Rail', 'paintable', [['paint', 100, [91, -2, -6]]])

/** Strips of five, lightest first: pinks, blues, whites. */
const STRIPS: Readonly<Record<string, readonly Lab[]>> = {
  pink: [
    [90, 4, 3],
    [80, 8, 6],
    [70, 11, 8],
    [60, 14, 10],
    [48, 16, 11],
  ],
  blue: [
    [88, -1, -3],
    [72, -2, -8],
    [56, -2, -11],
    [40, -2, -13],
    [24, -1, -12],
  ],
  white: [
    [96, 0, 1],
    [94, 0, 5],
    [92, 1, 4],
    [90, 1, 6],
    [86, 2, 8],
  ],
}
const codes = Object.entries(STRIPS).flatMap(([strip, labs]) =>
  labs.map((_, i) => ({ strip, code: `${strip}-${i + 1}` })),
)
const decks = new ListedDecks([
  {
    id: 'deck',
    maker: 'Maker',
    name: 'Deck',
    whiteBase: [96, 0, 1],
    colours: codes.map(({ strip, code }) => ({
      id: code,
      code,
      name: code,
      strip,
      base: 'deep',
      source: 'maker',
      printedLrvPercent: null,
      sheens: null,
      mayBeRefused: false,
    })),
    full: Float32Array.from(
      Object.values(STRIPS)
        .flat()
        .flatMap((lab) => [...surface(lab)]),
    ),
  },
])
const deck = seenDecks(noon, decks, decks.atStrengths(50))
const rules = DEFAULT_HOUSE_RULES
const codeOf = ({ place }: { readonly place: number }) => decks.colours[place]!.code

test('a piece that inspires is proposed before the dearest finish', () => {
  expect(suggestedLead([FLOOR, RUG])).toBe(RUG)
  expect(suggestedLead([FLOOR, RAIL])).toBe(FLOOR)
  expect(suggestedLead([])).toBeUndefined()
})

test('what is paintable rules no wall out, what arrives is judged scheme by scheme', () => {
  const chair = keeper('Chair', 'arriving', [['cloth', 100, [46, -8, 5]]])
  const led = ledBy(RUG, [FLOOR, RUG, RAIL, chair])
  expect(led.staying.map(({ name }) => name)).toEqual(['Floor'])
  expect(led.arriving.map(({ name }) => name)).toEqual(['Chair'])
})

test('the house rule says which scheme stands first', () => {
  const led = ledBy(RUG, [RUG])
  const kinds = (inspiration: 'both' | 'lesser') =>
    schemesOf(noon, led, deck, { ...rules, inspiration }).map(({ kind }) => kind)
  expect(kinds('both')).toEqual(['dominant', 'lesser'])
  expect(kinds('lesser')).toEqual(['lesser', 'dominant'])
})

test('walls come from the strips that lean as the piece does', () => {
  const [calm, contrast] = schemesOf(noon, ledBy(RUG, [RUG]), deck, rules)
  expect(codeOf(calm!.walls[0]!.paint)).toMatch(/^pink-[123]$/)
  expect(codeOf(contrast!.walls[0]!.paint)).toMatch(/^blue-[45]$/)
})

test('two halves stand two steps apart on one strip, the deeper below; a deep wall has its relative above', () => {
  const led = ledBy(RUG, [RUG])
  const [calm, contrast] = schemesOf(noon, led, deck, rules)
  for (const scheme of [calm!, contrast!]) {
    const wall = scheme.walls[0]!.paint
    const halves = judgedSurfaces(noon, 'two halves', wall, scheme.source, led, deck)
    const steps = halves.map(({ paint }) => Number(codeOf(paint).split('-')[1]))
    expect(halves.map(({ surface: on }) => on)).toEqual(['upper half', 'lower half'])
    expect(steps[1]! - steps[0]!).toBe(2)
    for (const { beside } of halves) expect(beside.sentence).toMatch(/\.$/)
  }
})

test('trim is another colour, and what no wall takes returns in small things', () => {
  const led = ledBy(RUG, [RUG])
  const [calm] = schemesOf(noon, led, deck, rules)
  const wall = calm!.walls[0]!.paint
  expect(trimOf(wall, deck, rules)!.place).not.toBe(wall.place)
  const accents = accentsOf(noon, calm!, deck)
  expect(accents.map(({ part }) => part.part)).toEqual(['line', 'border'])
  expect(codeOf(accents[0]!.paint)).toMatch(/^blue-/)
})

test('what arrives is said to fit or to be another for this scheme; where nothing arrives, what to bring', () => {
  const [calm] = schemesOf(noon, ledBy(RUG, [RUG]), deck, rules)
  const wall = calm!.walls[0]!.paint
  const says = (...arriving: LeadKeeper[]) =>
    swapWords(noon, wall, ledBy(RUG, [RUG, ...arriving]), calm!)
  // Common practice: pink beige and a fixture of yellow-green quarrel, a softer pink does not.
  const green = keeper('Green carpet', 'arriving', [['pile', 100, [66, -9, 16]]], false, 'carpet')
  const rose = keeper('Rose chair', 'arriving', [['cloth', 100, [60, 14, 9]]])
  expect(says(green)[0]).toMatch(/^Green carpet, arriving: likely not.*another for this scheme/)
  expect(says(rose)[0]).toMatch(/^Rose chair, arriving: (likely )?works/)
  expect(says()).toEqual(['To bring in: a blind, a rug or chairs that take up its line.'])
})
