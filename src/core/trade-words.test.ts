import { inTradeWords } from './trade-words'

// American and British names of one thing: common practice.
test('a text is said in the words of a trade, small or large, one or several', () => {
  expect(inTradeWords('Trim, cabinets and a countertop', 'british')).toBe(
    'Woodwork, cupboards and a worktop',
  )
  expect(inTradeWords('Baseboard, high; casings, wide', 'british')).toBe(
    'Skirting, high; architraves, wide',
  )
  expect(inTradeWords('Trim, cabinets and a countertop', 'american')).toBe(
    'Trim, cabinets and a countertop',
  )
})

test('words that only hold one of them stay, and so does the paint counter', () => {
  const text = 'Trimmed edges; the counter may refuse; cabinetry'
  expect(inTradeWords(text, 'british')).toBe(text)
})
