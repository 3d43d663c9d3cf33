import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { SURFACES } from '../core/record/proposal'
import { SCHEME_ORIGINS, type Scheme } from '../core/scheme/whole-scheme'
import { done, many, type Db } from './db'

export const SchemePart = z.object({
  surface: z.enum(SURFACES),
  candidateId: z.uuid(),
  sheen: z.enum(SHEENS),
})

const SchemeRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
  name: z.string(),
  origin: z.enum(SCHEME_ORIGINS),
  parts: z.array(SchemePart),
  accents: z.array(z.uuid()),
  comes: z.array(z.uuid()).nullable(),
  isChosen: z.boolean(),
})

/** Schemes of a visit's rooms that are in sight, in the order they were kept. */
export const listSchemes = (db: Db, visitId: string): Promise<Scheme[]> =>
  many(
    db,
    SchemeRow,
    `select s.id, s.room_id as "roomId", s.name, s.origin, s.parts, s.accents, s.comes, s.chosen_at is not null as "isChosen"
     from scheme s join room r on r.id = s.room_id
     where r.visit_id = $1 and r.removed_at is null and s.removed_at is null order by s.kept_at, s.id`,
    [visitId],
  )

/**
 * Writes a scheme, new or changed; one that is chosen stays so.
 *
 * @returns false where its room, or a candidate or a furnishing of it, is not in the visit
 */
export async function saveScheme(
  tx: Db,
  visitId: string,
  scheme: Omit<Scheme, 'isChosen'> & { readonly removed: boolean },
  at: string,
): Promise<boolean> {
  const candidates = [...new Set(scheme.parts.map(({ candidateId }) => candidateId))]
  const accents = [...new Set(scheme.accents)]
  const comes = [...new Set(scheme.comes ?? [])]
  return done(
    await tx.query(
      `insert into scheme (id, room_id, name, origin, parts, accents, kept_at, removed_at, comes)
       select $2, r.id, $4, $5, $6::jsonb, $7::jsonb, $8::timestamptz, case when $9::boolean then $8::timestamptz end, $12::jsonb
       from room r where r.visit_id = $1 and r.id = $3 and r.removed_at is null
         and (select count(*) from candidate c where c.visit_id = $1 and c.id = any($10::uuid[])) = cardinality($10::uuid[])
         and (select count(*) from deck_colour d where d.id = any($11::uuid[])) = cardinality($11::uuid[])
         and (select count(*) from keeper k join room o on o.id = k.room_id where o.visit_id = $1 and k.id = any($13::uuid[])) = cardinality($13::uuid[])
       on conflict (id) do update set name = excluded.name, parts = excluded.parts, accents = excluded.accents, comes = excluded.comes,
         removed_at = excluded.removed_at
       where scheme.room_id = excluded.room_id
       returning id`,
      [
        visitId,
        scheme.id,
        scheme.roomId,
        scheme.name,
        scheme.origin,
        JSON.stringify(scheme.parts),
        JSON.stringify(scheme.accents),
        at,
        scheme.removed,
        candidates,
        accents,
        scheme.comes && JSON.stringify(scheme.comes),
        comes,
      ],
    ),
  )
}

/** Chooses a scheme of its room instead of any other; null where it is not in the visit. */
export async function chooseScheme(
  tx: Db,
  visitId: string,
  schemeId: string,
  at: string,
): Promise<Pick<Scheme, 'roomId' | 'parts'> | null> {
  await tx.query(
    `update scheme s set chosen_at = null where s.chosen_at is not null and s.id <> $2
       and s.room_id = (select o.room_id from scheme o join room r on r.id = o.room_id where o.id = $2 and r.visit_id = $1)`,
    [visitId, schemeId],
  )
  const [chosen] = await many(
    tx,
    SchemeRow.pick({ roomId: true, parts: true }),
    `update scheme s set chosen_at = coalesce(s.chosen_at, $3::timestamptz) from room r
     where s.id = $2 and r.id = s.room_id and r.visit_id = $1 and r.removed_at is null and s.removed_at is null
     returning s.room_id as "roomId", s.parts`,
    [visitId, schemeId, at],
  )
  return chosen ?? null
}
