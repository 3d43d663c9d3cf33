/** The parts of the page, as they are named and by their keys. */
export const PARTS = {
  tones: 'Tones',
  beside: 'Beside',
  like: 'Like this, but',
  strengths: 'Strength',
  why: 'Why',
  proposed: 'Proposed',
} as const
export type Part = keyof typeof PARTS
export const PART_KEYS: Readonly<Record<Part, string>> = {
  tones: 't',
  beside: 'b',
  like: 'l',
  strengths: 's',
  why: 'y',
  proposed: 'p',
}
