// A spreadsheet must never run what somebody typed: leading signs are quoted, also behind blanks, and full-width ones, which
// some programs read as their plain kin.
const SIGNS = '[=+\\-@\\t\\r\\uFF1D\\uFF0B\\uFF0D\\uFF20]'
const FORMULA = new RegExp(`^\\s*${SIGNS}`, 'u')
const QUOTED_FORMULA = new RegExp(`^'\\s*${SIGNS}`, 'u')

/** A text as a cell that stays text. */
export const harmless = (text: string): string => (FORMULA.test(text) ? `'${text}` : text)

/** The text that a harmless cell was made of. */
export const asTyped = (text: string): string => (QUOTED_FORMULA.test(text) ? text.slice(1) : text)
