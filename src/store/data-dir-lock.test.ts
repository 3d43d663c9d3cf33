import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DataDirLockedError, lockDataDir } from './data-dir-lock'

let dir: string
beforeEach(() => {
  dir = mkdtempSync(join(tmpdir(), 'elm-lock-'))
})
afterEach(() => rmSync(dir, { recursive: true, force: true }))

const HOLD = `
  const { lockDataDir } = await import('./src/store/data-dir-lock.ts')
  try { lockDataDir(process.argv[1]); console.log('held') } catch (e) { console.log(e.name) }
  process.stdin.resume()`

const children: ChildProcess[] = []
afterEach(() => {
  for (const child of children.splice(0)) child.kill('SIGKILL')
})

const holder = () => {
  const child = spawn('node', ['--import', 'tsx', '--input-type=module', '-e', HOLD, dir], {
    cwd: process.cwd(),
    stdio: ['pipe', 'pipe', 'inherit'],
  })
  children.push(child)
  return child
}

const firstLine = (child: ReturnType<typeof holder>): Promise<string> =>
  new Promise((resolve) =>
    child.stdout.once('data', (data: Buffer) => resolve(data.toString().trim())),
  )

test('a second server is refused while the first lives, and takes over when it was killed', async () => {
  const first = holder()
  expect(await firstLine(first)).toBe('held')
  expect(() => lockDataDir(dir)).toThrow(DataDirLockedError)
  expect(() => lockDataDir(dir)).toThrow(
    new RegExp(`in use by another Elm Swatch server \\(process ${first.pid},`),
  )
  first.kill('SIGKILL')
  await new Promise((resolve) => first.once('exit', resolve))
  lockDataDir(dir)()
})

test('what a killed server left in the lock holds nobody off; of several that start on it one wins', async () => {
  writeFileSync(join(dir, 'server.lock'), '1\n')
  const racers = Array.from({ length: 4 }, holder)
  const outcomes = await Promise.all(racers.map(firstLine))
  expect(outcomes.sort()).toEqual([
    'DataDirLockedError',
    'DataDirLockedError',
    'DataDirLockedError',
    'held',
  ])
})
