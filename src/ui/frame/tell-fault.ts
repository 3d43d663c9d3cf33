// A page that fails again and again says so once in a while.
const MOST = 5
let told = 0

/** Tells the server of a fault on a page, for its log; nothing comes back. What was typed is not in it. */
export function tellFault(place: string, error: unknown): void {
  if ((told += 1) > MOST || typeof window === 'undefined') return
  const { name = 'Error', message = '', stack = '' } = (error ?? {}) as Partial<Error>
  const body = JSON.stringify({ place: `${place} ${location.pathname}`, name, message, stack })
  void fetch('/api/faults', { method: 'POST', body, keepalive: true }).catch(() => undefined)
}
