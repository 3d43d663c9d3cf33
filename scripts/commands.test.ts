import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

// The README's commands, each started and gone through, the long ones with a small number. `npm start`, `npm run demo`, backup,
// restore and passcode are started by the end-to-end tests; `npm test`, unit and e2e are these tests.
const ROOT = join(__dirname, '..')
const scratch = mkdtempSync(join(tmpdir(), 'elm-commands-'))
afterAll(() => rmSync(scratch, { recursive: true, force: true }))

/** What a command says; it has to end well. */
function run(command: string, env: Readonly<Record<string, string>> = {}): string {
  const [, name, ...args] = command.split(' ')
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', name!, '--', ...args], {
    cwd: ROOT,
    env: { ...process.env, ELM_SMALL: '1', ...env },
    encoding: 'utf8',
  })
  if (status !== 0) throw new Error(`${command} ended with ${status}: ${stderr.slice(-2000)}`)
  return stdout
}

// Half a minute each: with ELM_LONG=1.
const whenLong = process.env.ELM_LONG ? test : test.skip

test('words: of a directory, and what is computed', () => {
  expect(run('run words src/ui/form')).toContain('  Calendar')
})

test('round: of one room', () => {
  expect(run('run round')).toMatch(/pairs/)
})

test('accuracy: what is measured against tables', () => {
  expect(run('run accuracy')).toContain('White of daylight 6,504 K against D65')
})

test('demo:deck writes the deck that is there', () => {
  const deck = join(ROOT, 'demo/deck.csv')
  const before = readFileSync(deck, 'utf8')
  run('run demo:deck')
  expect(readFileSync(deck, 'utf8')).toBe(before)
})

whenLong('fit writes the weights that are there', () => {
  const shipped = (): string[] =>
    ['pairing/fitted', 'pairing/reasons', 'ranking/fitted', 'undertone/anchors'].map((name) =>
      readFileSync(join(ROOT, `src/core/${name}.json`), 'utf8'),
    )
  const before = shipped()
  expect(run('run fit')).toContain('Rooms, each left out')
  expect(shipped()).toEqual(before)
})

whenLong('mutants: a few lines of one area', () => {
  expect(run('run mutants strength 25')).toMatch(/All: \d+ mutants, \d+\.\d % noticed/)
})

whenLong(
  'mutants of judging begin: every test of that area runs through on what is not broken',
  () => {
    expect(run('run mutants judging 8')).toMatch(/All: \d+ mutants/)
  },
)

whenLong('faults: one trial of each kind', () => {
  expect(run('run faults 200')).toMatch(/0 lost, 0 doubled/)
})

whenLong('bench: a small record', () => {
  const said = run('run bench')
  for (const words of ['a look with its change and events', 'while a backup is made'])
    expect(said).toContain(words)
})

whenLong('commands:long: two sequences', () => {
  run('run commands:long', { ELM_SEQUENCES: '2' })
})

whenLong('keep-stage: the store of this commit', () => {
  expect(run(`run keep-stage HEAD ${scratch}`)).toMatch(/\d+ rows/)
})

whenLong('shots: the pictures, into a directory of their own', () => {
  run(`run shots ${scratch}`)
  expect(readFileSync(join(scratch, 'bench.png')).length).toBeGreaterThan(10_000)
})
