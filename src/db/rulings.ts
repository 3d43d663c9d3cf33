import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { SURFACES } from '../core/record/proposal'
import type { Ruling } from '../core/record/ruling'
import { done, many, type Db } from './db'

const RulingRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  surface: z.enum(SURFACES),
  candidateId: z.uuid(),
  sheen: z.enum(SHEENS),
  compromise: z.string(),
  gaps: z.array(z.string()),
  by: z.string(),
  madeAt: z.string(),
  reopenedBecause: z.string().nullable(),
})
/** A ruling, with why it was reopened where it was. */
export type KeptRuling = Ruling & { readonly reopenedBecause: string | null }

/** Every ruling of a visit's rooms, also those reopened, in the order they were made. */
export const listRulings = (db: Db, visitId: string): Promise<KeptRuling[]> =>
  many(
    db,
    RulingRow,
    `select g.id, g.room_id as "roomId", g.surface, g.candidate_id as "candidateId", g.sheen, g.compromise, g.gaps,
       g.ruled_by as by, g.made_at as "madeAt", g.reopened_because as "reopenedBecause"
     from ruling g join room r on r.id = g.room_id
     where r.visit_id = $1 and r.removed_at is null and g.removed_at is null order by g.made_at, g.id`,
    [visitId],
  )

/**
 * Rules on a surface: its pick is what was proposed for it, what was picked before is proposed again.
 *
 * @returns false where the candidate is not proposed for that surface, or is ruled out
 */
export async function insertRuling(
  tx: Db,
  ruling: Omit<Ruling, 'id' | 'by' | 'madeAt'> & {
    readonly visitId: string
    readonly rulingId: string
  },
  { actor, madeAt }: { actor: string; madeAt: string },
): Promise<boolean> {
  const { visitId, roomId, surface, candidateId, sheen } = ruling
  const picked = await tx.query(
    `update proposal p set status = 'picked', sheen = $5, reason = '' from room r, candidate c
     where r.id = p.room_id and c.id = p.candidate_id and r.visit_id = $1 and r.removed_at is null
       and p.room_id = $2 and p.surface = $3 and p.candidate_id = $4 and p.removed_at is null
       and p.status <> 'ruled out' and c.ruled_out is null and c.removed_at is null returning p.id`,
    [visitId, roomId, surface, candidateId, sheen],
  )
  if (!done(picked)) return false
  await tx.query(
    `insert into ruling (id, room_id, surface, candidate_id, sheen, compromise, gaps, ruled_by, made_at)
     values ($1, $2, $3, $4, $5, $6, $7::jsonb, $8, $9::timestamptz)`,
    [
      ruling.rulingId,
      roomId,
      surface,
      candidateId,
      sheen,
      ruling.compromise,
      JSON.stringify(ruling.gaps),
      actor,
      madeAt,
    ],
  )
  return true
}

/**
 * Reopens a ruling: its pick is proposed again.
 *
 * @returns false where it does not stand in that visit
 */
export async function reopenRuling(
  tx: Db,
  visitId: string,
  rulingId: string,
  because: string,
  at: string,
): Promise<boolean> {
  const reopened = await many(
    tx,
    z.object({ roomId: z.uuid(), surface: z.enum(SURFACES), candidateId: z.uuid() }),
    `update ruling g set reopened_at = $4::timestamptz, reopened_because = $3 from room r
     where g.id = $2 and r.id = g.room_id and r.visit_id = $1 and g.removed_at is null and g.reopened_at is null
     returning g.room_id as "roomId", g.surface, g.candidate_id as "candidateId"`,
    [visitId, rulingId, because, at],
  )
  const [ruling] = reopened
  if (!ruling) return false
  await tx.query(
    `update proposal set status = 'proposed' where room_id = $1 and surface = $2 and candidate_id = $3 and status = 'picked'`,
    [ruling.roomId, ruling.surface, ruling.candidateId],
  )
  return true
}
