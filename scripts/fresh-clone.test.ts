import { execFileSync } from 'node:child_process'
import { cpSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const SCRIPTS = __dirname
// What the README's commands begin with, before any package is there.
const FIRST = ['start.mjs', 'demo.mjs', 'test.mjs']

/** The modules that a script names at its head. */
const namedBy = (script: string): string[] =>
  [
    ...readFileSync(join(SCRIPTS, script), 'utf8').matchAll(/^import .* from '(\.\/lib\/.*)'$/gm),
  ].map(([, path]) => path!)

test('in a fresh clone the README’s commands come as far as installing what they need', () => {
  const dir = mkdtempSync(join(tmpdir(), 'elm-fresh-'))
  try {
    cpSync(SCRIPTS, join(dir, 'scripts'), { recursive: true })
    expect(readdirSync(dir)).toEqual(['scripts'])
    const first = new Set(FIRST.flatMap(namedBy))
    expect([...first]).toContain('./lib/serve.mjs')
    for (const each of first)
      execFileSync(process.execPath, ['--input-type=module', '-e', `await import('${each}')`], {
        cwd: join(dir, 'scripts'),
        stdio: ['ignore', 'ignore', 'inherit'],
      })
  } finally {
    rmSync(dir, { recursive: true })
  }
})
