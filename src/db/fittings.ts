import { z } from 'zod'
import {
  BULBS,
  CURTAINS,
  GLAZINGS,
  GROUNDS,
  kindsOf,
  LAMP_PLACES,
  OPPOSITES,
  type SOLID,
  type Glazing,
} from '../core/light/fittings'
import { done, type Db } from './db'

export const WindowShape = z.object({
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
  alongPercent: z.number().nullable(),
})
/** A door that lets no light in. */
export const DoorShape = WindowShape.pick({
  id: true,
  bearingDeg: true,
  widthMm: true,
  heightMm: true,
  alongPercent: true,
})
export const LampShape = z.object({
  id: z.uuid(),
  bulb: z.enum(kindsOf(BULBS)),
  cctK: z.number(),
  lumens: z.number(),
  place: z.enum(kindsOf(LAMP_PLACES)),
  evening: z.boolean(),
})

export type Window = z.infer<typeof WindowShape>
export type Door = z.infer<typeof DoorShape>
export type Lamp = z.infer<typeof LampShape>

// A copy's windows and lamps have ids that follow from the copy's own (UUIDs of version 8): made again, they are the same.
const COPIED_ID = `overlay(overlay(md5($2::text || id::text) placing '8' from 13) placing '8' from 17)::uuid`

/** Gives a room the windows, doors and lamps of another. */
export async function copyFittings(tx: Db, fromRoomId: string, toRoomId: string): Promise<void> {
  await tx.query(
    `insert into room_window (id, room_id, bearing_deg, width_mm, height_mm, sill_mm, pitch_deg, glazing,
       curtain, overhang_mm, opposite, opposite_deg, ground, along_percent)
     select ${COPIED_ID}, $2::uuid, bearing_deg, width_mm, height_mm, sill_mm, pitch_deg, glazing,
       curtain, overhang_mm, opposite, opposite_deg, ground, along_percent
     from room_window where room_id = $1 and removed_at is null`,
    [fromRoomId, toRoomId],
  )
  await tx.query(
    `insert into lamp (id, room_id, bulb, cct_k, lumens, place, evening)
     select ${COPIED_ID}, $2::uuid, bulb, cct_k, lumens, place, evening
     from lamp where room_id = $1 and removed_at is null`,
    [fromRoomId, toRoomId],
  )
}

/** Writes a window or a door, new or changed; false where that id is of another room's. */
export async function saveWindow(
  tx: Db,
  roomId: string,
  window: Omit<Window, 'glazing'> & { readonly glazing: Glazing | typeof SOLID },
): Promise<boolean> {
  return done(
    await tx.query(
      `insert into room_window (id, room_id, bearing_deg, width_mm, height_mm, sill_mm, pitch_deg, glazing,
         curtain, overhang_mm, opposite, opposite_deg, ground, along_percent)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14)
       on conflict (id) do update set bearing_deg = excluded.bearing_deg, width_mm = excluded.width_mm,
         height_mm = excluded.height_mm, sill_mm = excluded.sill_mm, pitch_deg = excluded.pitch_deg,
         glazing = excluded.glazing, curtain = excluded.curtain, overhang_mm = excluded.overhang_mm,
         opposite = excluded.opposite, opposite_deg = excluded.opposite_deg, ground = excluded.ground,
         along_percent = excluded.along_percent, removed_at = null
       where room_window.room_id = excluded.room_id
       returning id`,
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
        window.alongPercent,
      ],
    ),
  )
}

/** Says anew where windows and doors face. */
export async function turnOpenings(
  tx: Db,
  openings: readonly { readonly id: string; readonly bearingDeg: number }[],
): Promise<void> {
  await tx.query(
    `update room_window w set bearing_deg = asked.bearing
     from unnest($1::uuid[], $2::double precision[]) as asked (id, bearing)
     where w.id = asked.id and w.bearing_deg <> asked.bearing`,
    [openings.map(({ id }) => id), openings.map(({ bearingDeg }) => bearingDeg)],
  )
}

/** Writes a lamp, new or changed; false where that id is of another room's. */
export async function saveLamp(tx: Db, roomId: string, lamp: Lamp): Promise<boolean> {
  return done(
    await tx.query(
      `insert into lamp (id, room_id, bulb, cct_k, lumens, place, evening) values ($1, $2, $3, $4, $5, $6, $7)
       on conflict (id) do update set bulb = excluded.bulb, cct_k = excluded.cct_k, lumens = excluded.lumens,
         place = excluded.place, evening = excluded.evening, removed_at = null
       where lamp.room_id = excluded.room_id
       returning id`,
      [lamp.id, roomId, lamp.bulb, lamp.cctK, lamp.lumens, lamp.place, lamp.evening],
    ),
  )
}

/** Takes a window or a lamp out; false where it is not in the visit. */
export async function removeFitting(
  tx: Db,
  visitId: string,
  what: 'window' | 'lamp',
  id: string,
  at: string,
): Promise<boolean> {
  const table = what === 'window' ? 'room_window' : 'lamp'
  return done(
    await tx.query(
      `update ${table} set removed_at = $3::timestamptz from room r
       where ${table}.id = $2 and r.id = ${table}.room_id and r.visit_id = $1 and ${table}.removed_at is null
       returning ${table}.id`,
      [visitId, id, at],
    ),
  )
}
