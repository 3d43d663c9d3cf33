export const TRADE_WORDS = ['american', 'british'] as const
/** Which trade's names a store uses for the parts of a room: trim and countertop, or woodwork and worktop. */
export type TradeWords = (typeof TRADE_WORDS)[number]

// As builders' merchants on either side of the Atlantic print them (common practice).
const IN_BRITISH: Readonly<Record<string, string>> = {
  trim: 'woodwork',
  cabinet: 'cupboard',
  countertop: 'worktop',
  baseboard: 'skirting',
  casing: 'architrave',
}
const KNOWN = new RegExp(`\\b(${Object.keys(IN_BRITISH).join('|')})(?=s?\\b)`, 'gi')

/**
 * A text of ours, which is written in American words, as a store names things. What a person typed, the name of a room or of a
 * thing, stays as it was typed and never goes through here.
 */
export const inTradeWords = (text: string, words: TradeWords): string =>
  words === 'american'
    ? text
    : text.replace(KNOWN, (found) => {
        const other = IN_BRITISH[found.toLowerCase()]!
        return found[0] === found[0]!.toLowerCase()
          ? other
          : other[0]!.toUpperCase() + other.slice(1)
      })
