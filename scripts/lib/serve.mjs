import { hostname } from 'node:os'
import { setTimeout } from 'node:timers/promises'
import { ensureBuild, ensurePackages } from './prepare.mjs'
import { doorOf, standBefore } from './door.mjs'
import { freePort, startServer } from './server.mjs'

// A server that was ready and ended without being told to is started again: its database stopped and it wants to be
// (`src/store/recovery.ts`), or the system took it down. One that ends again and again is not.
const MOST_STARTS = 20
const IS_WELL_AFTER_MS = 600_000
const PAUSE_MS = 500

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
    const door = doorOf(dataDir)
    // With a certificate the application itself listens on this machine alone, on a port of its own.
    const inner = door.tls ? await freePort() : port
    const front = door.tls ? await standBefore(inner, door, port) : null
    for (let starts = 1; ; starts++) {
      const begun = Date.now()
      const host = door.tls ? '127.0.0.1' : door.host
      server = await startServer({
        ...{ port: inner, dataDir, host, isWide: door.isWide },
        // It is believed by the application whom it asks for.
        env: { ELM_FRONT: front ? 'yes' : 'no' },
      })
      const name = door.isWide ? hostname() : '127.0.0.1'
      if (door.isWide && !front)
        console.log(
          'What goes over the network is not encrypted: whoever is in it can read along, the passcode too. With a certificate (ELM_CERT, ELM_KEY) it is.',
        )
      console.log(`Elm Swatch is ready at ${front ? 'https' : 'http'}://${name}:${port}`)
      const { code, printed } = await server.ended
      if (stopping) process.exit(0)
      console.error(printed())
      if (starts === MOST_STARTS) process.exit(code || 1)
      if (Date.now() - begun > IS_WELL_AFTER_MS) starts = 0
      await setTimeout(PAUSE_MS * Math.max(1, starts))
    }
  } catch (error) {
    console.error(error.message)
    process.exit(1)
  }
}
