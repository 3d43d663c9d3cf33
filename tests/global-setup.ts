import { cpSync, existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { ensureBrowser } from '../scripts/lib/browser.mjs'
import { ensureBuild, root, seedDemo } from '../scripts/lib/prepare.mjs'

/** The demo, recorded once a run; each worker gets a copy of it. */
export const SEEDED = join(root, '.cache/seeded-demo')

/** Where the demo's houses and rooms are: `[household, visit id, room, room id]` a room. */
export const ADDRESSES = join(root, '.cache/seeded-addresses.json')
export type Addresses = readonly (readonly [string, string, string | null, string | null])[]

// Named by Playwright: one build and one seeded data directory for all workers.
// eslint-disable-next-line no-restricted-syntax -- Playwright asks for a default export
export default async function globalSetup(): Promise<void> {
  await ensureBrowser()
  await ensureBuild()
  // `npm test` has recorded it already, while its checks ran.
  if (process.env.ELM_DEMO !== 'recorded' || !existsSync(SEEDED)) {
    rmSync(SEEDED, { recursive: true, force: true })
    await seedDemo(SEEDED)
  }
  // Read from a copy: files that were opened past the store are not trusted by it.
  const copy = mkdtempSync(join(tmpdir(), 'elm-addresses-'))
  cpSync(join(SEEDED, 'postgres'), copy, { recursive: true })
  const store = await PGlite.create(copy)
  const { rows } = await store.query<Addresses[number]>(
    `select v.household, v.id, r.name, r.id from visit v left join room r on r.visit_id = v.id`,
    [],
    { rowMode: 'array' },
  )
  await store.close()
  rmSync(copy, { recursive: true })
  writeFileSync(ADDRESSES, JSON.stringify(rows))
}
