import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { framesOf, noteFault } from './fault-log'

const dir = mkdtempSync(join(tmpdir(), 'elm-faults-'))
afterAll(() => rmSync(dir, { recursive: true }))
const file = join(dir, 'faults.log')

test('a fault is noted by name, message and place, without what somebody wrote', () => {
  noteFault(dir, {
    ...{ at: '2026-12-01T10:00:00Z', place: 'a page at /visits/1/grid', name: 'TypeError' },
    message: 'cannot read “The Ashbys” of "Mrs Ashby’s room"',
    frames: framesOf('TypeError: The Ashbys\n    at grid (house-grid.ts:12:3)\n    at page'),
  })
  expect(readFileSync(file, 'utf8')).toBe(
    '2026-12-01T10:00:00Z a page at /visits/1/grid: TypeError cannot read … of …\n' +
      '    at grid (house-grid.ts:12:3)\n    at page\n',
  )
})

test('the file is kept small', () => {
  const frames = Array.from({ length: 40 }, (_, n) => `    at ${'x'.repeat(400)} ${n}`)
  for (let n = 0; n < 200; n++)
    noteFault(dir, { at: '', place: 'p'.repeat(900), name: 'E', message: 'm'.repeat(900), frames })
  expect(statSync(file).size).toBeLessThan(300_000)
  expect(statSync(`${file}.before`).size).toBeLessThan(300_000)
})
