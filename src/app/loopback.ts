const LOOPBACK_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]'])

/** Whether a request was sent to this machine by a name of its own, not by one that merely leads here. */
export const isLoopbackHost = (host: string | null): boolean =>
  host !== null && LOOPBACK_NAMES.has(host.replace(/:\d+$/, ''))

/** Whether a write comes from a page of this very application, not from someone else's page in the same browser. */
export function isOwnPage(request: Request): boolean {
  const host = request.headers.get('host')
  return isLoopbackHost(host) && request.headers.get('origin') === `http://${host}`
}
