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

export const PROPOSAL_STATUSES = ['proposed', 'going to board', 'ruled out', 'picked'] as const
/** How a candidate stands with a surface of a room. */
export type ProposalStatus = (typeof PROPOSAL_STATUSES)[number]
