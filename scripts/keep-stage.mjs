// `npm run keep-stage -- COMMIT`: the demo's store as the program of a commit makes it, kept as check data in tests/stages: every row
// of every table, a visit's file and a backup, where that program writes them. Before a migration is added, the store of the version before it is kept so.
import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, rmSync, symlinkSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { PGlite } from '@electric-sql/pglite'
import { root } from './lib/prepare.mjs'

const [, , commit = 'HEAD', into = join(root, 'tests/stages')] = process.argv
const scratch = mkdtempSync(join(tmpdir(), 'elm-stage-'))
const tree = join(scratch, 'tree')
const git = (...args) => execFileSync('git', args, { cwd: root, stdio: 'inherit' })
git('worktree', 'add', '--detach', '--quiet', tree, commit)
try {
  symlinkSync(join(root, 'node_modules'), join(tree, 'node_modules'))
  const data = join(scratch, 'data')
  execFileSync('node', ['--import', 'tsx', 'demo/seed.ts', data], { cwd: tree, stdio: 'inherit' })
  const db = new PGlite(join(data, 'postgres'), {
    // As text, so that every digit of a number stays.
    parsers: { 114: (text) => text, 3802: (text) => text },
  })
  const names = await db.query(
    `select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  )
  const lines = []
  for (const { name } of names.rows) {
    const { rows } = await db.query(`select to_jsonb(t) as row from ${name} t order by t::text`)
    for (const { row } of rows) lines.push(`{"table": "${name}", "row": ${row}}\n`)
  }
  const newest = await db.query('select max(number) as newest from migration')
  await db.close()
  const out = join(into, String(newest.rows[0].newest).padStart(4, '0'))
  mkdirSync(into, { recursive: true })
  const bytes = gzipSync(lines.join(''), { level: 9 })
  writeFileSync(`${out}.ndjson.gz`, bytes)
  execFileSync('node', ['--import', 'tsx', join(root, 'scripts/lib/stage-files.ts'), out], {
    cwd: tree,
    env: { ...process.env, ELM_DATA_DIR: data },
    stdio: 'inherit',
  })
  console.log(`${out}: ${lines.length} rows, ${Math.round(bytes.length / 1000)} kB`)
} finally {
  git('worktree', 'remove', '--force', tree)
  rmSync(scratch, { recursive: true, force: true })
}
