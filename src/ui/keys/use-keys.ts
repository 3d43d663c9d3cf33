'use client'

import { useEffect, useRef } from 'react'

const STEPS = new Set(['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown', ',', '.'])

/** Runs what a key stands for, unless the key is meant for the control that has the focus. */
export function useKeys(keys: Readonly<Record<string, () => void>>): void {
  const current = useRef(keys)
  useEffect(() => {
    current.current = keys
  })
  useEffect(() => {
    function onKeyDown(event: KeyboardEvent): void {
      // A key that is held down was meant once; only steps go on.
      if (event.repeat && !STEPS.has(event.key)) return
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
      const target = event.target instanceof HTMLElement ? event.target : null
      if (target?.matches('input:not([type=checkbox]), textarea, select')) return
      const roving = target?.closest('[role=slider], [role=radiogroup], [role=group]')
      if (roving && event.key.startsWith('Arrow')) return
      const run = current.current[event.key.length === 1 ? event.key.toLowerCase() : event.key]
      if (!run) return
      event.preventDefault()
      run()
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [])
}
