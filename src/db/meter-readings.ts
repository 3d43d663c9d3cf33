import { z } from 'zod'
import { SKIES } from '../core/light/sky'
import { SPOT_NAMES } from '../core/light/spot'
import { many, maybeOne, type Db } from './db'

export const METER_DEVICES = ['typed', 'simulated'] as const

const MeterReadingRow = z.object({
  id: z.uuid(),
  /** The change that brought it, by which it is taken back. */
  commandId: z.uuid().nullable(),
  roomId: z.uuid(),
  /** Null where it was not kept. */
  date: z.iso.date().nullable(),
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
    `select m.id, (select e.command_id from event e join command c on c.id = e.command_id
         where e.subject_id = m.id and e.what = 'insert' and c.kind = 'keep-reading') as "commandId",
       m.room_id as "roomId", m.date, m.minute, m.sky, m.lamps_on as "lampsOn", m.spot, m.lux,
       m.cct_k as "cctK", m.device
     from meter_reading m join room r on r.id = m.room_id where r.visit_id = $1
       and m.retracted_at is null order by m.kept_at, m.id`,
    [visitId],
  )
}

/**
 * Writes a reading.
 *
 * @returns whether its room had been taken out meanwhile, or null where it never was in the visit
 */
export function insertMeterReading(
  tx: Db,
  reading: Omit<MeterReadingRecord, 'id' | 'commandId' | 'date'> & {
    readonly visitId: string
    readonly readingId: string
    readonly date: string
  },
  at: string,
): Promise<{ readonly roomRemoved: boolean } | null> {
  return maybeOne(
    tx,
    z.object({ roomRemoved: z.boolean() }),
    `with found as (select id, removed_at is not null as "roomRemoved" from room where visit_id = $1 and id = $3),
     kept as (
       insert into meter_reading (id, room_id, date, minute, sky, lamps_on, spot, lux, cct_k, device, kept_at)
       select $2, found.id, $4::date, $5, $6, $7, $8, $9, $10, $11, $12::timestamptz from found returning id)
     select "roomRemoved" from found, kept`,
    [
      reading.visitId,
      reading.readingId,
      reading.roomId,
      reading.date,
      reading.minute,
      reading.sky,
      reading.lampsOn,
      reading.spot,
      reading.lux,
      reading.cctK,
      reading.device,
      at,
    ],
  )
}
