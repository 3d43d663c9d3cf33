'use client'

import dynamic from 'next/dynamic'
import { useEffect, useState } from 'react'
import type { Destination } from './steps'

// Its list and its search are loaded when it is asked for.
const Palette = dynamic(() => import('./palette').then(({ Palette }) => Palette), { ssr: false })

/** Goes to any room, keeper, candidate or step by a few letters of its name. */
export function PaletteKey({ destinations }: { readonly destinations: readonly Destination[] }) {
  const [asked, setAsked] = useState(false)
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent): void {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey)
        return
      event.preventDefault()
      setAsked(true)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [])
  return (
    <>
      <button
        type="button"
        className="min-h-9 whitespace-nowrap underline underline-offset-4"
        aria-keyshortcuts="Control+K Meta+K"
        onClick={() => setAsked(true)}
      >
        Go to <kbd className="max-2xl:hidden">Ctrl K</kbd>
      </button>
      {asked && <Palette destinations={destinations} onClose={() => setAsked(false)} />}
    </>
  )
}
