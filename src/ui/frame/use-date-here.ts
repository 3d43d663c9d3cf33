'use client'

import { useSyncExternalStore } from 'react'
import { dateInZone } from '@/time/date-in-zone'

const NEVER_CHANGES = (): (() => void) => () => undefined

/** Whether this is the browser, where the person is: what the server writes it writes without knowing their clocks. */
const useIsHere = (): boolean =>
  useSyncExternalStore(
    NEVER_CHANGES,
    () => true,
    () => false,
  )

/** The date of an instant where the person is, as 2026-06-21; empty until the page is theirs. */
export const useDateHere = (instant: string): string => {
  const isHere = useIsHere()
  return isHere ? dateInZone(instant) : ''
}

/** Today where the person is; empty until the page is theirs. */
export const useTodayHere = (): string =>
  useSyncExternalStore(
    NEVER_CHANGES,
    () => dateInZone(Date.now()),
    () => '',
  )
