import { useRouter, useSearchParams } from 'next/navigation'
import { useCallback, useEffect, useMemo, useSyncExternalStore, useTransition } from 'react'

/** What the page in sight has written into its address since it was opened. */
let written: {
  readonly path: string
  readonly changes: Readonly<Record<string, string | null>>
} = { path: '', changes: {} }
const listeners = new Set<() => void>()

/**
 * Changes some parameters of the address without a navigation; null takes one out.
 *
 * The router is not told, for a page whose parameters it knows as others than the server does is loaded whole at the second refresh.
 * So it writes its own address again after each, and ours goes over it (`useRefresh`).
 */
export function writeAddress(changes: Readonly<Record<string, string | null>>): void {
  const path = window.location.pathname
  written = { path, changes: { ...(written.path === path && written.changes), ...changes } }
  write()
}

function write(): void {
  const address = new URL(window.location.href)
  if (written.path !== address.pathname) return
  for (const [name, value] of Object.entries(written.changes))
    if (value === null) address.searchParams.delete(name)
    else address.searchParams.set(name, value)
  if (address.href === window.location.href) return
  window.history.replaceState(window.history.state, '', address)
  for (const listener of listeners) listener()
}

/** The parameters of the address, with what was written since. */
export function useAddress(): URLSearchParams {
  const byRouter = useSearchParams().toString()
  const now = useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => window.location.search,
    () => byRouter,
  )
  return useMemo(() => new URLSearchParams(now), [now])
}

/** Asks the server for the page anew, with what is kept by now. */
export function useRefresh(): () => void {
  const router = useRouter()
  const [isAsking, start] = useTransition()
  useEffect(() => {
    if (!isAsking) write()
  }, [isAsking])
  return useCallback(() => start(() => router.refresh()), [router])
}
