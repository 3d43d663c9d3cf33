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

export const KEEPER_STATES = ['staying', 'leaving', 'arriving', 'paintable'] as const
export type KeeperState = (typeof KEEPER_STATES)[number]

/** Whether a candidate is judged against a keeper in this state. */
export const isJudgedAgainst = (state: KeeperState): boolean => state !== 'leaving'
