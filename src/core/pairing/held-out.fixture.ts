import type { Lab } from '../colour/lab'
import { isBad, isGood } from './chance'
import type { KeeperKind } from './keeper-kind'
import { statedLabPair, type TradeCase } from './trade-cases.fixture'

// Facts of the trade (common practice, no source) as pairs of invented colours, written down after the numbers of the judge
// were set and before it was asked once. Nothing may be tuned to these: what misses stays a miss, and is printed.

type Side = 'works' | 'not' | 'no'

const CASES: readonly (readonly [says: string, wall: Lab, finish: Lab, KeeperKind, Side])[] = [
  [
    'a warm off-white beside blue-white fabric looks dirty',
    [90, 1, 9],
    [94, -0.5, -4],
    'curtain',
    'not',
  ],
  ['grey-taupe tile takes a soft off-white', [90.5, 0.8, 4], [60, 2.5, 3.5], 'tile', 'works'],
  ['grey-taupe tile is no friend of a yellow cream', [90, -0.5, 15], [60, 3, 1], 'tile', 'not'],
  ['pink veins in grey reject a mint green', [82, -9, 5], [66, 8, 4], 'stone', 'no'],
  ['dark walnut takes a greyed off-white', [89, 0.5, 5], [32, 9, 12], 'floor', 'works'],
  ['linen takes a greyed off-white', [89, 0.5, 4.5], [80, 1.5, 9], 'curtain', 'works'],
  ['cream does not suit a pinkish travertine', [92, -0.5, 13], [77, 6, 11], 'stone', 'not'],
  ['a terracotta tile takes a warm beige', [78, 5, 14], [50, 22, 26], 'tile', 'works'],
  ['a terracotta tile rejects a violet grey', [70, 4, -5], [50, 22, 26], 'tile', 'no'],
  ['honey oak takes a soft sage', [74, -4, 7], [64, 9, 26], 'floor', 'works'],
  ['honey oak is no friend of a lilac', [74, 7, -9], [64, 9, 26], 'floor', 'not'],
  ['a blue-grey slate takes a blue-grey wall', [76, -1, -4], [42, -1, -5], 'stone', 'works'],
  ['a blue-grey slate is no friend of a peach', [80, 12, 16], [48, -1, -6], 'stone', 'not'],
  ['navy cabinets take a soft white', [93, 0, 4], [24, 2, -17], 'cabinets', 'works'],
  ['sage cabinets take a green-leaning greige', [80, -2, 6], [66, -6, 8], 'cabinets', 'works'],
  ['sage cabinets reject a pink beige', [82, 8, 7], [66, -7, 8], 'cabinets', 'no'],
  ['a bright white trim sets a navy wall off clean', [24, 2, -17], [96, -0.3, 1], 'trim', 'works'],
  ['a cream trim beside a cool grey wall looks yellow', [72, -1, -4], [91, 0, 13], 'trim', 'not'],
  [
    'two off-whites a shade apart are a near miss as trim',
    [91, 1.5, 4],
    [92.5, -0.5, 6],
    'trim',
    'not',
  ],
  ['a mustard cushion goes with a charcoal wall', [36, 0, -2], [70, 8, 55], 'upholstery', 'works'],
  ['a rust rug goes with a blue-green wall', [60, -14, -6], [45, 30, 30], 'rug', 'works'],
  ['a grey carpet takes a clean off-white', [92, 0, 3], [60, 0, 1], 'carpet', 'works'],
  ['a green-grey carpet is no friend of a dusty pink', [74, 12, 3], [58, -7, 5], 'carpet', 'no'],
  ['white marble with grey takes a cool grey', [74, -0.5, -2], [90, -0.3, -1], 'stone', 'works'],
]

/** The pairs that nothing was tuned to. */
export const heldOutCases = (): TradeCase[] =>
  CASES.map(([says, wall, finish, kind, expected]) => {
    const { pairing, chanceIfExact } = statedLabPair(wall, finish, kind)
    const holds =
      expected === 'works'
        ? isGood(chanceIfExact)
        : expected === 'no'
          ? isBad(chanceIfExact)
          : !isGood(chanceIfExact)
    return { says, family: kind, holds, said: `${pairing}, ${chanceIfExact.toFixed(2)}` }
  })
