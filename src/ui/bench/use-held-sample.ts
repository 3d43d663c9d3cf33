'use client'

import { useState } from 'react'
import { MS_PER_MINUTE } from '@/core/light/day-clock'
import { isLampsAlone } from '@/core/light/lamps-alone'
import { dateByClock } from '@/core/light/zone-clock'
import { useLight } from '../light-bar/light-context'
import { lookLight } from './bench-model'
import { heldAs, ON_SCREEN, type HeldSample } from './held-sample'

/** The whole light of a look that is given now. */
export function useLightOfLook() {
  const { choice, light, roomDay } = useLight()
  return (held: HeldSample) =>
    lookLight(roomDay, choice, light, held.held === null ? '' : held.place.trim())
}

const momentOf = (date: string, minute: number): string => `${date} ${Math.round(minute)}`

/**
 * What one looks at: the screen, or a sample in the light that is here. Once the bar is moved from now, one looks at the
 * screen again.
 */
export function useHeldSample() {
  const { choice, roomDay, zone, settle, showDay } = useLight()
  const [sample, setSample] = useState(ON_SCREEN)
  const [hereAndNow, setHereAndNow] = useState('')
  const [problem, setProblem] = useState('')
  const isHere =
    hereAndNow === momentOf(roomDay.day.date, choice.minute) &&
    (choice.source === 'room' || (choice.source === 'lamps' && isLampsAlone(roomDay, choice)))
  const held = sample.held !== null && isHere ? sample : { ...sample, held: null }

  /** Moves the bar to now, by the clock of the place; false where this device is in another year. */
  function moveToNow(): boolean {
    const now = Date.now()
    const day = dateByClock(zone, now)
    if (!day) return false
    const minute = Math.round((now - day.startUtcMs) / MS_PER_MINUTE)
    const source =
      choice.source === 'lamps' && isLampsAlone({ ...roomDay, day }, { ...choice, minute })
        ? 'lamps'
        : 'room'
    showDay(day.date)
    settle({ source, minute })
    setHereAndNow(momentOf(day.date, minute))
    return true
  }

  return {
    held,
    /** What keeps a sample from being held, in words. */
    problem,
    hold(to: HeldSample): void {
      const isKept = to.held === null || held.held !== null || moveToNow()
      setProblem(
        isKept ? '' : 'The clock of this device is far from the visit; a sample is seen now.',
      )
      if (isKept) setSample(to)
    },
    /** To the sample of another candidate: time goes on from pair to pair. */
    moveOn(candidatePercent: number): void {
      if (held.held === null) return
      moveToNow()
      setSample(heldAs(held, held.held, candidatePercent))
    },
  }
}
