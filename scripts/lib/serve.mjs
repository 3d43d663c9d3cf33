import { ensureBuild, ensurePackages } from './prepare.mjs'
import { startServer } from './server.mjs'

/**
 * Everything from a fresh clone to a running application on a data directory, until a signal ends it.
 *
 * @param prepare given back the data directory; runs once packages and build are there
 */
export async function serve(prepare) {
  const port = Number(process.env.PORT ?? 3000)
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
    const dataDir = await prepare()
    server = await startServer({ port, dataDir })
    console.log(`Elm Swatch is ready at ${server.url}`)
    const { code, printed } = await server.ended
    if (!stopping) console.error(printed())
    process.exit(stopping ? 0 : (code ?? 1))
  } catch (error) {
    console.error(error.message)
    process.exit(1)
  }
}
