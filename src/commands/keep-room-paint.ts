import { z } from 'zod'
import { WALL_NAMES } from '../core/light/walls'
import { OldWalls, saveRoomPaint } from '../db/room-paint'
import { kind, Refusal } from './kind'
import { id, millimetres } from './values'

const area = z
  .number()
  .positive('Expected an area above 0.')
  .max(1000, 'Expected an area of at most 1,000 m².')
  .nullable()

/** What of a room decides how much paint it takes: what is on its walls now, its joinery, its feature wall. */
export const keepRoomPaint = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    oldWalls: OldWalls.nullable(),
    skirtingMm: millimetres(0, 1000),
    casingMm: millimetres(0, 500),
    featureWall: z.enum(WALL_NAMES).nullable(),
    halfHeightMm: millimetres(100, 15_000),
    cabinetsM2: area,
    islandM2: area,
    otherM2: area,
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, ...paint }) {
    if (!(await saveRoomPaint(tx, visitId, roomId, paint)))
      throw new Refusal('That room is not in this visit, or was removed.')
  },
  sentence: ({ roomId, featureWall }, nameOf) =>
    `What decides the paint of ${nameOf(roomId)}` +
    (featureWall ? `, the ${featureWall} wall apart` : ''),
})
