import { existsSync, readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import { isIP } from 'node:net'
import { join } from 'node:path'

const isLoopback = (host) => host === 'localhost' || host === '::1' || /^127\./.test(host)

/**
 * Where the application is to be reached, by its settings: ELM_HOST, an address of this machine or 0.0.0.0, wider than this
 * machine only with a passcode; ELM_CERT and ELM_KEY, the files of a certificate.
 *
 * @throws in words what is missing
 */
export function doorOf(dataDir, env = process.env) {
  const host = env.ELM_HOST ?? '127.0.0.1'
  if (!isLoopback(host) && !isIP(host))
    throw new Error(`ELM_HOST must be an address of this machine or 0.0.0.0, got “${host}”`)
  const isWide = !isLoopback(host)
  if (isWide && !existsSync(join(dataDir, 'passcode.json')))
    throw new Error(
      'Other devices are let in only with a passcode, and none is set. Set one with: npm run passcode',
    )
  const { ELM_CERT: cert, ELM_KEY: key } = env
  if ((cert === undefined) !== (key === undefined))
    throw new Error('A certificate is two files: name both, ELM_CERT and ELM_KEY')
  return { host, isWide, tls: cert ? { cert: readFileSync(cert), key: readFileSync(key) } : null }
}

/** Stands before the application with a certificate; it listens on this machine alone. */
export async function standBefore(port, { host, tls }, publicPort) {
  // In a fresh clone there are no packages yet when this file is read.
  const { createProxyServer } = await import('httpxy')
  const forward = createProxyServer({ target: `http://127.0.0.1:${port}`, xfwd: true })
  return new Promise((resolve, reject) => {
    const server = createServer(tls, (request, response) =>
      forward.web(request, response).catch(() => response.destroy()),
    )
    server.on('error', reject)
    server.listen(publicPort, host, () => resolve(server))
  })
}
