import { z } from 'zod'
import type { Placing } from '../core/room/usual-places'
import { many, type Db } from './db'

const PlacingRow = z.object({
  roomId: z.uuid(),
  thingId: z.uuid(),
  eastMm: z.number(),
  northMm: z.number(),
  widthMm: z.number(),
  depthMm: z.number(),
  heightMm: z.number(),
  fromMm: z.number(),
})
export type PlacingInRoom = z.infer<typeof PlacingRow>

/** Where things stand in a visit's rooms that somebody has put there. */
export const listPlacings = (db: Db, visitId: string): Promise<PlacingInRoom[]> =>
  many(
    db,
    PlacingRow,
    `select p.room_id as "roomId", p.thing_id as "thingId", p.east_mm as "eastMm", p.north_mm as "northMm",
       p.width_mm as "widthMm", p.depth_mm as "depthMm", p.height_mm as "heightMm", p.from_mm as "fromMm"
     from thing_place p join room r on r.id = p.room_id where r.visit_id = $1 and r.removed_at is null
     order by p.room_id, p.thing_id`,
    [visitId],
  )

/** A keeper that is in a room, or a lamp of it. */
const THING = `select r.id from room r where r.visit_id = $1 and r.id = $2 and r.removed_at is null
  and (exists (select from keeper_room kr join keeper k on k.id = kr.keeper_id
      where kr.room_id = r.id and kr.keeper_id = $3 and kr.removed_at is null and k.removed_at is null)
    or exists (select from lamp l where l.id = $3 and l.room_id = r.id and l.removed_at is null))`

/** Puts a thing somewhere, or back to where such things usually stand; false where it is not in that room of the visit. */
export async function savePlacing(
  tx: Db,
  visitId: string,
  roomId: string,
  thingId: string,
  placing: Placing | null,
): Promise<boolean> {
  const rooms = await tx.query(THING, [visitId, roomId, thingId])
  if (rooms.length === 0) return false
  if (!placing) {
    await tx.query('delete from thing_place where room_id = $1 and thing_id = $2', [
      roomId,
      thingId,
    ])
    return true
  }
  await tx.query(
    `insert into thing_place (room_id, thing_id, east_mm, north_mm, width_mm, depth_mm, height_mm, from_mm)
     values ($1, $2, $3, $4, $5, $6, $7, $8)
     on conflict (room_id, thing_id) do update set east_mm = excluded.east_mm, north_mm = excluded.north_mm,
       width_mm = excluded.width_mm, depth_mm = excluded.depth_mm, height_mm = excluded.height_mm,
       from_mm = excluded.from_mm`,
    [
      ...[roomId, thingId, placing.eastMm, placing.northMm],
      ...[placing.widthMm, placing.depthMm, placing.heightMm, placing.fromMm],
    ],
  )
  return true
}
