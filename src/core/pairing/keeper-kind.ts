import type { HouseRules } from '../advice/house-rules'

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

const UNDERFOOT: readonly KeeperKind[] = ['floor', 'carpet']

/** Whether a keeper is what one walks on: its colour is the floor's in the light of the room. */
export const isUnderfoot = (kind: KeeperKind): boolean => UNDERFOOT.includes(kind)

/** Whether a keeper may inspire a scheme, as a rug or a painting does; a floor is lived with, not drawn from. */
export const mayInspire = (kind: KeeperKind, colours: number): boolean =>
  FURNISHINGS.includes(kind) && colours > 1

export const KEEPER_STATES = ['staying', 'leaving', 'arriving', 'paintable'] as const
export type KeeperState = (typeof KEEPER_STATES)[number]

/** Whether a candidate is judged against a keeper in this state. */
export const isJudgedAgainst = (state: KeeperState): boolean => state !== 'leaving'

/** How much of what one sees of a room a keeper takes up. */
export const VIEW_SHARES = ['little', 'some', 'much'] as const
export type ViewShare = (typeof VIEW_SHARES)[number]

/** How dear a keeper is to change, 1 easily to 5 never: as it was said, else by its kind. */
export function dearnessOf(kind: KeeperKind, said: number | null): number {
  return said ?? 5 - (4 * KEEPER_KINDS.indexOf(kind)) / (KEEPER_KINDS.length - 1)
}

const VIEW_WEIGHT: Record<ViewShare, number> = { little: 0.7, some: 1, much: 1.4 }

/** What a keeper weighs where a colour is ranked: dearest to change and most in view most. */
export const keeperWeight = (dearness: number, view: ViewShare): number =>
  ((dearness + 1) / 2) * VIEW_WEIGHT[view]
