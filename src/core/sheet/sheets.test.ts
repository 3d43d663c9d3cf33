import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { leaning } from '../undertone/undertone'
import { usualWays } from '../quantity/products'
import { ordered, quantityOf, type Coats } from '../quantity/quantity'
import { clientSheet } from './client-sheet'
import { counterSlip, mixLines } from './counter-slip'
import { fetchSheet } from './fetch-sheet'
import type { HandedPaint, HandedRoom, HandOff, RuledSurface } from './hand-off'
import { painterSchedule } from './painter-schedule'
import { roomRecords } from './room-record'
import type { SheetBlock, SheetDocument } from './sheet-document'

const PAINT: HandedPaint = {
  id: 'p',
  maker: 'Tarrowby',
  deck: 'Fan',
  code: 'K021-3',
  name: 'Larkstone',
  strengthPercent: 75,
  base: 'white',
  mayBeRefused: true,
  lrvPercent: 61.4,
}
const COATS: Coats = {
  coats: 3,
  undercoat: 'grey undercoat',
  undercoatLrvPercent: 18,
  hidesIn: 4,
  said: 'Over an undercoat tinted grey.',
}
const WAYS = usualWays('litres')
const RULED: RuledSurface = {
  surface: 'walls',
  paint: PAINT,
  sheen: 'matt',
  swatch: { code: 'K021-3', bands: [{ light: 'at midday', hex: '#ccbbaa' }] },
  sights: [
    { when: 'in the morning', isMidday: false, undertone: leaning(83, 2, 8) },
    { when: 'at midday', isMidday: true, undertone: leaning(83, 3, 9) },
    { when: 'of an evening, under lamps', isMidday: false, undertone: leaning(82, 9, 18) },
  ],
  seenWell: [{ seen: 'on a board', beside: 'Stone', light: 'by day' }],
  compromise: '',
  gaps: ['never under lamps'],
  ruledBy: 'Ines Tarrow',
  ruledOn: '21 June 2026',
  coats: COATS,
  quantity: quantityOf('walls', 40, 3, 'plain', WAYS),
  undercoat: quantityOf('undercoat', 40, 1, 'plain', WAYS),
}
const ROOM: HandedRoom = {
  id: 'kitchen',
  name: 'Kitchen',
  heightMm: 2500,
  ruled: [RULED],
  open: ['trim'],
  keepers: [
    { name: 'Stone counter', state: 'staying' },
    { name: 'Old tile', state: 'leaving' },
  ],
  ruledOut: [{ called: 'Fennel (H1) at 100 %', why: 'too green' }],
  hasOldWalls: true,
}
const HOUSE: HandOff = {
  head: {
    household: 'The Ashbys',
    placeName: 'Somewhere',
    date: '21 June 2026',
    consultant: 'Ines Tarrow',
  },
  rules: DEFAULT_HOUSE_RULES,
  oldPaint: 'no',
  leadBannedYear: null,
  rooms: [ROOM],
  orders: ordered([{ key: 'p', quantity: RULED.quantity! }], WAYS).map((order) => ({
    ...order,
    paint: PAINT,
    sheen: 'matt' as const,
  })),
  undercoats: ordered([{ key: 'u', quantity: RULED.undercoat! }], WAYS).map((order) => ({
    ...order,
    what: 'grey undercoat, LRV 18 %',
  })),
  lengths: 'metric',
  volumes: 'litres',
  words: 'american',
  currency: '',
}

const textOf = (block: SheetBlock): string =>
  block.kind === 'table'
    ? block.rows.flat().join('\n')
    : block.kind === 'entry'
      ? [block.title, block.figures, ...block.lines].join('\n')
      : block.kind === 'list'
        ? block.items.join('\n')
        : block.kind === 'signature'
          ? block.lines.join('\n')
          : block.kind === 'pictures'
            ? [...block.pictures.map(({ caption }) => caption), block.foot].join('\n')
            : block.text
const whole = ({ blocks }: SheetDocument): string => blocks.map(textOf).join('\n')
const SHEETS = (house: HandOff): readonly SheetDocument[] => [
  clientSheet(house),
  painterSchedule(house),
  counterSlip(house, new Map([['p', '#ccbbaa']])),
  fetchSheet(house.head, [{ paint: PAINT, swatch: RULED.swatch, wanted: ['Kitchen, walls'] }], []),
  roomRecords(house, [
    {
      ...{ name: 'Kitchen', light: [], keepers: [], ruled: [] },
      candidates: [{ paint: PAINT, swatch: RULED.swatch, stands: 'works', looks: [] }],
    },
  ]),
]

test('no swatch is without its code, and no figure of a painter’s table without its unit', () => {
  for (const sheet of SHEETS(HOUSE))
    for (const block of sheet.blocks)
      if (block.kind === 'entry') {
        expect(block.swatch.code).toBe('K021-3')
        expect(`${block.title} ${block.figures}`).toContain('K021-3')
      }
  const cells = painterSchedule(HOUSE).blocks.flatMap((block) =>
    block.kind === 'table' ? block.rows.flat() : [],
  )
  expect(cells.filter((cell) => /^[\d.,]+$/.test(cell.trim()))).toEqual([])
})

test('the painter has strength, base, undercoat, coats, area and litres, and what not to touch', () => {
  const said = whole(painterSchedule(HOUSE))
  for (const each of [
    '75 % of formula, white base',
    '1 × grey undercoat (LRV 18 %), then 3 coats',
    '40.0 m²',
    // 40 m² × 3 coats / 10 m² a litre, and a tenth.
    '13.2 l',
    'matt, wall paint',
    'Not to be touched, cover it: Stone counter.',
    'Not ruled on, leave it: trim.',
  ])
    expect(said).toContain(each)
  expect(said).not.toContain('Old tile')
})

test('rooms are painted from the top down', () => {
  const surfaces = (['door inside', 'trim', 'walls', 'ceiling'] as const).map((surface) => ({
    ...RULED,
    surface,
  }))
  const [table] = painterSchedule({
    ...HOUSE,
    rooms: [{ ...ROOM, ruled: surfaces }],
  }).blocks.filter((block) => block.kind === 'table')
  expect(table!.rows.map(([surface]) => surface)).toEqual([
    'Ceiling',
    'Walls',
    'Trim',
    'Door inside',
  ])
})

test('parts of a room are said in the words of the store, what was typed as it was typed', () => {
  const ruled = (['trim', 'cabinets'] as const).map((surface) => ({ ...RULED, surface }))
  const keepers = [{ ...ROOM.keepers[0]!, name: 'Ash trim', state: 'staying' as const }]
  const house: HandOff = { ...HOUSE, words: 'british', rooms: [{ ...ROOM, ruled, keepers }] }
  const painter = JSON.stringify(painterSchedule(house).blocks)
  expect(painter).toContain('"Woodwork"')
  expect(painter).toContain('woodwork paint')
  expect(painter).toContain('"Cupboards"')
  expect(painter).toContain('Not to be touched, cover it: Ash trim.')
  expect(JSON.stringify(clientSheet(house).blocks)).toContain('Cupboards: ')
})

test('a strength is said both ways at the counter, in the same base', () => {
  expect(mixLines(75, 'white', false)).toEqual([
    'Mix at 75 % of the formula, in the same white base: 25 % less tint.',
  ])
  expect(mixLines(125, 'mid', true)[0]).toContain('25 % more tint')
  expect(mixLines(125, 'mid', true)[1]).toContain('may refuse')
  expect(mixLines(100, 'deep', false)).toEqual(['Full formula, deep base.'])
})

test('cautions stand where they apply, once each on the sheet that needs them', () => {
  const cautions = (house: HandOff) =>
    SHEETS(house).map((sheet) =>
      sheet.blocks.flatMap((block) => (block.kind === 'caution' ? [block.text] : [])),
    )
  const old = {
    ...HOUSE,
    oldPaint: 'yes' as const,
    leadBannedYear: 1978,
    rooms: [{ ...ROOM, heightMm: 3400 }],
  }
  const [client, painter, counter, fetch] = cautions(old)
  expect(painter!.filter((text) => text.includes('lead'))).toHaveLength(1)
  expect(painter!.join()).toContain('1978')
  expect(painter!.join()).toContain('Tall walls (Kitchen)')
  expect(client!.join()).not.toContain('Tall walls')
  expect([counter, fetch]).toEqual([[], []])
  for (const list of cautions(old)) expect(new Set(list).size).toBe(list.length)
  // All paint newer, no tall wall: neither is spoken of.
  expect(cautions(HOUSE).flat().join()).not.toMatch(/lead|Tall walls/)
  for (const sheet of SHEETS(HOUSE))
    expect(sheet.foot).toContain('advises on colour, not on safety')
})

test('a sheet without a ruling says so, and where to sign stands last on every one', () => {
  const none = { ...HOUSE, rooms: [{ ...ROOM, ruled: [] }], orders: [], undercoats: [] }
  expect(whole(painterSchedule(none))).toContain('Nothing is ruled on yet')
  expect(whole(counterSlip(none, new Map()))).toContain('Nothing is ruled on yet')
  expect(whole(clientSheet(none))).toContain('Still open: trim.')
  for (const { blocks } of SHEETS(HOUSE)) expect(blocks.at(-1)!.kind).toBe('signature')
})

test('prices are summed where every one is given, and the column is not there where none is', () => {
  expect(whole(painterSchedule(HOUSE))).not.toContain('not given')
  const priced = {
    ...HOUSE,
    currency: '€',
    orders: HOUSE.orders.map((order) => ({ ...order, price: 120.5 })),
    undercoats: HOUSE.undercoats.map((order) => ({ ...order, price: 30 })),
  }
  expect(whole(painterSchedule(priced))).toContain('Together 150.50 €.')
})

test('a room whose walls are chosen is shown as it will look, and said to be computed', () => {
  const picture = { caption: 'Kitchen in the morning, 09:00', src: '/morning' }
  const text = whole(clientSheet(HOUSE, ({ id }) => (id === ROOM.id ? [picture] : [])))
  expect(text).toContain(picture.caption)
  expect(text).toMatch(/Computed from the room’s sizes.*not a photograph/)
  expect(whole(clientSheet(HOUSE))).not.toContain('Computed')
})
