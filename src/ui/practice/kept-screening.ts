'use client'

import { useSyncExternalStore } from 'react'
import { boolean, object, string } from 'zod/mini'
import type { Screened } from '@/core/vision/screening'
import { dateInZone } from '@/time/date-in-zone'

const KEPT = 'elm.screening'
const Shape = object({
  on: string(),
  isPlain: boolean(),
  words: string(),
  second: string(),
})
/** A screening of colour vision as this device keeps it; it goes nowhere else. */
export type KeptScreening = Screened & { readonly on: string }

const heard = new Set<() => void>()
const tell = (): void => heard.forEach((listener) => listener())

export function keepScreening(screened: Screened): void {
  const { isPlain, words, second } = screened
  const on = dateInZone(Date.now())
  localStorage.setItem(KEPT, JSON.stringify({ on, isPlain, words, second }))
  tell()
}

export function forgetScreening(): void {
  localStorage.removeItem(KEPT)
  tell()
}

/** What was kept on this device; null where nothing was. */
export function useKeptScreening(): KeptScreening | null {
  const text = useSyncExternalStore(
    (listener) => {
      heard.add(listener)
      return () => heard.delete(listener)
    },
    () => localStorage.getItem(KEPT),
    () => null,
  )
  if (text === null) return null
  try {
    const kept = Shape.safeParse(JSON.parse(text))
    return kept.success ? kept.data : null
  } catch {
    return null
  }
}
