import { rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBrowser } from '../scripts/lib/browser.mjs'
import { ensureBuild, root, seedDemo } from '../scripts/lib/prepare.mjs'

/** The demo, recorded once a run; each worker gets a copy of it. */
export const SEEDED = join(root, '.cache/seeded-demo')

// Named by Playwright: one build and one seeded data directory for all workers.
// eslint-disable-next-line no-restricted-syntax -- Playwright asks for a default export
export default async function globalSetup(): Promise<void> {
  ensureBrowser()
  await ensureBuild()
  rmSync(SEEDED, { recursive: true, force: true })
  await seedDemo(SEEDED)
}
