import { sheenForSurface, sheenSays } from './surface-sheen'

const DRY = { washed: false }
const WET = { washed: true }

// Common practice: matt hides flaws, satin for joinery and doors, what is washed wants a shine.
test('each surface asks for its sheen', () => {
  expect(sheenForSurface('walls', 'plain', DRY)).toBe('matt')
  expect(sheenForSurface('walls', 'plain', WET)).toBe('eggshell')
  expect(sheenForSurface('walls', 'panelled', DRY)).toBe('satin')
  expect(sheenForSurface('ceiling', 'plain', WET)).toBe('matt')
  for (const joinery of ['trim', 'door inside', 'cabinets', 'island'] as const)
    expect(sheenForSurface(joinery, 'plain', DRY)).toBe('satin')
  expect(sheenForSurface('door outside', 'plain', DRY)).toBe('semi-gloss')
})

test('what speaks against a sheen is said', () => {
  expect(sheenSays('trim', 'matt', DRY)).toMatch(/hand marks stay/)
  expect(sheenSays('trim', 'satin', DRY)).toMatch(/come off with a damp cloth/)
  expect(sheenSays('walls', 'satin', DRY)).toMatch(/flaw/)
  expect(sheenSays('walls', 'matt', WET)).toMatch(/eggshell washes better/)
  expect(sheenSays('walls', 'matt', DRY)).toMatch(/Hides flaws/)
  expect(sheenSays('ceiling', 'gloss', DRY)).toMatch(/joint/)
})
