'use client'

import { useEffect, useRef, useState } from 'react'
import type { Inside } from './inside-room'
import { loadInside } from './load-inside'
import { RoomSeen } from './room-seen'

/** The room itself, computed from its own sizes, windows, finishes and the hour. */
export function InsideView({
  visitId,
  roomId,
  onBack,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly onBack: () => void
}) {
  const [inside, setInside] = useState<Inside | 'away' | null>(null)
  useEffect(() => {
    let isHere = true
    void loadInside(visitId, roomId).then((loaded) => {
      if (isHere) setInside(loaded ?? 'away')
    })
    return () => void (isHere = false)
  }, [visitId, roomId])
  const heading = useRef<HTMLHeadingElement>(null)
  useEffect(() => heading.current?.focus(), [])
  return (
    <main className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto px-4 py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h1 ref={heading} tabIndex={-1} className="text-title outline-none">
          In the room{inside && inside !== 'away' ? `: ${inside.name}` : ''}
        </h1>
        <button type="button" className="key ml-auto" onClick={onBack}>
          Back <kbd className="ml-2 text-fine text-dim">Q</kbd>
        </button>
      </div>
      {inside === 'away' && (
        <p role="alert" className="text-small">
          This room cannot be shown just now: the server is not answering, and this device has not
          taken it along.
        </p>
      )}
      {inside && inside !== 'away' && (
        <RoomSeen
          inside={inside}
          onChange={(change) => setInside((now) => (now && now !== 'away' ? change(now) : now))}
        />
      )}
    </main>
  )
}
