import { DEFAULT_HOUSE_RULES } from '../../src/core/advice/house-rules'
import { ORDINARY_ROOM } from '../../src/core/advice/ordinary-room.fixture'
import type { Want } from '../../src/core/advice/brief'
import type { Lab } from '../../src/core/colour/lab'
import { prepareLight } from '../../src/core/colour/appearance'
import { lightOf, type RoomDay } from '../../src/core/light/light-choice'
import { PLAIN_LAMP, PLAIN_WINDOW } from '../../src/core/light/room'
import { isBad, isGood, judgementOf } from '../../src/core/pairing/chance'
import { isFixed, type KeeperKind } from '../../src/core/pairing/keeper-kind'
import { pairReading } from '../../src/core/pairing/pair-reading'
import { roleOf } from '../../src/core/pairing/role'
import { lrvPercent } from '../../src/core/paint/lrv'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import {
  askedRoomOn,
  finishesOf,
  rankedRoomOf,
  type WeighedKeeper,
} from '../../src/core/ranking/asked-room'
import { pairingTable } from '../../src/core/ranking/pairing-table'
import { chanceInRoom, rankForRoom } from '../../src/core/ranking/rank-for-room'
import { variedFirst } from '../../src/core/ranking/variety'
import { finishesItTakes } from '../../src/core/scheme/on-trial'
import { DAYLIGHT } from '../../src/core/undertone/daylight'
import { hueName } from '../../src/core/undertone/hue-name'
import { nameOf } from '../../src/core/undertone/name'
import { undertoneOf } from '../../src/core/undertone/undertone'
import { localDay } from '../../src/time/local-day'

// A house of five rooms with awkward finishes and a deck of sixty, invented; no rating and no other test stands on it.
type Stays = readonly [
  name: string,
  kind: KeeperKind,
  ...colours: (readonly [share: number, lab: Lab])[],
]
const TRIM: Stays = ['Yellowed cream trim', 'trim', [100, [87, 1.5, 19]]]
const ROOMS: readonly {
  readonly name: string
  readonly faces: number
  readonly wants: readonly Want[]
  readonly stays: readonly Stays[]
}[] = [
  {
    name: 'Bathroom',
    faces: 0,
    wants: ['brighter'],
    stays: [['Pink-beige tile', 'tile', [100, [73, 7, 13]]], TRIM],
  },
  {
    name: 'Sitting room',
    faces: 270,
    wants: ['cosier'],
    stays: [['Orange oak', 'floor', [100, [60, 15, 34]]], TRIM],
  },
  {
    ...{ name: 'Kitchen', faces: 90, wants: ['calmer'] },
    stays: [
      ['Green-grey stone', 'counter', [70, [54, -4, 3]], [30, [36, -3, 2]]],
      ['Orange oak', 'floor', [100, [60, 15, 34]]],
    ],
  },
  {
    name: 'Hall',
    faces: 180,
    wants: [],
    stays: [TRIM, ['Slate floor', 'floor', [100, [38, -1, -4]]]],
  },
  {
    ...{ name: 'Bedroom', faces: 45, wants: ['fresher'] },
    stays: [
      ['Rug of many colours', 'rug', [40, [42, 20, 12]], [35, [38, -6, -18]], [25, [80, 2, 14]]],
      TRIM,
    ],
  },
]

const surface = (lab: Lab) => reflectanceOfReading({ kind: 'lab', lab })
// Six depths of ten leans.
const DECK = [93, 87, 79, 68, 52, 32]
  .flatMap((l, depth) =>
    [0, 25, 50, 70, 90, 115, 150, 200, 260, 320].map((hueDeg): Lab => {
      const c = hueDeg === 0 ? 0.8 : 3 + 2.2 * depth
      const angle = (hueDeg * Math.PI) / 180
      return [l, c * Math.cos(angle), c * Math.sin(angle)]
    }),
  )
  .map(surface)

const PLACE = { latitudeDeg: 52.2, longitudeDeg: 0.1, timeZone: 'Europe/London' }

/** Each room's first ten, and whatever two screens would say differently of the same pair in the same light. */
export function printOwnHouse(): void {
  let [pairs, told, unlike] = [0, 0, 0]
  let asks = 0
  for (const { name, faces, wants, stays } of ROOMS) {
    const roomDay: RoomDay = {
      place: PLACE,
      day: localDay('2026-10-05', PLACE.timeZone),
      room: {
        ...{ northSouthMm: 4200, eastWestMm: 3600, heightMm: 2500 },
        windows: [{ ...PLAIN_WINDOW, bearingDeg: faces }],
        lamps: [PLAIN_LAMP],
      },
    }
    const keepers = stays.map(
      ([called, kind, ...colours]): WeighedKeeper & { kind: KeeperKind } => ({
        ...{ id: called, name: called, kind, dearness: null, viewShare: 'some', varies: false },
        role: roleOf(kind, DEFAULT_HOUSE_RULES),
        colours: colours.map(([sharePercent, lab], i) => ({
          ...{ part: `colour ${i + 1}`, sharePercent, source: 'reader' },
          reflectance: surface(lab),
        })),
      }),
    )
    const asked = askedRoomOn(
      {
        finishes: finishesOf(keepers, null),
        wishes: { ...ORDINARY_ROOM, wants },
        rules: DEFAULT_HOUSE_RULES,
        eye: [],
      },
      roomDay,
    )
    const ranked = rankedRoomOf(asked, roomDay)
    const inRoom = chanceInRoom(ranked)
    for (const reflectance of DECK) {
      // Why, on the shortlist.
      const table = pairingTable(asked, roomDay, reflectance, 'maker')
      // The list and the house grid name the weakest pair.
      const weakest = inRoom(reflectance, 'maker')
      const named = asked.finishes[weakest.finish]!
      const cell = table.find(({ keeperId }) => keeperId === named.keeperId)!.cells[weakest.light]!
      told++
      if (
        cell.judgement !== judgementOf(weakest.chance) &&
        asked.finishes.filter(({ keeperId }) => keeperId === named.keeperId).length === 1
      )
        unlike++
      for (const [k, keeper] of keepers.entries())
        for (const [l, { choice }] of asked.lights.entries()) {
          // The bench and On trial.
          const light = lightOf(roomDay, choice)!
          const prepared = prepareLight(light.spectrum, light.illuminanceLux)
          const wall = { reflectance, source: 'maker', strengthPercent: 100 } as const
          const reading = pairReading(prepared, wall, keeper)
          const why = table[k]!.cells[l]!
          pairs++
          if (
            Math.abs(reading.chance - why.judged.chance) > 1e-9 ||
            reading.sentence !== why.sentence
          )
            unlike++
          if (!isFixed(keeper.kind) || keeper.kind === 'trim') continue
          const own = keeper.colours.map((each) => undertoneOf(prepared, each.reflectance))
          const { takes, rejects } = finishesItTakes(
            undertoneOf(prepared, reflectance),
            DEFAULT_HOUSE_RULES,
          )
          for (const { hueDeg } of own)
            if (
              (rejects.includes(hueName(hueDeg)) && isGood(reading.chance)) ||
              (takes.includes(hueName(hueDeg)) && isBad(reading.chance))
            )
              asks++
        }
    }
    const deck = {
      rows: Float64Array.from(DECK.flatMap((each) => [...each])),
      places: DECK.map((_, i) => i),
      strengthsPercent: DECK.map(() => 100),
      sources: DECK.map(() => 'maker' as const),
    }
    const first = variedFirst(rankForRoom(deck, ranked, DECK.length), deck, DAYLIGHT, 10)
    console.log(
      `  ${name} (${stays.map(([each]) => each.toLowerCase()).join(', ')}; ${wants.join(', ') || 'no wish'}): ` +
        first.map(({ row, chance }) => `${calledOf(DECK[row]!)} ${judgementOf(chance)}`).join('; '),
    )
  }
  console.log(
    `  ${pairs} pairs on the bench, on trial and under Why, ${told} colours in list and grid: ${unlike} told unlike`,
  )
  console.log(
    `  ${asks} where most finishes of a lean would be said otherwise of than the one that is there: it goes first`,
  )
}

const calledOf = (reflectance: (typeof DECK)[number]): string => {
  const lrv = lrvPercent(reflectance)
  return `${nameOf(undertoneOf(DAYLIGHT, reflectance), lrv).short} ${Math.round(lrv)}`
}
