'use client'

/** Ends being let in: here, or on every device. */
export function Leave() {
  async function leave(everywhere: boolean): Promise<void> {
    await fetch(`/api/enter${everywhere ? '?everywhere=yes' : ''}`, { method: 'DELETE' }).catch(
      () => null,
    )
    // What was taken along goes with it; what still waits to be sent stays.
    if ('caches' in window)
      for (const name of await caches.keys())
        if (!name.startsWith('shell-')) await caches.delete(name)
    location.replace('/enter')
  }
  return (
    <div className="mt-4 flex flex-wrap gap-3">
      <button type="button" className="key" onClick={() => void leave(false)}>
        Sign out on this device
      </button>
      <button type="button" className="key" onClick={() => void leave(true)}>
        Sign out on every device
      </button>
    </div>
  )
}
