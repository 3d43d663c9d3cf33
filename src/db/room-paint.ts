import { z } from 'zod'
import { WALL_NAMES } from '../core/light/walls'
import { USUAL_JOINERY, type RoomJoinery } from '../core/quantity/areas'
import { many, type Db } from './db'
import { LabReading, SrgbReading } from './reading-columns'

/** What is on walls now, as a reading of one number. */
export const OldWalls = z.discriminatedUnion('kind', [LabReading, SrgbReading])

/** What of a room decides how much paint it takes. */
export interface RoomPaint extends RoomJoinery {
  readonly oldWalls: z.infer<typeof OldWalls> | null
}

/** As a room is taken for until somebody says otherwise. */
export const USUAL_ROOM_PAINT: RoomPaint = { ...USUAL_JOINERY, oldWalls: null }

const RoomPaintRow = z.object({
  roomId: z.uuid(),
  oldWalls: OldWalls.nullable(),
  skirtingMm: z.number(),
  casingMm: z.number(),
  featureWall: z.enum(WALL_NAMES).nullable(),
  halfHeightMm: z.number(),
  cabinetsM2: z.number().nullable(),
  islandM2: z.number().nullable(),
  otherM2: z.number().nullable(),
})

/** What was said of the paint of a visit's rooms, by room; rooms of which nothing was said are not in it. */
export async function listRoomPaint(
  db: Db,
  visitId: string,
): Promise<ReadonlyMap<string, RoomPaint>> {
  const rows = await many(
    db,
    RoomPaintRow,
    `select p.room_id as "roomId", p.old_walls as "oldWalls", p.skirting_mm as "skirtingMm", p.casing_mm as "casingMm",
       p.feature_wall as "featureWall", p.half_height_mm as "halfHeightMm", p.cabinets_m2 as "cabinetsM2",
       p.island_m2 as "islandM2", p.other_m2 as "otherM2"
     from room_paint p join room r on r.id = p.room_id where r.visit_id = $1 and r.removed_at is null`,
    [visitId],
  )
  return new Map(rows.map(({ roomId, ...paint }) => [roomId, paint]))
}

/** Says what of a room decides how much paint it takes; false where it is not in the visit. */
export async function saveRoomPaint(
  tx: Db,
  visitId: string,
  roomId: string,
  paint: RoomPaint,
): Promise<boolean> {
  const rows = await tx.query(
    `insert into room_paint (room_id, old_walls, skirting_mm, casing_mm, feature_wall, half_height_mm, cabinets_m2,
       island_m2, other_m2)
     select r.id, $3::jsonb, $4, $5, $6, $7, $8, $9, $10 from room r
     where r.visit_id = $1 and r.id = $2 and r.removed_at is null
     on conflict (room_id) do update set old_walls = excluded.old_walls, skirting_mm = excluded.skirting_mm,
       casing_mm = excluded.casing_mm, feature_wall = excluded.feature_wall, half_height_mm = excluded.half_height_mm,
       cabinets_m2 = excluded.cabinets_m2, island_m2 = excluded.island_m2, other_m2 = excluded.other_m2
     returning room_id`,
    [
      visitId,
      roomId,
      paint.oldWalls && JSON.stringify(paint.oldWalls),
      paint.skirtingMm,
      paint.casingMm,
      paint.featureWall,
      paint.halfHeightMm,
      paint.cabinetsM2,
      paint.islandM2,
      paint.otherM2,
    ],
  )
  return rows.length > 0
}
