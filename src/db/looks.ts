import { z } from 'zod'
import { REASONS, VERDICTS } from '../core/record/verdict'
import { LIGHT_SOURCES } from '../core/light/light-choice'
import { SKIES } from '../core/light/sky'
import { SPOT_NAMES } from '../core/light/spot'
import { FOREIGN_KEY_VIOLATION, many, maybeOne, sqlState, type Db } from './db'

const LookRow = z.object({
  id: z.uuid(),
  candidateId: z.uuid(),
  roomId: z.uuid(),
  keeperId: z.uuid(),
  lightSource: z.enum(LIGHT_SOURCES),
  lightMinute: z.number(),
  lightDate: z.iso.date(),
  sky: z.enum(SKIES),
  spot: z.enum(SPOT_NAMES),
  lampsOn: z.boolean(),
  verdict: z.enum(VERDICTS),
  reasons: z.array(z.enum(REASONS)),
  note: z.string(),
  retracted: z.boolean(),
})
export type Look = z.infer<typeof LookRow>
export type NewLook = Omit<Look, 'retracted' | 'lightDate'>

const SELECT = `select id, candidate_id as "candidateId", room_id as "roomId",
  keeper_id as "keeperId", light_source as "lightSource", light_minute as "lightMinute",
  light_date as "lightDate", sky, spot, lamps_on as "lampsOn", verdict, reasons, note,
  retracted_at is not null as retracted from look`

/** Every look of a visit, also the struck-out ones, in the order they were kept. */
export function listLooks(db: Db, visitId: string): Promise<Look[]> {
  return many(db, LookRow, `${SELECT} where visit_id = $1 order by kept_at, id`, [visitId])
}

/**
 * Keeps a look, on the date of the visit. Writing the same id again changes nothing.
 *
 * @returns the look as it stands on disk, or null when its room, keeper or candidate is gone
 */
export async function keepLook(db: Db, look: NewLook): Promise<Look | null> {
  try {
    await db.query(
      `insert into look (id, visit_id, candidate_id, room_id, keeper_id, light_source,
         light_minute, light_date, sky, spot, lamps_on, verdict, reasons, note)
       select $1, v.id, $2, r.id, $4, $5, $6, v.visit_date, $7, $8, $9, $10, $11::jsonb, $12
       from room r join visit v on v.id = r.visit_id where r.id = $3
       on conflict (id) do nothing`,
      [
        look.id,
        look.candidateId,
        look.roomId,
        look.keeperId,
        look.lightSource,
        look.lightMinute,
        look.sky,
        look.spot,
        look.lampsOn,
        look.verdict,
        JSON.stringify(look.reasons),
        look.note,
      ],
    )
  } catch (error) {
    if (sqlState(error) === FOREIGN_KEY_VIOLATION) return null
    throw error
  }
  return maybeOne(db, LookRow, `${SELECT} where id = $1`, [look.id])
}

/** Strikes a look out; it stays on record. */
export async function retractLook(db: Db, id: string): Promise<void> {
  await db.query('update look set retracted_at = coalesce(retracted_at, now()) where id = $1', [id])
}
