// npm run demo [-- --fresh]: everything from a fresh clone to a running application with demo data.
import { existsSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureBuild, ensurePackages, root, seedDemo } from './lib/prepare.mjs'
import { startServer } from './lib/server.mjs'

const port = Number(process.env.PORT ?? 3000)
const dataDir = process.env.ELM_DATA_DIR ?? join(root, 'data/demo')

let server = null
let stopping = false
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    stopping = true
    if (server) server.child.kill('SIGTERM')
    else process.exit(0)
  })

try {
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Error(`PORT must be a number from 1 to 65535, got “${process.env.PORT}”`)
  await ensurePackages()
  await ensureBuild()
  if (process.argv.includes('--fresh')) rmSync(dataDir, { recursive: true, force: true })
  if (!existsSync(dataDir)) await seedDemo(dataDir)
  server = await startServer({ port, dataDir })
  console.log(`Elm Swatch is ready at ${server.url}`)
  const { code, printed } = await server.ended
  if (!stopping) console.error(printed())
  process.exit(stopping ? 0 : (code ?? 1))
} catch (error) {
  console.error(error.message)
  process.exit(1)
}
