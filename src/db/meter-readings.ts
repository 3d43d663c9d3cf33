import { z } from 'zod'
import { SKIES } from '../core/light/sky'
import { SPOT_NAMES } from '../core/light/spot'
import { many, type Db } from './db'

export const METER_DEVICES = ['typed', 'simulated'] as const

const MeterReadingRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  minute: z.number(),
  sky: z.enum(SKIES),
  lampsOn: z.boolean(),
  spot: z.enum(SPOT_NAMES),
  lux: z.number(),
  cctK: z.number(),
  device: z.enum(METER_DEVICES),
})
export type MeterReadingRecord = z.infer<typeof MeterReadingRow>

/** What a light meter said in the rooms of a visit, in the order it was kept. */
export function listMeterReadings(db: Db, visitId: string): Promise<MeterReadingRecord[]> {
  return many(
    db,
    MeterReadingRow,
    `select m.id, m.room_id as "roomId", m.minute, m.sky, m.lamps_on as "lampsOn", m.spot, m.lux,
       m.cct_k as "cctK", m.device
     from meter_reading m join room r on r.id = m.room_id where r.visit_id = $1
     order by m.kept_at, m.id`,
    [visitId],
  )
}

/** Keeps a reading; the same id again changes nothing. */
export async function keepMeterReading(db: Db, reading: MeterReadingRecord): Promise<void> {
  await db.query(
    `insert into meter_reading (id, room_id, minute, sky, lamps_on, spot, lux, cct_k, device)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9) on conflict (id) do nothing`,
    [
      reading.id,
      reading.roomId,
      reading.minute,
      reading.sky,
      reading.lampsOn,
      reading.spot,
      reading.lux,
      reading.cctK,
      reading.device,
    ],
  )
}

export async function dropMeterReading(db: Db, id: string): Promise<void> {
  await db.query('delete from meter_reading where id = $1', [id])
}
