import { z } from 'zod'
import { USE_HOURS } from '../core/light/use-hours'
import { TREATMENTS } from '../core/paint/treatment'
import { HUE_NAMES } from '../core/undertone/hue-name'
import type { Lean } from '../core/undertone/lean'
import { done, many, maybeOne, type Db } from './db'
import { copyFittings, DoorShape, LampShape, WindowShape } from './fittings'

/** Leans that are out of a room. */
export const RuledOutLeans = z.array(z.object({ lean: z.enum(HUE_NAMES), strong: z.boolean() }))

const RoomRow = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  name: z.string(),
  northSouthMm: z.number(),
  eastWestMm: z.number(),
  heightMm: z.number(),
  /** Where its north wall faces, clockwise from true north. */
  northDeg: z.number(),
  useHours: z.enum(USE_HOURS),
  treatment: z.enum(TREATMENTS),
  /** The keeper that leads, once it is chosen. */
  leadKeeperId: z.uuid().nullable(),
  ruledOutLeans: RuledOutLeans,
  /** Rooms that are open to or seen from this one. */
  seenFrom: z.array(z.uuid()),
  windows: z.array(WindowShape),
  doors: z.array(DoorShape),
  lamps: z.array(LampShape),
})
export type Room = z.infer<typeof RoomRow>

const SELECT = `select r.id, r.visit_id as "visitId", r.name, r.north_south_mm as "northSouthMm",
  r.east_west_mm as "eastWestMm", r.height_mm as "heightMm", r.north_deg as "northDeg", r.use_hours as "useHours", r.treatment,
  r.ruled_out_leans as "ruledOutLeans",
  (select k.id from keeper k where k.id = r.lead_keeper_id and k.removed_at is null) as "leadKeeperId",
  coalesce((select json_agg(case s.room_id when r.id then s.seen_room_id else s.room_id end)
    from room_sight s join room o on o.id = case s.room_id when r.id then s.seen_room_id else s.room_id end
    where r.id in (s.room_id, s.seen_room_id) and o.removed_at is null), '[]') as "seenFrom",
  coalesce((select json_agg(json_build_object('id', w.id, 'bearingDeg', w.bearing_deg,
      'widthMm', w.width_mm, 'heightMm', w.height_mm, 'sillMm', w.sill_mm, 'pitchDeg', w.pitch_deg,
      'glazing', w.glazing, 'curtain', w.curtain, 'overhangMm', w.overhang_mm,
      'opposite', w.opposite, 'oppositeDeg', w.opposite_deg, 'ground', w.ground,
      'alongPercent', w.along_percent)
      order by w.bearing_deg, w.id)
    from room_window w where w.room_id = r.id and w.removed_at is null and w.glazing <> 'solid'), '[]') as windows,
  coalesce((select json_agg(json_build_object('id', w.id, 'bearingDeg', w.bearing_deg,
      'widthMm', w.width_mm, 'heightMm', w.height_mm, 'alongPercent', w.along_percent)
      order by w.bearing_deg, w.id)
    from room_window w where w.room_id = r.id and w.removed_at is null and w.glazing = 'solid'), '[]') as doors,
  coalesce((select json_agg(json_build_object('id', l.id, 'bulb', l.bulb, 'cctK', l.cct_k,
      'lumens', l.lumens, 'place', l.place, 'evening', l.evening) order by l.cct_k, l.id)
    from lamp l where l.room_id = r.id and l.removed_at is null), '[]') as lamps
  from room r`

/** Rooms of a visit in the order they were added. */
export function listRooms(db: Db, visitId: string): Promise<Room[]> {
  return many(
    db,
    RoomRow,
    `${SELECT} where r.visit_id = $1 and r.removed_at is null
     order by r.position, r.created_at, r.name`,
    [visitId],
  )
}

/** A room that is in its visit, or null. */
export async function findRoom(db: Db, id: string): Promise<Room | null> {
  return maybeOne(db, RoomRow, `${SELECT} where r.id = $1 and r.removed_at is null`, [id])
}

/**
 * Writes a room's name, size and use; the same id again changes it. A new room stands last.
 *
 * @returns false where that id is of another visit's room, or of one that was taken out
 */
export async function saveRoom(
  tx: Db,
  room: Omit<Room, 'windows' | 'doors' | 'lamps' | 'seenFrom' | 'leadKeeperId' | 'ruledOutLeans'>,
  at: string,
): Promise<boolean> {
  return done(
    await tx.query(
      `insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm, use_hours, treatment, north_deg,
         position, created_at)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9,
         (select coalesce(max(position) + 1, 0) from room where visit_id = $2), $10::timestamptz)
       on conflict (id) do update set name = excluded.name, north_south_mm = excluded.north_south_mm,
         east_west_mm = excluded.east_west_mm, height_mm = excluded.height_mm,
         use_hours = excluded.use_hours, treatment = excluded.treatment, north_deg = excluded.north_deg
       where room.visit_id = excluded.visit_id and room.removed_at is null
       returning id`,
      [
        room.id,
        room.visitId,
        room.name,
        room.northSouthMm,
        room.eastWestMm,
        room.heightMm,
        room.useHours,
        room.treatment,
        room.northDeg,
        at,
      ],
    ),
  )
}

/** Says which other rooms of its visit a room is open to or seen from. */
export async function saveSights(
  tx: Db,
  roomId: string,
  seenFrom: readonly string[],
): Promise<void> {
  await tx.query(
    `delete from room_sight where $1 in (room_id, seen_room_id)
       and not (case room_id when $1 then seen_room_id else room_id end = any($2::uuid[]))`,
    [roomId, seenFrom],
  )
  await tx.query(
    `insert into room_sight (room_id, seen_room_id)
     select least($1::uuid, o.id), greatest($1::uuid, o.id)
     from room r join room o on o.visit_id = r.visit_id and o.id <> r.id
     where r.id = $1 and o.id = any($2::uuid[])
     on conflict do nothing`,
    [roomId, seenFrom],
  )
}

/** Puts the rooms of a visit in an order; rooms it does not name keep theirs behind. */
export async function orderRooms(
  tx: Db,
  visitId: string,
  roomIds: readonly string[],
): Promise<void> {
  await tx.query(
    `update room set position = coalesce(array_position($2::uuid[], id), 1000 + position)
     where visit_id = $1`,
    [visitId, roomIds],
  )
}

/** Takes a lean out of a room, or in again; false where that room is not in the visit. */
export async function setLeanOut(
  tx: Db,
  visitId: string,
  roomId: string,
  { lean, strong }: Lean,
  out: boolean,
): Promise<boolean> {
  return done(
    await tx.query(
      `update room set ruled_out_leans = (
         select coalesce(jsonb_agg(each), '[]') from (
           select each from jsonb_array_elements(ruled_out_leans) as each where each <> $3::jsonb
           union all select $3::jsonb where $4) as left_out)
       where visit_id = $1 and id = $2 and removed_at is null returning id`,
      [visitId, roomId, JSON.stringify({ lean, strong }), out],
    ),
  )
}

/** Notes which keeper leads in a room; false where it is not in that room. */
export async function setLead(
  tx: Db,
  visitId: string,
  roomId: string,
  keeperId: string,
): Promise<boolean> {
  return done(
    await tx.query(
      `update room set lead_keeper_id = $3
       where visit_id = $1 and id = $2 and exists (select from keeper_room kr join keeper k on k.id = kr.keeper_id
         where kr.room_id = $2 and k.id = $3 and kr.removed_at is null and k.removed_at is null)
       returning id`,
      [visitId, roomId, keeperId],
    ),
  )
}

/** Takes a room out of its visit at an instant, or puts it back; its record stays. False where it is not of the visit. */
export async function setRoomRemoved(
  tx: Db,
  visitId: string,
  id: string,
  at: string | null,
): Promise<boolean> {
  return done(
    await tx.query(
      `update room set removed_at = case when $3::timestamptz is not null then coalesce(removed_at, $3::timestamptz) end
       where visit_id = $1 and id = $2 returning id`,
      [visitId, id, at],
    ),
  )
}

/** A copy of a room with its windows and lamps under a new name; false where the room is not in the visit. */
export async function copyRoom(
  tx: Db,
  {
    visitId,
    roomId,
    copyId,
    name,
    at,
  }: Readonly<Record<'visitId' | 'roomId' | 'copyId' | 'name' | 'at', string>>,
): Promise<boolean> {
  const copied = await tx.query(
    `insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm, use_hours, treatment, north_deg,
       position, created_at)
     select $3, visit_id, $4, north_south_mm, east_west_mm, height_mm, use_hours, treatment, north_deg,
       (select max(position) + 1 from room where visit_id = $1), $5::timestamptz
     from room where id = $2 and visit_id = $1 and removed_at is null returning id`,
    [visitId, roomId, copyId, name, at],
  )
  if (copied.length === 0) return false
  await copyFittings(tx, roomId, copyId)
  return true
}

/** Gives a room the size, the turn and the use of another; each keeps its name. */
export async function likenRoom(tx: Db, roomId: string, likeRoomId: string): Promise<void> {
  await tx.query(
    `update room set north_south_mm = l.north_south_mm, east_west_mm = l.east_west_mm, height_mm = l.height_mm,
       north_deg = l.north_deg, use_hours = l.use_hours, treatment = l.treatment
     from room l where room.id = $1 and l.id = $2`,
    [roomId, likeRoomId],
  )
}
