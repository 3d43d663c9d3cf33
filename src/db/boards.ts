import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { done, many, type Db } from './db'

const BoardRow = z.object({
  id: z.uuid(),
  candidateId: z.uuid(),
  /** Of a strip on the wall its room; null for a board, which goes from room to room. */
  roomId: z.uuid().nullable(),
  sheen: z.enum(SHEENS),
  widthMm: z.number(),
  heightMm: z.number(),
  borderMm: z.number(),
  count: z.number(),
  /** When the first tin is opened, by the clock of the place; null until somebody says. */
  begun: z.object({ date: z.string(), clockMinute: z.number() }).nullable(),
})
/** A painted sample of a candidate, at the candidate's strength. */
export type Board = z.infer<typeof BoardRow>

/** Boards of a visit that are in sight, in the order their candidates were taken up. */
export const listBoards = (db: Db, visitId: string): Promise<Board[]> =>
  many(
    db,
    BoardRow,
    `select b.id, b.candidate_id as "candidateId", b.room_id as "roomId", b.sheen, b.width_mm as "widthMm",
       b.height_mm as "heightMm", b.border_mm as "borderMm", b.count,
       case when b.begun_on is not null then
         jsonb_build_object('date', to_char(b.begun_on, 'YYYY-MM-DD'), 'clockMinute', b.begun_minute) end as begun
     from board b join candidate c on c.id = b.candidate_id
     where b.visit_id = $1 and b.removed_at is null and c.removed_at is null order by c.added_at, b.id`,
    [visitId],
  )

/**
 * Writes a board, new or changed.
 *
 * @returns false where its candidate or its room is not in the visit
 */
export async function saveBoard(
  tx: Db,
  board: Board & { readonly visitId: string; readonly removed: boolean },
  at: string,
): Promise<boolean> {
  return done(
    await tx.query(
      `insert into board (id, visit_id, candidate_id, room_id, sheen, width_mm, height_mm, border_mm, count, begun_on,
         begun_minute, removed_at)
       select $1, c.visit_id, c.id, $4, $5, $6, $7, $8, $9, $10::date, $11, case when $12::boolean then $13::timestamptz end
       from candidate c where c.visit_id = $2 and c.id = $3
         and ($4::uuid is null or exists (select from room r
           where r.id = $4 and r.visit_id = c.visit_id and r.removed_at is null))
       on conflict (id) do update set sheen = excluded.sheen, width_mm = excluded.width_mm, height_mm = excluded.height_mm,
         border_mm = excluded.border_mm, count = excluded.count, begun_on = excluded.begun_on,
         begun_minute = excluded.begun_minute, removed_at = excluded.removed_at
       where board.visit_id = excluded.visit_id and board.candidate_id = excluded.candidate_id
       returning id`,
      [
        board.id,
        board.visitId,
        board.candidateId,
        board.roomId,
        board.sheen,
        board.widthMm,
        board.heightMm,
        board.borderMm,
        board.count,
        board.begun?.date ?? null,
        board.begun?.clockMinute ?? null,
        board.removed,
        at,
      ],
    ),
  )
}
