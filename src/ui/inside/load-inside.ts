import type { Inside } from './inside-room'
import { BANDS } from '@/core/colour/spectrum'

const isReflectance = (value: unknown): value is number[] =>
  Array.isArray(value) && value.length === BANDS && value.every((each) => typeof each === 'number')

/** A room as it is put together; null where it cannot be had just now. */
export async function loadInside(visitId: string, roomId: string): Promise<Inside | null> {
  const answer = await fetch(`/api/visits/${visitId}/rooms/${roomId}/inside`).catch(() => null)
  if (!answer?.ok) return null
  return JSON.parse(await answer.text(), (_key, value: unknown) =>
    isReflectance(value) ? Float64Array.from(value) : value,
  ) as Inside
}
