import type { PayloadOf } from '@/commands/kinds'

/** A room of which only the name is known: of an ordinary size until it is measured. */
export const plainRoom = (visitId: string, roomId: string, name: string, northDeg = 0) =>
  ({
    visitId,
    roomId,
    name,
    northSouthMm: 4500,
    eastWestMm: 4000,
    heightMm: 2500,
    northDeg,
    useHours: 'daytime',
    treatment: 'plain',
    seenFrom: [],
  }) satisfies PayloadOf<'keep-room'>
