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

// A keeper of middling dearness, in plain view, counts for half; nothing that stays counts for less than this.
const LEAST_MATTERS = 0.35
const FULL_WEIGHT = 3

/** How much a keeper matters in a ranking, 0 to 1: the lead fully, then the dear to change and what is most in view. */
export function keeperMatters(dearness: number, view: ViewShare, leads: boolean): number {
  if (leads) return 1
  const weight = ((dearness + 1) / 2) * VIEW_WEIGHT[view]
  return Math.max(LEAST_MATTERS, Math.min(1, weight / FULL_WEIGHT))
}
