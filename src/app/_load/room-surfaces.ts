import { PLAIN_SURFACES, type RoomSurfaces } from '@/core/light/room'
import { shiftedByEye } from '@/core/paint/by-eye'
import { reflectanceOfReading } from '@/core/paint/reading'
import { isJudgedAgainst, isUnderfoot } from '@/core/pairing/keeper-kind'
import type { Keeper } from '@/db/keepers'

/** The floor has the colour of what lies on it; walls and ceiling are as in any room. */
export function surfacesOf(keepers: readonly Keeper[]): RoomSurfaces {
  const floor = keepers.find(({ kind, state }) => isUnderfoot(kind) && isJudgedAgainst(state))
  const largest = floor?.colours.reduce((p, q) => (q.sharePercent > p.sharePercent ? q : p))
  return largest
    ? {
        ...PLAIN_SURFACES,
        floor: shiftedByEye(reflectanceOfReading(largest.reading), largest.shift),
      }
    : PLAIN_SURFACES
}
