import { z } from 'zod'
import type { Sweep } from '../core/round/sweep'
import { many, maybeOne, type Db } from './db'
import { FinishLight } from './finish-looks'

const SweepRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  keeperId: z.uuid(),
  seenAs: z.enum(['sample', 'screen']),
  light: FinishLight,
  stayed: z.array(z.uuid()),
  by: z.string(),
  madeAt: z.string(),
})

/** Sweeps in the rooms of a visit, past finishes that are there, that stand, oldest first. */
export const listSweeps = (db: Db, visitId: string): Promise<Sweep[]> =>
  many(
    db,
    SweepRow,
    `select s.id, s.room_id as "roomId", s.keeper_id as "keeperId", s.seen_as as "seenAs", s.light, s.stayed,
       s.seen_by as by, s.made_at as "madeAt"
     from sweep s join room r on r.id = s.room_id join keeper k on k.id = s.keeper_id
     where r.visit_id = $1 and r.removed_at is null and k.removed_at is null and s.retracted_at is null
     order by s.kept_at, s.id`,
    [visitId],
  )

/**
 * Writes a sweep.
 *
 * @returns false where its room or its finish was never of the visit
 */
export async function insertSweep(
  tx: Db,
  sweep: Omit<Sweep, 'id' | 'by' | 'madeAt'> & {
    readonly visitId: string
    readonly sweepId: string
  },
  { actor, madeAt, receivedAt }: { actor: string; madeAt: string; receivedAt: string },
): Promise<boolean> {
  const kept = await maybeOne(
    tx,
    z.object({ id: z.uuid() }),
    `insert into sweep (id, room_id, keeper_id, seen_as, light, stayed, seen_by, made_at, kept_at)
     select $2, r.id, k.id, $5, $6::jsonb, $7::jsonb, $8, $9::timestamptz, $10::timestamptz
     from room r, keeper k join room kr on kr.id = k.room_id
     where r.visit_id = $1 and r.id = $3 and k.id = $4 and kr.visit_id = $1
     returning id`,
    [
      sweep.visitId,
      sweep.sweepId,
      sweep.roomId,
      sweep.keeperId,
      sweep.seenAs,
      JSON.stringify(sweep.light),
      JSON.stringify(sweep.stayed),
      actor,
      madeAt,
      receivedAt,
    ],
  )
  return kept !== null
}
