import { spreadsOf } from '../chance-over'
import { prepareLight } from '../colour/appearance'
import { daylightSpectrum } from '../colour/daylight'
import { partsOf } from '../pairing/parts'
import { inventedFinish, inventedPaint } from '../practice/invented'
import { seededBell, seededRandom } from '../seeded-random'
import { undertoneOf } from '../undertone/undertone'
import { AS_THE_MODEL, type EyeFactors, type EyeLimit } from './factors'
import { chanceTo, type TeachingLook } from './learn'

const LIGHT = prepareLight(daylightSpectrum(6000), 400)

// Who carries paints into a room does not hold up what nobody would think of: pairs that are neither plain are most of
// what is looked at.
const IN_PLAY = [0.08, 0.92] as const
// One eye scatters about its own line by about half of what many eyes scatter about theirs (from memory, of studies of
// observers of small colour differences).
const OWN_SCATTER = 0.5
const SLIPS = 0.02
// Of pairs about one limit: so much its chance changes where the limit is moved by a quarter.
const AT_STAKE = 0.08

type Pair = Omit<TeachingLook, 'id' | 'works'>

const HELD_UP = 3000
const pools = new Map<EyeLimit | null, readonly Pair[]>()

/** Pairs that are held up; only those in which a limit is at stake, where one is given. */
function pairsInPlay(about: EyeLimit | null): readonly Pair[] {
  const known = pools.get(about)
  if (known) return known
  const made = about
    ? pairsInPlay(null).filter((pair) => {
        const [stricter, laxer] = [0.75, 1.25].map((by) =>
          chanceTo(pair, { ...AS_THE_MODEL, [about]: by }),
        ) as [number, number]
        return Math.abs(laxer - stricter) >= AT_STAKE
      })
    : Array.from({ length: HELD_UP }, (_, n): Pair => {
        const { keeper } = inventedFinish(n, 'american')
        return {
          wall: { undertone: undertoneOf(LIGHT, inventedPaint(n).reflectance), source: 'maker' },
          parts: partsOf(LIGHT, keeper.colours),
          ...{ varies: false, role: keeper.role },
        }
      }).filter((pair) => {
        const plain = chanceTo(pair, AS_THE_MODEL)
        return plain >= IN_PLAY[0] && plain <= IN_PLAY[1]
      })
  pools.set(about, made)
  return made
}

/**
 * Looks of a simulated eye: pairs as a consultant would hold them up, each judged by a line of its own that it scatters
 * about, and now and then another key. It goes by the pair itself, not by how it was read.
 *
 * @param about only pairs in which this limit is at stake
 */
export function simulatedLooks(
  eye: EyeFactors,
  count: number,
  seed: number,
  about: EyeLimit | null = null,
): TeachingLook[] {
  const random = seededRandom(seed)
  const bell = seededBell(seed + 1)
  const pairs = pairsInPlay(about)
  return Array.from({ length: count }, () => {
    const pair = pairs[Math.floor(random() * pairs.length)]!
    const chance = chanceTo(pair, eye)
    const seen = (chance >= 0.5 ? 1 : -1) * spreadsOf(chance) + OWN_SCATTER * bell() > 0
    const id = Math.floor(random() * 2 ** 28)
      .toString(16)
      .padStart(7, '0')
    return { ...pair, id, works: random() < SLIPS ? !seen : seen }
  })
}
