import { z } from 'zod'
import { SKIES } from '../core/light/sky'
import { SPOT_NAMES, spotWords } from '../core/light/spot'
import { insertMeterReading, METER_DEVICES } from '../db/meter-readings'
import { kind, Refusal } from './kind'
import { date, id, minute } from './values'

/** What a light meter said in a room. */
export const keepReading = kind({
  payload: z.object({
    visitId: id,
    readingId: id,
    roomId: id,
    date,
    minute,
    sky: z.enum(SKIES),
    lampsOn: z.boolean(),
    spot: z.enum(SPOT_NAMES),
    lux: z.number().positive().max(150_000),
    cctK: z.number().min(1500).max(25_000),
    device: z.enum(METER_DEVICES),
  }),
  visitOf: ({ visitId }) => visitId,
  observes: true,
  async write(tx, reading, { receivedAt }) {
    const kept = await insertMeterReading(tx, reading, receivedAt)
    if (!kept) throw new Refusal('That room is not in this visit.')
    return kept.roomRemoved ? 'Removed meanwhile: the room.' : undefined
  },
  sentence: ({ roomId, lux, cctK, spot }, nameOf) =>
    `Light meter in ${nameOf(roomId)}, ${spotWords(spot)}: ${lux} lux, ${cctK} K`,
})
