import { z } from 'zod'
import { many, NotFoundError, type Db } from './db'

const WindowShape = z.object({
  id: z.uuid(),
  bearingDeg: z.number(),
  widthMm: z.number(),
  heightMm: z.number(),
})
const LampShape = z.object({ id: z.uuid(), cctK: z.number(), lumens: z.number() })

const RoomRow = z.object({
  id: z.uuid(),
  visitId: z.uuid(),
  name: z.string(),
  northSouthMm: z.number(),
  eastWestMm: z.number(),
  heightMm: z.number(),
  windows: z.array(WindowShape),
  lamps: z.array(LampShape),
})
export type Room = z.infer<typeof RoomRow>
export type Window = z.infer<typeof WindowShape>
export type Lamp = z.infer<typeof LampShape>

const SELECT = `select r.id, r.visit_id as "visitId", r.name, r.north_south_mm as "northSouthMm",
  r.east_west_mm as "eastWestMm", r.height_mm as "heightMm",
  coalesce((select json_agg(json_build_object('id', w.id, 'bearingDeg', w.bearing_deg,
      'widthMm', w.width_mm, 'heightMm', w.height_mm) order by w.bearing_deg, w.id)
    from room_window w where w.room_id = r.id), '[]') as windows,
  coalesce((select json_agg(json_build_object('id', l.id, 'cctK', l.cct_k, 'lumens', l.lumens)
      order by l.cct_k, l.id)
    from lamp l where l.room_id = r.id), '[]') as lamps
  from room r`

/** Rooms of a visit in the order they were added. */
export function listRooms(db: Db, visitId: string): Promise<Room[]> {
  return many(db, RoomRow, `${SELECT} where r.visit_id = $1 order by r.created_at, r.name`, [
    visitId,
  ])
}

export async function getRoom(db: Db, id: string): Promise<Room> {
  const [room] = await many(db, RoomRow, `${SELECT} where r.id = $1`, [id])
  if (!room) throw new NotFoundError(`no room ${id}`)
  return room
}

/** Writes a room's name and size; the same id again changes it. */
export async function saveRoom(db: Db, room: Omit<Room, 'windows' | 'lamps'>): Promise<void> {
  await db.query(
    `insert into room (id, visit_id, name, north_south_mm, east_west_mm, height_mm, created_at)
     values ($1, $2, $3, $4, $5, $6, clock_timestamp())
     on conflict (id) do update set name = excluded.name, north_south_mm = excluded.north_south_mm,
       east_west_mm = excluded.east_west_mm, height_mm = excluded.height_mm`,
    [room.id, room.visitId, room.name, room.northSouthMm, room.eastWestMm, room.heightMm],
  )
}

export async function saveWindow(db: Db, roomId: string, window: Window): Promise<void> {
  await db.query(
    `insert into room_window (id, room_id, bearing_deg, width_mm, height_mm)
     values ($1, $2, $3, $4, $5)
     on conflict (id) do update set bearing_deg = excluded.bearing_deg,
       width_mm = excluded.width_mm, height_mm = excluded.height_mm`,
    [window.id, roomId, window.bearingDeg, window.widthMm, window.heightMm],
  )
}

export async function removeWindow(db: Db, id: string): Promise<void> {
  await db.query('delete from room_window where id = $1', [id])
}

export async function saveLamp(db: Db, roomId: string, lamp: Lamp): Promise<void> {
  await db.query(
    `insert into lamp (id, room_id, cct_k, lumens) values ($1, $2, $3, $4)
     on conflict (id) do update set cct_k = excluded.cct_k, lumens = excluded.lumens`,
    [lamp.id, roomId, lamp.cctK, lamp.lumens],
  )
}

export async function removeLamp(db: Db, id: string): Promise<void> {
  await db.query('delete from lamp where id = $1', [id])
}
