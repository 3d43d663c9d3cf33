import { z } from 'zod'
import { BULBS, CURTAINS, kindsOf, LAMP_PLACES } from '../core/light/fittings'
import type { WhatIf } from '../core/room/what-if'
import { many, type Db } from './db'

const colour = z.string().min(1).max(120).nullable()

/** What a room might have instead. */
export const WhatIfShape = z.object({
  lamps: z
    .object({
      bulb: z.enum(kindsOf(BULBS)),
      cctK: z.number().min(1800).max(7000),
      lumens: z.number().min(10).max(100_000),
      place: z.enum(kindsOf(LAMP_PLACES)),
      count: z.int().min(1).max(12),
    })
    .nullable(),
  curtain: z.enum(kindsOf(CURTAINS)).nullable(),
  ceiling: colour,
  floor: colour,
  cabinets: colour,
})

const WhatIfRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  name: z.string(),
  change: WhatIfShape,
  says: z.string(),
})
export type KeptWhatIf = z.infer<typeof WhatIfRow>

/** What was proposed that a visit's rooms might have, in the order it was kept. */
export const listWhatIfs = (db: Db, visitId: string): Promise<KeptWhatIf[]> =>
  many(
    db,
    WhatIfRow,
    `select w.id, w.room_id as "roomId", w.name, w.change, w.says from what_if w join room r on r.id = w.room_id
     where r.visit_id = $1 and r.removed_at is null and w.removed_at is null order by w.kept_at, w.id`,
    [visitId],
  )

/** Writes what a room might have, or takes it out; false where the room is not in the visit. */
export async function saveWhatIf(
  tx: Db,
  visitId: string,
  {
    id,
    roomId,
    name,
    change,
    says,
    removed,
  }: Omit<KeptWhatIf, 'change'> & { readonly change: WhatIf; readonly removed: boolean },
  at: string,
): Promise<boolean> {
  const rows = await tx.query(
    `insert into what_if (id, room_id, name, change, says, kept_at, removed_at)
     select $2, r.id, $4, $5::jsonb, $6, $7::timestamptz, case when $8::boolean then $7::timestamptz end
     from room r where r.visit_id = $1 and r.id = $3 and r.removed_at is null
     on conflict (id) do update set name = excluded.name, change = excluded.change, says = excluded.says,
       removed_at = excluded.removed_at
     where what_if.room_id = excluded.room_id
     returning id`,
    [visitId, id, roomId, name, JSON.stringify(change), says, at, removed],
  )
  return rows.length > 0
}
