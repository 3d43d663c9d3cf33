'use client'

import { useCallback } from 'react'
import type { RoomDay } from '@/core/light/light-choice'
import { dayByClock } from '@/core/light/zone-clock'
import { useLight } from './light-context'

/** The room on another day than the one that is shown; null for a date its clocks are not known of. */
export function useDayOf(): (date: string) => RoomDay | null {
  const { roomDay, zone } = useLight()
  return useCallback(
    (date) => {
      const day = dayByClock(zone, date)
      return day && { ...roomDay, day }
    },
    [roomDay, zone],
  )
}
