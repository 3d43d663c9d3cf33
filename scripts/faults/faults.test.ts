import { spawn } from 'node:child_process'

// Of each fault a trial or a few; `npm run faults` makes hundreds.
test('whatever comes, what was acknowledged is there once, and the store opens', async () => {
  const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/faults.ts', '200'], {
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  child.stdout.on('data', (data: Buffer) => {
    said += data.toString()
  })
  const code = await new Promise((resolve) => child.on('close', resolve))
  expect(said).toMatch(/\d+ kills?, [1-9]\d* looks acknowledged/)
  expect(said).toMatch(
    /three servers at once: 1 has the data; one in a container of its own: DataDirLockedError/,
  )
  expect(said).toMatch(/acknowledged changes lost: 0, doubled: 0; stores that would not open: 0/)
  expect(code).toBe(0)
}, 400_000)
