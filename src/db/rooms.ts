import { z } from 'zod'
import {
  BULBS,
  CURTAINS,
  GLAZINGS,
  GROUNDS,
  kindsOf,
  LAMP_PLACES,
  OPPOSITES,
} from '../core/light/fittings'
import { USE_HOURS } from '../core/light/use-hours'
import { TREATMENTS } from '../core/paint/treatment'
import { many, NotFoundError, type Db } from './db'

const WindowShape = z.object({
  id: z.uuid(),
  bearingDeg: z.number(),
  widthMm: z.number(),
  heightMm: z.number(),
  sillMm: z.number(),
  pitchDeg: z.number(),
  glazing: z.enum(kindsOf(GLAZINGS)),
  curtain: z.enum(kindsOf(CURTAINS)),
  overhangMm: z.number(),
  opposite: z.enum(kindsOf(OPPOSITES)),
  oppositeDeg: z.number(),
  ground: z.enum(kindsOf(GROUNDS)),
})
const LampShape = z.object({
  id: z.uuid(),
  bulb: z.enum(kindsOf(BULBS)),
  cctK: z.number(),
  lumens: z.number(),
  place: z.enum(kindsOf(LAMP_PLACES)),
  evening: z.boolean(),
})

const RoomRow = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  name: z.string(),
  northSouthMm: z.number(),
  eastWestMm: z.number(),
  heightMm: z.number(),
  useHours: z.enum(USE_HOURS),
  treatment: z.enum(TREATMENTS),
  /** The keeper that leads, once it is chosen. */
  leadKeeperId: z.uuid().nullable(),
  /** Rooms that are open to or seen from this one. */
  seenFrom: z.array(z.uuid()),
  windows: z.array(WindowShape),
  lamps: z.array(LampShape),
})
export type Room = z.infer<typeof RoomRow>
export type Window = z.infer<typeof WindowShape>
export type Lamp = z.infer<typeof LampShape>

const SELECT = `select r.id, r.visit_id as "visitId", r.name, r.north_south_mm as "northSouthMm",
  r.east_west_mm as "eastWestMm", r.height_mm as "heightMm", r.use_hours as "useHours", r.treatment,
  r.lead_keeper_id as "leadKeeperId",
  coalesce((select json_agg(case s.room_id when r.id then s.seen_room_id else s.room_id end)
    from room_sight s join room o on o.id = case s.room_id when r.id then s.seen_room_id else s.room_id end
    where r.id in (s.room_id, s.seen_room_id) and o.removed_at is null), '[]') as "seenFrom",
  coalesce((select json_agg(json_build_object('id', w.id, 'bearingDeg', w.bearing_deg,
      'widthMm', w.width_mm, 'heightMm', w.height_mm, 'sillMm', w.sill_mm, 'pitchDeg', w.pitch_deg,
      'glazing', w.glazing, 'curtain', w.curtain, 'overhangMm', w.overhang_mm,
      'opposite', w.opposite, 'oppositeDeg', w.opposite_deg, 'ground', w.ground)
      order by w.bearing_deg, w.id)
    from room_window w where w.room_id = r.id), '[]') as windows,
  coalesce((select json_agg(json_build_object('id', l.id, 'bulb', l.bulb, 'cctK', l.cct_k,
      'lumens', l.lumens, 'place', l.place, 'evening', l.evening) order by l.cct_k, l.id)
    from lamp l where l.room_id = r.id), '[]') as lamps
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

export async function getRoom(db: Db, id: string): Promise<Room> {
  const [room] = await many(db, RoomRow, `${SELECT} where r.id = $1`, [id])
  if (!room) throw new NotFoundError(`no room ${id}`)
  return room
}

/** Writes a room's name, size and use; the same id again changes it. A new room stands last. */
export async function saveRoom(
  db: Db,
  room: Omit<Room, 'windows' | 'lamps' | 'seenFrom' | 'leadKeeperId'>,
): Promise<void> {
  await db.query(
    `insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm, use_hours, treatment,
       position, created_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8,
       (select coalesce(max(position) + 1, 0) from room where visit_id = $2), clock_timestamp())
     on conflict (id) do update set name = excluded.name, north_south_mm = excluded.north_south_mm,
       east_west_mm = excluded.east_west_mm, height_mm = excluded.height_mm,
       use_hours = excluded.use_hours, treatment = excluded.treatment`,
    [
      room.id,
      room.visitId,
      room.name,
      room.northSouthMm,
      room.eastWestMm,
      room.heightMm,
      room.useHours,
      room.treatment,
    ],
  )
}

/** Says which other rooms of its visit a room is open to or seen from. */
export async function saveSights(
  db: Db,
  roomId: string,
  seenFrom: readonly string[],
): Promise<void> {
  await db.query(
    `with dropped as (
       delete from room_sight where $1 in (room_id, seen_room_id)
         and not (case room_id when $1 then seen_room_id else room_id end = any($2::uuid[])))
     insert into room_sight (room_id, seen_room_id)
     select least($1::uuid, o.id), greatest($1::uuid, o.id)
     from room r join room o on o.visit_id = r.visit_id and o.id <> r.id
     where r.id = $1 and o.id = any($2::uuid[])
     on conflict do nothing`,
    [roomId, seenFrom],
  )
}

/** Puts the rooms of a visit in an order; rooms it does not name keep theirs behind. */
export async function orderRooms(
  db: Db,
  visitId: string,
  roomIds: readonly string[],
): Promise<void> {
  await db.query(
    `update room set position = coalesce(array_position($2::uuid[], id), 1000 + position)
     where visit_id = $1`,
    [visitId, roomIds],
  )
}

/**
 * Notes which keeper leads in a room.
 *
 * @returns false where the keeper is not in that room
 */
export async function setLead(db: Db, roomId: string, keeperId: string): Promise<boolean> {
  const led = await db.query(
    `update room set lead_keeper_id = $2
     where id = $1 and exists (select from keeper_room where room_id = $1 and keeper_id = $2)
     returning id`,
    [roomId, keeperId],
  )
  return led.length > 0
}

/** Takes a room out of its visit, or puts it back; its record stays. */
export async function setRoomRemoved(db: Db, id: string, removed: boolean): Promise<void> {
  await db.query(
    'update room set removed_at = case when $2 then coalesce(removed_at, now()) end where id = $1',
    [id, removed],
  )
}

/** A copy of a room with its windows and lamps under a new name, all with ids of their own. */
export async function duplicateRoom(
  db: Db,
  id: string,
  copyId: string,
  name: string,
): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.query(
      `insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm, use_hours, treatment,
         position, created_at)
       select $2, visit_id, $3, north_south_mm, east_west_mm, height_mm, use_hours, treatment, position,
         clock_timestamp()
       from room where id = $1 on conflict (id) do nothing`,
      [id, copyId, name],
    )
    await tx.query(
      `insert into room_window (id, room_id, bearing_deg, width_mm, height_mm, sill_mm, pitch_deg, glazing,
         curtain, overhang_mm, opposite, opposite_deg, ground)
       select gen_random_uuid(), $2, bearing_deg, width_mm, height_mm, sill_mm, pitch_deg, glazing,
         curtain, overhang_mm, opposite, opposite_deg, ground
       from room_window where room_id = $1`,
      [id, copyId],
    )
    await tx.query(
      `insert into lamp (id, room_id, bulb, cct_k, lumens, place, evening)
       select gen_random_uuid(), $2, bulb, cct_k, lumens, place, evening from lamp where room_id = $1`,
      [id, copyId],
    )
  })
}

export async function saveWindow(db: Db, roomId: string, window: Window): Promise<void> {
  await db.query(
    `insert into room_window (id, room_id, bearing_deg, width_mm, height_mm, sill_mm, pitch_deg, glazing,
       curtain, overhang_mm, opposite, opposite_deg, ground)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)
     on conflict (id) do update set bearing_deg = excluded.bearing_deg, width_mm = excluded.width_mm,
       height_mm = excluded.height_mm, sill_mm = excluded.sill_mm, pitch_deg = excluded.pitch_deg,
       glazing = excluded.glazing, curtain = excluded.curtain, overhang_mm = excluded.overhang_mm,
       opposite = excluded.opposite, opposite_deg = excluded.opposite_deg, ground = excluded.ground`,
    [
      window.id,
      roomId,
      window.bearingDeg,
      window.widthMm,
      window.heightMm,
      window.sillMm,
      window.pitchDeg,
      window.glazing,
      window.curtain,
      window.overhangMm,
      window.opposite,
      window.oppositeDeg,
      window.ground,
    ],
  )
}

export async function removeWindow(db: Db, id: string): Promise<void> {
  await db.query('delete from room_window where id = $1', [id])
}

export async function saveLamp(db: Db, roomId: string, lamp: Lamp): Promise<void> {
  await db.query(
    `insert into lamp (id, room_id, bulb, cct_k, lumens, place, evening) values ($1, $2, $3, $4, $5, $6, $7)
     on conflict (id) do update set bulb = excluded.bulb, cct_k = excluded.cct_k,
       lumens = excluded.lumens, place = excluded.place, evening = excluded.evening`,
    [lamp.id, roomId, lamp.bulb, lamp.cctK, lamp.lumens, lamp.place, lamp.evening],
  )
}

export async function removeLamp(db: Db, id: string): Promise<void> {
  await db.query('delete from lamp where id = $1', [id])
}
