import { RIBBON_STEP_MINUTES } from '@/core/light/ribbon'
import { useLight } from './light-context'

/** What keys do to the light, wherever they do: through the day, and held up in another light. */
export function useLightKeys(): Readonly<Record<string, () => void>> {
  const { roomDay, choice, settle } = useLight()
  const { day, room } = roomDay
  const stepTime = (by: number) => (): void =>
    settle({
      source: 'room',
      minute: Math.min(day.lengthMinutes - 1, Math.max(0, choice.minute + by)),
    })
  return {
    ',': stepTime(-RIBBON_STEP_MINUTES),
    '.': stepTime(RIBBON_STEP_MINUTES),
    r: () => settle({ source: 'room' }),
    o: () => settle({ source: 'north' }),
    e: () => settle({ source: 'west' }),
    p: () => void (room.lamps.length > 0 && settle({ source: 'lamps' })),
  }
}
