import { plainRoomDay } from '../light/plain-room-day.fixture'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { ORDINARY_ROOM } from '../advice/ordinary-room.fixture'
import type { Lab } from '../colour/lab'
import { isGood } from '../pairing/chance'
import type { KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import { reflectanceOfReading } from '../paint/reading'
import { DAYLIGHT } from '../undertone/daylight'
import { askedRoomOn, finishesOf, rankedRoomOf, type AskedRoom } from './asked-room'
import { pairingTable } from './pairing-table'
import { proposalLines } from './proposal-line'
import { judgeInRoom, rankForRoom } from './rank-for-room'
import { reflectanceOfRow } from './deck-rows'
import { evenDeck } from './ranking-scenes.fixture'
import { variedFirst } from './variety'

const lab = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
const rules = DEFAULT_HOUSE_RULES

const WEST = plainRoomDay('2026-09-17', 270)

const keeper = (
  name: string,
  kind: KeeperKind,
  parts: Readonly<Record<string, [number, Lab]>>,
) => ({
  id: name,
  name,
  kind,
  dearness: null,
  viewShare: 'some' as const,
  varies: false,
  role: roleOf(kind, rules),
  colours: Object.entries(parts).map(([part, [sharePercent, own]]) => ({
    part,
    sharePercent,
    reflectance: lab(own),
    source: 'reader' as const,
  })),
})

/** Invented rooms: each with what stays there, and its wish. */
const ROOMS: readonly AskedRoom[] = [
  [
    'brighter' as const,
    keeper('Granite', 'counter', { ground: [80, [66, 9, 14]], fleck: [20, [40, 4, 5]] }),
    keeper('Trim', 'trim', { all: [100, [92, 0, 8]] }),
  ],
  ['cosier' as const, keeper('Oak', 'floor', { boards: [100, [55, 9, 24]] })],
  [
    'calmer' as const,
    keeper('Slate', 'tile', { face: [100, [48, 0, -5]] }),
    keeper('Sofa', 'upholstery', { weave: [100, [62, 4, 10]] }),
  ],
].map(([want, ...keepers]) =>
  askedRoomOn(
    {
      rules,
      eye: [],
      finishes: finishesOf(keepers as never, null),
      wishes: { ...ORDINARY_ROOM, wants: [want as 'brighter'] },
    },
    WEST,
  ),
)

const deck = evenDeck()

function linesIn(asked: AskedRoom) {
  const ranked = rankedRoomOf(asked, WEST)
  const ten = variedFirst(rankForRoom(deck, ranked, 400), deck, DAYLIGHT, 10)
  const colours = ten.map((each) => {
    const reflectance = reflectanceOfRow(deck.rows, each.row)
    return { ...each, reflectance, table: pairingTable(asked, WEST, reflectance, 'maker') }
  })
  const lines = proposalLines(
    colours,
    asked,
    ranked.lights.map(({ name }) => name),
  )
  return colours.map((colour, i) => ({ colour, line: lines[i]! }))
}

const LINES = ROOMS.map((asked) => ({ asked, lines: linesIn(asked) }))

test('every line is its own, over all rooms', () => {
  const said = LINES.flatMap(({ lines }) => lines.map(({ line }) => `${line.called}, ${line.gift}`))
  expect(said).toHaveLength(30)
  expect(new Set(said).size).toBe(30)
  // Not one phrase for all: what a room's ten are said to give differs.
  for (const { lines } of LINES) {
    const gifts = lines.map(({ line }) => line.gift)
    expect(new Set(gifts).size).toBeGreaterThanOrEqual(3)
  }
})

test('no line contradicts its table: what it is weakest beside is the table’s weakest cell', () => {
  for (const { asked, lines } of LINES) {
    const judge = judgeInRoom(rankedRoomOf(asked, WEST))
    for (const { colour, line } of lines) {
      const cells = colour.table.flatMap(({ name, cells }) =>
        cells.map((cell) => ({ name, ...cell })),
      )
      const { chance, finish } = judge(colour.reflectance, 'maker')
      const named = asked.finishes[finish]!
      expect(line.weakest).toContain(named.name)
      const own = cells.filter(
        ({ name, light }) => name === named.name && line.weakest.includes(light),
      )
      expect(own).toHaveLength(1)
      expect(own[0]!.judged.chance).toBeCloseTo(chance, 6)
      // Whatever it is said to be set off by, to stretch or to bridge, it is so in every light of the table.
      const [, keeperName] =
        /^(?:a quiet relative of|set off by|bridges to|shares the undertone of) (.+)$/.exec(
          line.gift ?? '',
        ) ?? []
      if (keeperName)
        for (const cell of cells.filter(({ name }) => name === keeperName))
          expect(isGood(cell.judged.chance) || cell.judged.chance > 0.4).toBe(true)
    }
  }
})

test('the table has a row a keeper and a cell a light, and its words agree with its chances', () => {
  const [asked] = ROOMS as [AskedRoom]
  const table = pairingTable(asked, WEST, lab([80, 4, 9]), 'maker')
  expect(table.map(({ name }) => name)).toEqual(['Granite', 'Trim'])
  for (const { cells } of table) {
    expect(cells.map(({ light }) => light)).toEqual(asked.lights.map(({ name }) => name))
    for (const { judged, sentence, judgement } of cells) {
      expect(sentence).toMatch(/\.$/)
      if (judgement === 'works') expect(judged.chance).toBeGreaterThanOrEqual(0.85)
      if (judgement === 'no') expect(judged.chance).toBeLessThanOrEqual(0.15)
    }
  }
  expect(pairingTable({ ...asked, lights: [] }, WEST, lab([80, 4, 9]), 'maker')).toEqual([])
})
