import { z } from 'zod'
import { JUDGEMENTS } from '../core/pairing/chance'
import { FINISH_VERDICTS, type FinishLook } from '../core/record/finish-look'
import { many, maybeOne, type Db } from './db'
import { LIGHT } from './look-row'

export const FinishLight = z.object({
  ...LIGHT,
  metered: z.object({ lux: z.number(), cctK: z.number() }).nullable(),
})
export const FinishModel = z.object({
  version: z.string(),
  judgement: z.enum(JUDGEMENTS),
  chance: z.number(),
  sentence: z.string(),
})

const FinishLookRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  arrivingId: z.uuid(),
  besideId: z.uuid(),
  seenAs: z.enum(['sample', 'screen']),
  light: FinishLight,
  verdict: z.enum(FINISH_VERDICTS),
  model: FinishModel.nullable(),
  by: z.string(),
  madeAt: z.string(),
})

/** Looks at what arrives beside what stays, in the rooms of a visit, that stand, oldest first. */
export const listFinishLooks = (db: Db, visitId: string): Promise<FinishLook[]> =>
  many(
    db,
    FinishLookRow,
    `select f.id, f.room_id as "roomId", f.arriving_id as "arrivingId", f.beside_id as "besideId",
       f.seen_as as "seenAs", f.light, f.verdict, f.model, f.seen_by as by, f.made_at as "madeAt"
     from finish_look f join room r on r.id = f.room_id
     where r.visit_id = $1 and r.removed_at is null and f.retracted_at is null order by f.kept_at, f.id`,
    [visitId],
  )

/**
 * Writes a look at two finishes.
 *
 * @returns false where its room or one of them was never of the visit
 */
export async function insertFinishLook(
  tx: Db,
  look: Omit<FinishLook, 'id' | 'by' | 'madeAt'> & {
    readonly visitId: string
    readonly lookId: string
  },
  { actor, madeAt, receivedAt }: { actor: string; madeAt: string; receivedAt: string },
): Promise<boolean> {
  const kept = await maybeOne(
    tx,
    z.object({ id: z.uuid() }),
    `insert into finish_look (id, room_id, arriving_id, beside_id, seen_as, light, verdict, model, seen_by, made_at, kept_at)
     select $2, r.id, a.id, b.id, $6, $7::jsonb, $8, $9::jsonb, $10, $11::timestamptz, $12::timestamptz
     from room r, keeper a join room ar on ar.id = a.room_id, keeper b join room br on br.id = b.room_id
     where r.visit_id = $1 and r.id = $3 and a.id = $4 and ar.visit_id = $1 and b.id = $5 and br.visit_id = $1
     returning id`,
    [
      look.visitId,
      look.lookId,
      look.roomId,
      look.arrivingId,
      look.besideId,
      look.seenAs,
      JSON.stringify(look.light),
      look.verdict,
      look.model && JSON.stringify(look.model),
      actor,
      madeAt,
      receivedAt,
    ],
  )
  return kept !== null
}
