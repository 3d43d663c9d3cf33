import type { Lab } from '../colour/lab'
import { statedLabPair, type TradeCase } from './trade-cases.fixture'
import type { KeeperKind } from './keeper-kind'

// A hundred pairs of an invented house (common practice, one voice): twenty walls beside five things that stay, the verdicts
// written down before the judge was asked once, by somebody who had seen its terms. Nothing may be tuned to these.

const STAYS = {
  'pink-beige tile': ['tile', [74, 7, 11]],
  'orange oak floor': ['floor', [58, 14, 32]],
  'green-grey stone': ['stone', [60, -5, 6]],
  'yellowed cream trim': ['trim', [88, 1, 15]],
  'navy sofa': ['upholstery', [26, 1, -15]],
} as const satisfies Record<string, readonly [KeeperKind, Lab]>
const NAMES = Object.keys(STAYS) as (keyof typeof STAYS)[]

// Each wall, and beside which of the five it works (w) or not (n), in their order.
const WALLS: readonly (readonly [wall: string, Lab, verdicts: string])[] = [
  ['a brilliant white', [97, -0.3, 1], 'wwwnw'],
  ['a creamy white', [93, 0.5, 9], 'wwwww'],
  ['an icy white', [95, -1, -2], 'nnwnw'],
  ['a pink beige', [84, 5, 9], 'wwnww'],
  ['a yellow cream', [88, 1, 18], 'nwwnw'],
  ['a greige', [76, 1, 8], 'nwnww'],
  ['a cool grey', [74, -1, -3], 'nnnnw'],
  ['a violet grey', [70, 4, -4], 'nnnnw'],
  ['a sage', [68, -8, 10], 'nwwww'],
  ['a deep green', [36, -14, 10], 'wwwww'],
  ['a slate blue', [50, -4, -11], 'wwwww'],
  ['a navy', [26, 0, -15], 'wwwwn'],
  ['a terracotta', [54, 24, 28], 'nnnww'],
  ['a dusty pink', [76, 12, 8], 'nwnww'],
  ['a clear yellow', [84, 2, 52], 'nnnnn'],
  ['a mint', [86, -12, 6], 'nnnnw'],
  ['a charcoal', [32, 0, -1], 'wwwww'],
  ['a chocolate brown', [30, 9, 12], 'wnwww'],
  ['a plum', [30, 18, -6], 'nnnww'],
  ['a strong violet', [48, 24, -30], 'nnnnn'],
]

/** All of them, asked as the screens ask. */
export const ownHouseCases = (): TradeCase[] =>
  WALLS.flatMap(([wall, lab, verdicts]) =>
    NAMES.map((name, i) => {
      const [kind, stays] = STAYS[name]
      const { chanceIfExact, pairing } = statedLabPair([...lab], [...stays], kind)
      return {
        says: `${wall} beside the ${name} ${verdicts[i] === 'w' ? 'works' : 'does not work'}`,
        family: name,
        holds: chanceIfExact > 0.5 === (verdicts[i] === 'w'),
        said: `${pairing}, ${chanceIfExact.toFixed(2)}`,
      }
    }),
  )
