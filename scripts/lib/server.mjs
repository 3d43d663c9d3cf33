import { spawn } from 'node:child_process'
import { createServer, isIPv6 } from 'node:net'
import { root } from './prepare.mjs'

/** A port of this machine that nothing listens on. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer()
    probe.on('error', reject)
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}

const NEXT_START = ['node_modules/next/dist/bin/next', 'start']

/**
 * Starts the built application on a data directory and waits until it answers.
 *
 * Next is started as a plain child: through npm it would outlive a signal. It leaves signals to the
 * application, which closes its data before it goes.
 *
 * @returns the process, its address, and `ended`: a promise of how it ended
 * @throws with what it printed when it stops before it answers
 */
export async function startServer({ port, dataDir, host = '127.0.0.1', isWide = false, env = {} }) {
  const url = `http://${host === '0.0.0.0' ? '127.0.0.1' : isIPv6(host) ? `[${host}]` : host}:${port}`
  const child = spawn(
    'node',
    // Longer than any browser or proxy holds a connection open: it is they who let go of it.
    [...NEXT_START, '-H', host, '-p', String(port), '--keepAliveTimeout', '120000'],
    {
      cwd: root,
      env: {
        ...process.env,
        ...env,
        ELM_DATA_DIR: dataDir,
        ELM_URL: url,
        ELM_WIDE: isWide ? 'yes' : 'no',
        NEXT_MANUAL_SIG_HANDLE: 'true',
        NEXT_TELEMETRY_DISABLED: '1',
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    },
  )
  let printed = ''
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk) => {
      printed = (printed + chunk).slice(-10_000)
    })
  let running = true
  const ended = new Promise((resolve) =>
    child.on('exit', (code, signal) => {
      running = false
      resolve({ code, signal, printed: () => printed })
    }),
  )
  while (running) {
    // Answered once the data is open, and without a page being made.
    const answer = await fetch(`${url}/api/deck-colours`).catch(() => null)
    // Another server on this port would answer too: ours must still be up a moment later.
    // 401: it is open, and asks for the passcode.
    if ((answer?.ok || answer?.status === 401) && running && printed.includes('Ready'))
      return { child, url, ended, printed: () => printed }
    await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 100))])
  }
  throw new Error(printed.trim() || 'the server stopped before it answered')
}
