'use client'

import dynamic from 'next/dynamic'
import { useSearchParams } from 'next/navigation'
import { useCallback, useEffect, useRef, useState, type ReactNode } from 'react'
import { NOTHING_YET } from '../frame/nothing-yet'
import { writeAddress } from '../frame/page-address'
import { part } from '../frame/part'
import { HeldLight } from '../light-bar/held-light'
import { KeysMuted, useKeys } from '../keys/use-keys'

const InsideView = dynamic(
  () => part(() => import('./inside-view').then(({ InsideView }) => InsideView)),
  { loading: NOTHING_YET },
)

/** A step of a room, and the room itself in its place for as long as it is looked at: the step stays as it was. */
export function InsideFrame({
  visitId,
  roomId,
  children,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly children: ReactNode
}) {
  const [open, setOpen] = useState(useSearchParams().get('in') === 'room')
  const before = useRef<HTMLElement | null>(null)
  const show = useCallback((isOpen: boolean) => {
    if (isOpen) before.current = document.activeElement as HTMLElement | null
    setOpen(isOpen)
    writeAddress({ in: isOpen ? 'room' : null })
  }, [])
  useEffect(() => {
    if (!open) before.current?.focus()
  }, [open])
  useKeys({ q: () => show(!open), ...(open && { Escape: () => show(false) }) }, [
    ['Q', open ? 'back from the room itself' : 'the room itself, computed'],
  ])
  return (
    <>
      <KeysMuted value={open}>
        <HeldLight held={open}>
          <div className={open ? 'hidden' : 'contents'}>{children}</div>
        </HeldLight>
      </KeysMuted>
      {open ? (
        <InsideView visitId={visitId} roomId={roomId} onBack={() => show(false)} />
      ) : (
        <div className="flex shrink-0 justify-end px-4 print:hidden">
          <button
            type="button"
            className="min-h-8 text-fine underline underline-offset-4"
            onClick={() => show(true)}
          >
            In the room <kbd className="text-dim">Q</kbd>
          </button>
        </div>
      )}
    </>
  )
}
