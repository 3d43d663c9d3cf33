import { z } from 'zod'
import { uuidOfHex } from './uuid'

test('any digits make a UUID of the version asked for, and the digits tell it', () => {
  for (const digit of '0123456789abcdef') {
    const [random, derived] = [uuidOfHex(digit.repeat(32), 4), uuidOfHex(digit.repeat(32), 8)]
    expect(z.uuidv4().safeParse(random).success).toBe(true)
    expect(z.uuid().safeParse(derived).success).toBe(true)
    expect([random[14], derived[14]]).toEqual(['4', '8'])
  }
  expect(uuidOfHex('0123456789abcdef0123456789abcdef', 8)).toBe(
    '01234567-89ab-8def-8123-456789abcdef',
  )
})
