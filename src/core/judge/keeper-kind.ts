import type { HouseRules } from './house-rules'

/** What stays, dearest to change first. */
export const KEEPER_KINDS = [
  'floor',
  'stone',
  'tile',
  'cabinets',
  'trim',
  'carpet',
  'upholstery',
  'curtain',
  'rug',
  'art',
] as const
export type KeeperKind = (typeof KEEPER_KINDS)[number]

const FURNISHINGS: readonly KeeperKind[] = ['upholstery', 'curtain', 'rug', 'art']

/** Whether a wall may set a keeper off by an opposite, by the house rule on what pairs. */
export function mayBeSetOff(kind: KeeperKind, rules: HouseRules): boolean {
  if (rules.pairs === 'shared-fixed') return FURNISHINGS.includes(kind)
  return rules.pairs === 'opposites'
}

export const KEEPER_STATES = ['staying', 'leaving', 'arriving', 'paintable'] as const
export type KeeperState = (typeof KEEPER_STATES)[number]

/** Whether a candidate is judged against a keeper in this state. */
export const isJudgedAgainst = (state: KeeperState): boolean => state !== 'leaving'
