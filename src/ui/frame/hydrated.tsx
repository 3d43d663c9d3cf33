'use client'

import { useEffect } from 'react'

/** Marks the document once the page answers to keys; tests and pictures wait for it. */
export function Hydrated() {
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes'
  }, [])
  return null
}
