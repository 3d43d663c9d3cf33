import { plainRoomDay } from '../light/plain-room-day.fixture'
import { ORDINARY_ROOM } from '../advice/ordinary-room.fixture'
import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import type { RoomDay } from '../light/light-choice'
import { reflectanceOfReading } from '../paint/reading'
import { sheenOf } from '../paint/treatment'
import { roleOf } from '../pairing/role'
import {
  askedRoomOn,
  finishesOf,
  neighbourFinish,
  rankedRoomOf,
  type RoomBrief,
} from './asked-room'
import { chanceInRoom } from './rank-for-room'

const lab = (l: number, a: number, b: number) =>
  reflectanceOfReading({ kind: 'lab', lab: [l, a, b] })
const rules = DEFAULT_HOUSE_RULES

const roomDay = (date: string): RoomDay => plainRoomDay(date, 270)

const stone = (varies: boolean) =>
  finishesOf(
    [
      {
        id: 'stone',
        name: 'Stone',
        kind: 'stone',
        dearness: null,
        viewShare: 'some',
        varies,
        role: roleOf('stone', rules),
        colours: [
          { part: 'ground', sharePercent: 100, reflectance: lab(66, 9, 14), source: 'reader' },
        ],
      },
    ],
    null,
  )

const brief = (change: Partial<RoomBrief> = {}): RoomBrief => ({
  rules,
  eye: [],
  finishes: stone(false),
  wishes: ORDINARY_ROOM,
  ...change,
})

/** The chance of a colour in the room on a day, in its worst pair. */
const chance = (asked: RoomBrief, date: string, wall: ReturnType<typeof lab>): number =>
  chanceInRoom(rankedRoomOf(askedRoomOn(asked, roomDay(date)), roomDay(date)))(wall, 'maker').chance

test('the lights that a room is ranked in are of the day that is shown', () => {
  const minutes = (date: string): number[] =>
    askedRoomOn(brief(), roomDay(date)).lights.map(({ choice }) => choice.minute)
  // Sun in a west window: late in June, before four in December.
  expect(minutes('2026-06-21')[1]).toBeGreaterThan(17 * 60)
  expect(minutes('2026-12-21')[1]).toBeLessThan(16 * 60)
  const name = (date: string): string[] =>
    askedRoomOn(brief(), roomDay(date)).lights.map((light) => light.name)
  expect(name('2026-06-21')).toEqual(['at midday', 'in the low sun', 'under lamps'])
})

test('the hours of use say how much each light matters', () => {
  const matters = (useHours: 'evening' | 'daytime'): number[] =>
    askedRoomOn(
      brief({ wishes: { ...ORDINARY_ROOM, useHours } }),
      roomDay('2026-06-21'),
    ).lights.map((light) => light.matters)
  const [evening, daytime] = [matters('evening'), matters('daytime')]
  expect(evening[2]).toBeGreaterThan(evening[0]!)
  expect(daytime[0]).toBeGreaterThan(daytime[2]!)
})

test('a room that is seen from this one has a say: a wall that would quarrel through the doorway is less likely', () => {
  const pinkHall = neighbourFinish(
    {
      id: 'hall',
      name: 'the walls of Hall',
      part: 'Rose',
      reflectance: lab(72, 16, 8),
      source: 'maker',
    },
    rules,
  )
  const green = lab(76, -9, 12)
  const alone = chance(brief(), '2026-06-21', green)
  const seen = chance(brief({ finishes: [...stone(false), pinkHall] }), '2026-06-21', green)
  expect(seen).toBeLessThanOrEqual(alone)
  const hallOnly = chance(brief({ finishes: [pinkHall] }), '2026-06-21', green)
  const itsLike = chance(brief({ finishes: [pinkHall] }), '2026-06-21', lab(90, 4, 3))
  expect(itsLike).toBeGreaterThan(hallOnly + 0.1)
})

test('a finish that varies from piece to piece is judged less firmly', () => {
  const green = lab(76, -6, 14)
  const firm = chance(brief(), '2026-06-21', green)
  const varied = chance(brief({ finishes: stone(true) }), '2026-06-21', green)
  expect(Math.abs(varied - 0.5)).toBeLessThan(Math.abs(firm - 0.5))
})

test('what is on the walls says in which sheen they are painted', () => {
  // Common practice.
  expect(sheenOf.plain).toBe('matt')
  expect(sheenOf.panelled).toBe('satin')
})
