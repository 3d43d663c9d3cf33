import { DEFAULT_HOUSE_RULES } from '../advice/house-rules'
import type { Lab } from '../colour/lab'
import type { KeeperKind } from '../pairing/keeper-kind'
import { roleOf } from '../pairing/role'
import type { Reflectance } from '../colour/spectrum'
import { reflectanceOfReading } from '../paint/reading'
import { ImpossibleColourError } from '../paint/smoothest-reflectance'
import { labWhiteBase } from '../paint/white-base'
import { kindWords } from '../pairing/keeper-kind'
import { seededRandom } from '../seeded-random'
import type { TradeWords } from '../trade-words'
import type { PracticeFinish, PracticePaint } from './asked-about'

const WHITE_BASE = labWhiteBase([95.5, -0.6, 2.2])

// Most of what goes on walls is light and greyed (common practice): lightness is drawn towards the light end, chroma
// towards grey.
const PAINT = { darkestL: 28, lightestL: 96, mostChroma: 26 } as const

/** An invented paint, the same for the same number. */
export function inventedPaint(number: number): PracticePaint {
  const random = seededRandom(number)
  const lightness = PAINT.darkestL + (PAINT.lightestL - PAINT.darkestL) * random() ** 0.6
  // Near white there is less room for colour.
  const room = Math.min(1, (100 - lightness) / 25)
  return {
    ref: { invented: number },
    name: null,
    reflectance: surface(lightness, PAINT.mostChroma * room * random() ** 2, 360 * random()),
    source: 'spectral',
    base: 'white',
    whiteBase: WHITE_BASE,
  }
}

// What stands in houses: of each kind the lightness, chroma and hue that it is found in, and how many colours it has.
const FINISHES: readonly (readonly [
  kind: KeeperKind,
  lightness: readonly [number, number],
  chroma: readonly [number, number],
  hueDeg: readonly [number, number],
  colours: number,
])[] = [
  ['floor', [35, 75], [10, 32], [55, 85], 1],
  ['stone', [45, 85], [2, 18], [20, 110], 2],
  ['fireplace', [40, 80], [2, 16], [30, 100], 2],
  ['counter', [20, 90], [0, 10], [0, 360], 2],
  ['tile', [55, 95], [0, 14], [0, 360], 1],
  ['cabinets', [55, 95], [0, 16], [0, 360], 1],
  ['trim', [84, 97], [0, 8], [60, 280], 1],
  ['carpet', [40, 80], [2, 14], [20, 110], 1],
  ['upholstery', [30, 85], [2, 30], [0, 360], 1],
  ['curtain', [45, 92], [1, 24], [0, 360], 1],
  ['rug', [25, 75], [4, 36], [0, 360], 2],
]
const SHARE_OF_GROUND = 78

/** An invented finish, the same for the same number. */
export function inventedFinish(number: number, words: TradeWords): PracticeFinish {
  const random = seededRandom(number ^ 0x5eed)
  const [kind, lightness, chroma, hueDeg, colours] =
    FINISHES[Math.floor(random() * FINISHES.length)]!
  const within = ([from, to]: readonly [number, number]): number => from + (to - from) * random()
  const ground = { l: within(lightness), chroma: within(chroma), hueDeg: within(hueDeg) }
  const fleck = {
    l: Math.max(15, Math.min(95, ground.l + 40 * (random() - 0.5))),
    chroma: within(chroma),
    hueDeg: within(hueDeg),
  }
  return {
    ...{ ref: { invented: number }, patchHash: null, kind },
    keeper: {
      name: kindWords(kind, words),
      varies: false,
      role: roleOf(kind, DEFAULT_HOUSE_RULES),
      colours: (colours > 1 ? [ground, fleck] : [ground]).map((each, i) => ({
        part: i === 0 ? (colours > 1 ? 'ground' : kind) : 'fleck',
        sharePercent: colours === 1 ? 100 : i === 0 ? SHARE_OF_GROUND : 100 - SHARE_OF_GROUND,
        reflectance: surface(each.l, each.chroma, each.hueDeg),
        source: 'spectral',
      })),
    },
  }
}

/** A painted surface of a colour, greyed as far as it takes for there to be one. */
function surface(lightness: number, chroma: number, hueDeg: number): Reflectance {
  const angle = (hueDeg * Math.PI) / 180
  const lab: Lab = [lightness, chroma * Math.cos(angle), chroma * Math.sin(angle)]
  try {
    return reflectanceOfReading({ kind: 'lab', lab })
  } catch (error) {
    if (!(error instanceof ImpossibleColourError)) throw error
    return surface(lightness, GREYED * chroma, hueDeg)
  }
}
const GREYED = 0.8
