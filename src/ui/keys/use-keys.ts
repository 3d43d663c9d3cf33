'use client'

import { createContext, useContext, useEffect, useRef } from 'react'

const STEPS = new Set(['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', ',', '.'])

/** What keys do, as a list tells it: [as they are written, what they do]. */
export type KeyWords = readonly (readonly [keys: string, does: string])[]

const inForce = new Set<{ readonly current: KeyWords }>()

/** Every key that does something on the page now, in the order the parts of the page came. */
export const keysInForce = (): KeyWords => [...inForce].flatMap(({ current }) => current)

/** Above what does not listen for now: something else stands in its place. */
export const KeysMuted = createContext(false)

/**
 * Runs what a key stands for, unless the key is meant for the control that has the focus.
 *
 * @param words what the list of keys says of them
 */
export function useKeys(keys: Readonly<Record<string, () => void>>, words: KeyWords = []): void {
  const current = useRef(keys)
  const told = useRef(words)
  const muted = useContext(KeysMuted)
  useEffect(() => {
    current.current = keys
    told.current = words
  })
  useEffect(() => {
    if (muted) return
    inForce.add(told)
    function onKeyDown(event: KeyboardEvent): void {
      // A key that is held down was meant once; only steps go on.
      if (event.repeat && !STEPS.has(event.key)) return
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
      const target = event.target instanceof HTMLElement ? event.target : null
      if (target?.matches('input:not([type=checkbox]), textarea, select')) return
      // Enter and the space bar press what has the focus, and nothing else.
      if ((event.key === 'Enter' || event.key === ' ') && target?.closest(PRESSED)) return
      const roving = target?.closest('[role=slider], [role=radiogroup], [role=radio]')
      if (roving && event.key.startsWith('Arrow')) return
      const { current: keys } = current
      const run =
        keys[withShift(event) ?? ''] ??
        keys[event.key.length === 1 ? event.key.toLowerCase() : event.key]
      if (!run) return
      event.preventDefault()
      run()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => {
      inForce.delete(told)
      window.removeEventListener('keydown', onKeyDown)
    }
  }, [muted])
}

/** "⇧1" of the row of digits, whatever the keyboard prints with it; undefined of any other key. */
function withShift({ shiftKey, code }: KeyboardEvent): string | undefined {
  const digit = /^Digit(\d)$/.exec(code)?.[1] ?? (code === 'Minus' ? '-' : undefined)
  return shiftKey && digit !== undefined ? `⇧${digit}` : undefined
}

const PRESSED = 'button, a[href], summary, input, [role=option], [role=menuitem]'
