// npm run demo [-- --fresh]: everything from a fresh clone to a running application with demo data.
import { existsSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { root, seedDemo } from './lib/prepare.mjs'
import { serve } from './lib/serve.mjs'

await serve(async () => {
  const dataDir = process.env.ELM_DATA_DIR ?? join(root, 'data/demo')
  if (process.argv.includes('--fresh')) rmSync(dataDir, { recursive: true, force: true })
  if (!existsSync(dataDir)) await seedDemo(dataDir)
  return dataDir
})
