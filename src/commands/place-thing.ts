import { z } from 'zod'
import { savePlacing } from '../db/placings'
import { kind, Refusal } from './kind'
import { id } from './values'

const mm = (least: number, most: number) =>
  z.int().min(least, `Expected at least ${least} mm.`).max(most, `Expected at most ${most} mm.`)

/** Puts a keeper or a lamp somewhere in a room, or back to where such things usually stand. */
export const placeThing = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    /** A keeper or a lamp. */
    thingId: id,
    /** What it is called, for the history. */
    name: z.string().trim().min(1).max(80),
    placing: z
      .object({
        eastMm: mm(-50_000, 50_000),
        northMm: mm(-50_000, 50_000),
        widthMm: mm(10, 20_000),
        depthMm: mm(10, 20_000),
        heightMm: mm(5, 15_000),
        fromMm: mm(0, 15_000),
      })
      .nullable(),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, thingId, placing }) {
    if (!(await savePlacing(tx, visitId, roomId, thingId, placing)))
      throw new Refusal('That is not in this room, or was removed.')
  },
  sentence: ({ roomId, name, placing }, nameOf) =>
    placing
      ? `${name} put somewhere else in ${nameOf(roomId)}`
      : `${name} put back to its usual place in ${nameOf(roomId)}`,
})
