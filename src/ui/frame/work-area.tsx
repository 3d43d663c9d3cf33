'use client'

import { usePathname } from 'next/navigation'
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from 'react'
import { useKeys } from '../keys/use-keys'

/** Where the work is: the keys begin here after every step, not at the top of the page; a form is sent from anywhere in it, one that is marked as at hand from anywhere on its page. */
export function WorkArea({ children }: { readonly children: ReactNode }) {
  const path = usePathname()
  const area = useRef<HTMLDivElement>(null)
  useEffect(() => {
    // A page that has said itself where to begin is not overruled.
    if (!area.current!.contains(document.activeElement)) area.current!.focus()
  }, [path])
  useKeys({}, [['Ctrl Enter', 'save the form at hand']])

  function send(event: KeyboardEvent): void {
    if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey)) return
    const form =
      (event.target as HTMLElement).closest('form') ??
      area.current!.querySelector<HTMLFormElement>('form[data-at-hand]')
    const key = form?.querySelector<HTMLButtonElement>('button[type=submit]')
    // What its key would not send now, this does not either.
    if (!form || key?.disabled) return
    event.preventDefault()
    form.requestSubmit()
  }

  return (
    <div
      ref={area}
      tabIndex={-1}
      onKeyDown={send}
      className="flex min-h-0 min-w-0 flex-1 flex-col outline-none print:block"
    >
      {children}
    </div>
  )
}
