/** What is on the walls. */
export const TREATMENTS = ['plain', 'panelled', 'papered', 'tiled', 'textured'] as const
export type Treatment = (typeof TREATMENTS)[number]
