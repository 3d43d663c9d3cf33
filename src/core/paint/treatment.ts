import type { Sheen } from './sheen'

/** What is on the walls. */
export const TREATMENTS = ['plain', 'panelled', 'papered', 'tiled', 'textured'] as const
export type Treatment = (typeof TREATMENTS)[number]

/**
 * The sheen that a wall is painted in, common practice: matt hides the flaws of plaster and the relief of a texture, joinery
 * wants satin, tile paint is glossy, and paper is painted flat enough to hide its seams.
 */
export const sheenOf: Readonly<Record<Treatment, Sheen>> = {
  plain: 'matt',
  panelled: 'satin',
  papered: 'matt',
  tiled: 'gloss',
  textured: 'matt',
}
