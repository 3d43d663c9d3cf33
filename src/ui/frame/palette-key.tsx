'use client'

import dynamic from 'next/dynamic'
import { part } from './part'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { Destination } from './steps'

// Its list and its search are loaded when it is asked for.
const Palette = dynamic(() => part(() => import('./palette').then(({ Palette }) => Palette)), {
  ssr: false,
})

/** Goes to any room, keeper, candidate or step by a few letters of its name. */
export function PaletteKey({ destinations }: { readonly destinations: readonly Destination[] }) {
  const [asked, setAsked] = useState(false)
  const early = useRef<EarlyKeys | null>(null)
  const ask = useCallback((): void => {
    early.current ??= earlyKeys(() => {
      early.current = null
      setAsked(false)
    })
    setAsked(true)
  }, [])
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent): void {
      if (event.key.toLowerCase() !== 'k' || !(event.ctrlKey || event.metaKey) || event.altKey)
        return
      event.preventDefault()
      ask()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [ask])
  return (
    <>
      <button
        type="button"
        className="min-h-9 whitespace-nowrap underline underline-offset-4"
        aria-keyshortcuts="Control+K Meta+K"
        onClick={ask}
      >
        Go to <kbd className="max-2xl:hidden">Ctrl K</kbd>
      </button>
      {asked && (
        <Palette
          destinations={destinations}
          takeTyped={() => early.current?.take() ?? ''}
          onClose={() => {
            early.current = null
            setAsked(false)
          }}
        />
      )}
    </>
  )
}

interface EarlyKeys {
  /** What was typed, and no more of it is held back. */
  readonly take: () => string
}

/** Holds back what is typed before the palette is there: meant for it, and else a verdict on the bench. Escape lets go. */
function earlyKeys(onEscape: () => void): EarlyKeys {
  const listening = new AbortController()
  let typed = ''
  window.addEventListener(
    'keydown',
    (event) => {
      event.preventDefault()
      event.stopImmediatePropagation()
      if (event.key === 'Escape') {
        listening.abort()
        onEscape()
      } else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey) typed += event.key
    },
    { capture: true, signal: listening.signal },
  )
  return {
    take() {
      listening.abort()
      const all = typed
      typed = ''
      return all
    },
  }
}
