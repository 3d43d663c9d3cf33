import type { Sheen } from '../paint/sheen'

/** What of a room is painted. */
export const SURFACES = [
  'walls',
  'one wall',
  'upper half',
  'lower half',
  'ceiling',
  'trim',
  'door inside',
  'door outside',
  'cabinets',
  'island',
  'other',
] as const
export type Surface = (typeof SURFACES)[number]

export const PROPOSAL_STATUSES = [
  'to fetch',
  'proposed',
  'going to board',
  'ruled out',
  'picked',
] as const
/** How a candidate stands with a surface of a room. */
export type ProposalStatus = (typeof PROPOSAL_STATUSES)[number]

/** What is said where a paint is not sold in the sheen that is wanted; null where it is, or where its deck does not say. */
export const notSoldIn = (sheens: readonly Sheen[] | null, wanted: Sheen): string | null =>
  sheens === null || sheens.includes(wanted)
    ? null
    : `Its deck sells it in ${sheens.join(', ')}, not in ${wanted}.`
