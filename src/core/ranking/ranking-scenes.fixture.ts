import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import { roomAdvice, SAID_FROM } from '../advice/room-advice'
import { ORDINARY_ROOM } from '../advice/ordinary-room.fixture'
import type { RoomCharacter } from '../advice/room-character'
import { unwantedIn } from '../advice/will-not-have'
import { prepareLight, type PreparedLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { ledSpectrum } from '../colour/led'
import type { Lab } from '../colour/lab'
import { BANDS } from '../colour/spectrum'
import { isGood } from '../pairing/chance'
import type { KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import { lrvPercent } from '../paint/lrv'
import { reflectanceOfReading, type ReadingSource } from '../paint/reading'
import { lightnessWord } from '../undertone/lightness-word'
import { hueApartDeg, roomForColour, undertoneOf } from '../undertone/undertone'
import { chanceInRoom, rankForRoom } from './rank-for-room'
import { reflectanceOfRow, type DeckRows } from './deck-rows'
import type { RankedRoom, RoomFinish } from './ranked-room'
import { variedFirst } from './variety'

// The trade's scenes of what should lead a ranking (common practice, no published source), on an invented deck.

export interface RankingScene {
  readonly says: string
  readonly holds: boolean
  readonly said: string
}

let even: DeckRows | undefined

/** An even deck: every fourth lightness, thirty hues, nine strengths from none; made once. */
export const evenDeck = (): DeckRows => (even ??= madeDeck())

function madeDeck(): DeckRows {
  const labs: Lab[] = []
  for (let l = 14; l <= 96; l += 4)
    for (const c of [0, 2, 3.5, 5, 7, 9, 12, 16, 22])
      for (let k = 0; k < (c === 0 ? 1 : 30); k++) {
        const angle = (k * Math.PI) / 15
        const lab: Lab = [l, c * Math.cos(angle), c * Math.sin(angle)]
        // The ends hold less colour than the middle.
        if (c <= (l > 88 || l < 22 ? 9 : 30)) labs.push(lab)
      }
  return deckOf(labs)
}

/** A deck of these colours at full strength. */
export function deckOf(
  labs: readonly Lab[],
  source: (row: number) => ReadingSource = () => 'maker',
): DeckRows {
  const rows = new Float64Array(labs.length * BANDS)
  labs.forEach((lab, i) => rows.set(reflectanceOfReading({ kind: 'lab', lab }), i * BANDS))
  return {
    rows,
    places: labs.map((_, i) => i),
    strengthsPercent: labs.map(() => 100),
    sources: labs.map((_, i) => source(i)),
  }
}

export const finish = (
  kind: KeeperKind,
  lab: Lab,
  change: Partial<RoomFinish> = {},
): RoomFinish => ({
  keeperId: kind,
  reflectance: reflectanceOfReading({ kind: 'lab', lab }),
  source: 'reader',
  varies: false,
  role: roleOf(kind, DEFAULT_HOUSE_RULES),
  shows: 1,
  matters: 1,
  inView: 1,
  ...change,
})

const NOON = prepareLight(daylightSpectrum(6500), 400)
const NORTH = prepareLight(daylightSpectrum(8500), 80)
const LAMPS = prepareLight(ledSpectrum(2700, 82), 100)

export const room = (
  finishes: readonly RoomFinish[],
  character: Partial<RoomCharacter> = {},
  lights: readonly PreparedLight[] = [NOON, LAMPS],
): RankedRoom => ({
  lights: lights.map((light) => ({ light, matters: 1 })),
  finishes,
  character: { ...ORDINARY_ROOM, ...character },
  rules: DEFAULT_HOUSE_RULES,
})

/** The first ten of the even deck, as they lean by daylight. */
function firstTen(ranked: RankedRoom, deck: DeckRows) {
  return variedFirst(rankForRoom(deck, ranked, 400), deck, NOON, 10).map(({ row }) => {
    const reflectance = reflectanceOfRow(deck.rows, row)
    const undertone = undertoneOf(NOON, reflectance)
    return { reflectance, undertone, lrv: lrvPercent(reflectance) }
  })
}
type Ten = ReturnType<typeof firstTen>

const isPureGrey = ({ undertone, lrv }: Ten[number]): boolean =>
  undertone.c < 0.4 * roomForColour(undertone.j) && lrv < 85
const depths = (ten: Ten): number => new Set(ten.map(({ lrv }) => lightnessWord(lrv))).size
const listed = (ten: Ten): string =>
  ten
    .map(
      ({ undertone: { c, hueDeg }, lrv }) =>
        `${lrv.toFixed(0)}/${c.toFixed(0)}/${hueDeg.toFixed(0)}`,
    )
    .join(' ')

const GRANITE: Lab = [66, 9, 14]
const CREAM: Lab = [89.5, 0.5, 11.5]

/** The 4 rankings. */
export function rankingScenes(): RankingScene[] {
  const deck = evenDeck()
  const brighter = firstTen(
    room([finish('stone', GRANITE), finish('cabinets', CREAM)], { wants: ['brighter'] }),
    deck,
  )
  const warm = brighter.filter(
    ({ undertone }) => undertone.c > 1.2 && hueApartDeg(undertone.hueDeg, 75) <= 40,
  ).length

  const willNotHave = 'nothing cold or grey'
  const dimNorth = room(
    [finish('floor', [55, 9, 24]), finish('upholstery', [62, 4, 10], { matters: 0.6 })],
    { daylightFactorPercent: 0.8, coolAndEven: true, wants: ['cosier'], willNotHave },
    [NORTH, LAMPS],
  )
  const cosy = firstTen(dimNorth, deck)
  const snug = firstTen(
    room(
      [finish('upholstery', [36, 14, 18])],
      { daylightFactorPercent: 0, wants: ['more drama'], useHours: 'evening' },
      [LAMPS],
    ),
    deck,
  )
  const kept = photoKeeps(deck)
  return [
    {
      says: 'rosy granite and cream cabinets, brighter: light, warm as both are, of several depths, no grey',
      holds:
        brighter.every((each) => each.lrv >= 45 && !isPureGrey(each)) &&
        warm >= 8 &&
        depths(brighter) >= 3,
      said: `${warm} warm, ${depths(brighter)} depths: ${listed(brighter)}`,
    },
    {
      says: 'dim north room, cosier, nothing cold or grey: nothing of either, nothing dingy, several depths',
      holds:
        cosy.every(
          (each) =>
            !isPureGrey(each) &&
            unwantedIn(willNotHave).every(({ is }) => is(each.undertone, each.lrv) < 0.5) &&
            roomAdvice(each.reflectance, dimNorth.character, dimNorth.rules).every(
              ({ kind, strength }) => kind !== 'dingy' || strength < SAID_FROM,
            ),
        ) && depths(cosy) >= 3,
      said: `${depths(cosy)} depths: ${listed(cosy)}`,
    },
    {
      says: 'drama in a snug under lamps: deep colours lead',
      holds: snug[0]!.lrv <= 28 && snug.filter(({ lrv }) => lrv <= 28).length >= 5,
      said: listed(snug),
    },
    {
      says: 'keepers known by photo only: half of the pairs that work exactly still say so',
      holds: kept >= 0.5,
      said: `${(100 * kept).toFixed(0)} % still work or work likely`,
    },
  ]
}

/** Of the pairs that work with exact readings, the share that still works, or likely works, when the keeper is a photo. */
function photoKeeps(deck: DeckRows): number {
  const keepers: readonly (readonly [KeeperKind, Lab])[] = [
    ['stone', GRANITE],
    ['cabinets', CREAM],
    ['floor', [55, 9, 24]],
    ['tile', [78, 4.2, 11.5]],
    ['carpet', [62, 5, 18]],
    ['upholstery', [46, -8, 5]],
  ]
  let [exact, kept] = [0, 0]
  for (const [kind, lab] of keepers) {
    const [exactly, byPhoto] = (['spectral', 'photo'] as const).map((source: ReadingSource) =>
      chanceInRoom(room([finish(kind, lab, { source })], {}, [NOON])),
    )
    for (let row = 0; row < deck.places.length; row += 11) {
      const wall = reflectanceOfRow(deck.rows, row)
      if (!isGood(exactly!(wall, 'spectral').chance)) continue
      exact++
      if (isGood(byPhoto!(wall, 'maker').chance)) kept++
    }
  }
  return kept / exact
}
