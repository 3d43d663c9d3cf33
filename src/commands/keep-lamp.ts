import { z } from 'zod'
import { BULBS, kindsOf, LAMP_PLACES } from '../core/light/fittings'
import { saveLamp } from '../db/fittings'
import { findRoom } from '../db/rooms'
import { kind, Refusal } from './kind'
import { id } from './values'

/** A lamp of a room, new or changed. */
export const keepLamp = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    lampId: id,
    bulb: z.enum(kindsOf(BULBS)),
    cctK: z.int().min(1500).max(10_000),
    lumens: z.int().min(10).max(100_000),
    place: z.enum(kindsOf(LAMP_PLACES)),
    evening: z.boolean(),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, lampId, ...lamp }) {
    if ((await findRoom(tx, roomId))?.visitId !== visitId)
      throw new Refusal('That room is not in this visit, or was removed.')
    if (!(await saveLamp(tx, roomId, { id: lampId, ...lamp })))
      throw new Refusal('That lamp is of another room.')
  },
  sentence: ({ roomId, cctK, lumens }, nameOf) =>
    `Lamp in ${nameOf(roomId)}: ${cctK} K, ${lumens} lumens`,
})
