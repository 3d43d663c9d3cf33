'use client'

import { useMemo } from 'react'
import { askedRoomOn, type RoomBrief } from '@/core/ranking/asked-room'
import { useSteady } from '../frame/use-steady'
import { useLight } from '../light-bar/light-context'
import type { RankedFor } from './ranked-for'

/** What a deck is ranked by in the room of the page, on the day that is shown. */
export function useRankedFor(brief: RoomBrief, weakestPercent: number): RankedFor {
  const { roomDay } = useLight()
  const steady = useSteady(brief)
  return useMemo(
    () => ({ ...askedRoomOn(steady, roomDay), weakestPercent }),
    [steady, roomDay, weakestPercent],
  )
}
