import { IncomingMessage, Server } from 'node:http'

// Written by the server itself at each request, over whatever a client says under that name.
const PEER_HEADER = 'x-elm-peer'

/** Notes with each request the address that it came from, for `addressOf`: a page's handler sees headers only. */
export function notePeers(): void {
  const { emit } = Server.prototype
  Server.prototype.emit = function (this: Server, event: string, ...rest: unknown[]): boolean {
    const [request] = rest
    if (event === 'request' && request instanceof IncomingMessage)
      request.headers[PEER_HEADER] = request.socket.remoteAddress ?? ''
    return (emit as (...all: unknown[]) => boolean).call(this, event, ...rest)
  } as typeof emit
}

const plain = (address: string): string => address.trim().replace(/^::ffff:/, '')

/**
 * The address that a request came from. Only a proxy that is trusted is believed whom it asks for: our own, which stands before
 * the application with a certificate, and those that ELM_PROXIES names.
 *
 * @param trusted addresses of proxies
 */
export function addressOf(headers: Headers, trusted: readonly string[] = trustedProxies()): string {
  const peer = plain(headers.get(PEER_HEADER) ?? '')
  if (!trusted.includes(peer)) return peer
  // Each proxy adds whom it heard at the end: what stands before the first that is not trusted anybody may have written.
  const heard = (headers.get('x-forwarded-for') ?? '').split(',').map(plain).filter(Boolean)
  return heard.findLast((address) => !trusted.includes(address)) ?? peer
}

const trustedProxies = (): string[] => [
  ...(process.env.ELM_FRONT === 'yes' ? ['127.0.0.1', '::1'] : []),
  ...(process.env.ELM_PROXIES ?? '').split(',').map(plain).filter(Boolean),
]
