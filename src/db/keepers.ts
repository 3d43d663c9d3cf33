import { z } from 'zod'
import { WALL_NAMES } from '../core/light/walls'
import { dearnessOf, KEEPER_KINDS, KEEPER_STATES, VIEW_SHARES } from '../core/pairing/keeper-kind'
import { TEXTURES } from '../core/pairing/role'
import { SHIFT_DIRECTIONS, SHIFT_SIZES, type EyeShift } from '../core/paint/by-eye'
import { READING_SOURCES, type KeptReading, type ReadingSource } from '../core/paint/reading'
import type { ReadingEvidence } from '../core/paint/reading-evidence'
import { done, many, type Db } from './db'
import { ReadingEvidenceShape } from './reading-evidence'
import { ReadingColumns, readingFromColumns } from './reading-columns'

/** How a colour differs from the deck colour it was matched to by eye. */
export const EyeShifts = z.array(
  z.object({ towards: z.enum(SHIFT_DIRECTIONS), size: z.enum(SHIFT_SIZES) }),
)

const ColourShape = ReadingColumns.extend({
  part: z.string(),
  sharePercent: z.number(),
  deckColourId: z.uuid().nullable(),
  deckColourName: z.string().nullable(),
  shift: EyeShifts.nullable(),
  source: z.enum(READING_SOURCES).nullable(),
  evidence: ReadingEvidenceShape.nullable(),
}).transform((row) => ({
  part: row.part,
  sharePercent: row.sharePercent,
  deckColourId: row.deckColourId,
  /** Code and name of the deck colour it was matched to. */
  deckColourName: row.deckColourName,
  /** How it differs from the deck colour it was matched to by eye. */
  shift: row.shift ?? [],
  source: row.source,
  /** What it was read with. */
  evidence: row.evidence,
  reading: readingFromColumns(row),
}))

const KeeperRow = z.object({
  id: z.uuid(),
  /** The room it was entered in. */
  roomId: z.uuid(),
  /** Every room it is in, its own among them. */
  roomIds: z.array(z.uuid()),
  name: z.string(),
  kind: z.enum(KEEPER_KINDS),
  state: z.enum(KEEPER_STATES),
  /** Where in the room. */
  place: z.string(),
  note: z.string(),
  /** It differs from piece to piece, as stone and wood do. */
  varies: z.boolean(),
  /** What comes in its place, for one that is leaving. */
  replacedBy: z.string(),
  viewShare: z.enum(VIEW_SHARES),
  /** Null goes by the kind. */
  texture: z.enum(TEXTURES).nullable(),
  /** Walls that it touches, of the room it was entered in. */
  walls: z.array(z.enum(WALL_NAMES)),
  /** 1 easily changed to 5 never; null goes by the kind. */
  dearness: z.number().nullable(),
  photoHash: z.string().nullable(),
  /** The part of its corrected photo that stands for it. */
  patchHash: z.string().nullable(),
  colours: z.array(ColourShape),
})
export type Keeper = z.infer<typeof KeeperRow>
export type KeeperColour = Keeper['colours'][number]

/** A colour read for a keeper, or picked from a deck that has read it already. */
export type NewKeeperColour = { readonly part: string; readonly sharePercent: number } & (
  | {
      readonly reading: KeptReading
      readonly source: ReadingSource | null
      readonly evidence: ReadingEvidence | null
    }
  | { readonly deckColourId: string; readonly shift: readonly EyeShift[] }
)

const SELECT = `select k.id, k.room_id as "roomId", k.name, k.kind, k.state,
  k.place, k.note, k.varies, k.replaced_by as "replacedBy", k.view_share as "viewShare", k.texture, k.walls, k.dearness,
  k.photo_hash as "photoHash", k.patch_hash as "patchHash",
  (select coalesce(json_agg(kr.room_id), '[]') from keeper_room kr where kr.keeper_id = k.id and kr.removed_at is null) as "roomIds",
  (select json_agg(json_build_object('part', c.part, 'sharePercent', c.share_percent,
      'deckColourId', c.deck_colour_id, 'deckColourName', d.name || ', ' || deck.maker || ', ' || deck.name || ', ' || d.code, 'shift', c.shift,
      'source', c.source, 'evidence', c.evidence,
      'readingKind', case when d.id is null then c.reading_kind else d.reading_kind end,
      'labL', coalesce(c.lab_l, d.lab_l), 'labA', coalesce(c.lab_a, d.lab_a),
      'labB', coalesce(c.lab_b, d.lab_b), 'hex', coalesce(c.hex, d.hex),
      'wavelengthsNm', coalesce(c.wavelengths_nm, d.wavelengths_nm),
      'reflectances', coalesce(c.reflectances, d.reflectances)) order by c.position)
    from keeper_colour c left join deck_colour d on d.id = c.deck_colour_id left join deck on deck.id = d.deck_id
    where c.keeper_id = k.id) as colours
  from keeper k join room r on r.id = k.room_id`

const BY_KIND = `array_position(array[${KEEPER_KINDS.map((kind) => `'${kind}'`).join(', ')}], k.kind)`
const DEARNESS_OF_KIND = `(array[${KEEPER_KINDS.map((kind) => dearnessOf(kind, null)).join(', ')}])[${BY_KIND}]`
const DEAREST_FIRST = `coalesce(k.dearness, ${DEARNESS_OF_KIND}) desc, ${BY_KIND}, k.name`

/** Keepers of every room of a visit, each once, dearest to change first. */
export function listKeepers(db: Db, visitId: string): Promise<Keeper[]> {
  return many(
    db,
    KeeperRow,
    `${SELECT} where r.visit_id = $1 and k.removed_at is null order by ${DEAREST_FIRST}`,
    [visitId],
  )
}

/** What was last taken stock of in any visit that stands, the latest first. */
export const listLatestKeepers = (db: Db, most: number): Promise<Keeper[]> =>
  many(
    db,
    KeeperRow,
    `${SELECT} join visit v on v.id = r.visit_id
     where k.id = any(array(select id from keeper where removed_at is null order by created_at desc limit $1))
       and r.removed_at is null and v.removed_at is null
     order by k.created_at desc, k.id`,
    [most],
  )

/**
 * Writes a keeper with its rooms and colours; the same id again changes it.
 *
 * @returns false where its own room is not in the visit
 */
export async function saveKeeper(
  tx: Db,
  keeper: Omit<Keeper, 'colours' | 'roomIds'> & {
    readonly visitId: string
    readonly roomIds: readonly string[]
  },
  colours: readonly NewKeeperColour[],
  at: string,
): Promise<boolean> {
  const kept = await tx.query(
    `insert into keeper (id, room_id, name, kind, state, place, note, varies, replaced_by, view_share,
       dearness, photo_hash, texture, walls, created_at, patch_hash)
     select $1, r.id, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15::text[], $16::timestamptz, $17
     from room r where r.visit_id = $2 and r.id = $3
     on conflict (id) do update set name = excluded.name, kind = excluded.kind,
       state = excluded.state, place = excluded.place, note = excluded.note,
       varies = excluded.varies, replaced_by = excluded.replaced_by, view_share = excluded.view_share,
       dearness = excluded.dearness, photo_hash = excluded.photo_hash, patch_hash = excluded.patch_hash,
       texture = excluded.texture, walls = excluded.walls
     where keeper.room_id = excluded.room_id and keeper.removed_at is null
     returning id`,
    [
      keeper.id,
      keeper.visitId,
      keeper.roomId,
      keeper.name,
      keeper.kind,
      keeper.state,
      keeper.place,
      keeper.note,
      keeper.varies,
      keeper.replacedBy,
      keeper.viewShare,
      keeper.dearness,
      keeper.photoHash,
      keeper.texture,
      keeper.walls,
      at,
      keeper.patchHash,
    ],
  )
  if (kept.length === 0) return false
  await saveRoomsOf(tx, keeper, at)
  for (const [position, colour] of colours.entries())
    await saveColour(tx, keeper.id, position, colour)
  await tx.query('delete from keeper_colour where keeper_id = $1 and position >= $2', [
    keeper.id,
    colours.length,
  ])
  return true
}

/** Takes a keeper out of its visit, or puts it back; false where it was never in it. */
export async function setKeeperRemoved(
  tx: Db,
  visitId: string,
  id: string,
  at: string | null,
): Promise<boolean> {
  return done(
    await tx.query(
      `update keeper k set removed_at = case when $3::timestamptz is not null then coalesce(k.removed_at, $3::timestamptz) end
       from room r where r.id = k.room_id and r.visit_id = $1 and k.id = $2 returning k.id`,
      [visitId, id, at],
    ),
  )
}

/** Its own room, and such others as are of the same visit; one that is left out keeps the looks taken there. */
async function saveRoomsOf(
  tx: Db,
  { id, visitId, roomId, roomIds }: Parameters<typeof saveKeeper>[1],
  at: string,
): Promise<void> {
  const all = [...new Set([roomId, ...roomIds])]
  await tx.query(
    `insert into keeper_room (keeper_id, room_id)
     select $1::uuid, r.id from room r where r.visit_id = $2 and r.id = any($3::uuid[])
     on conflict (keeper_id, room_id) do update set removed_at = null`,
    [id, visitId, all],
  )
  await tx.query(
    `update keeper_room set removed_at = $3::timestamptz
     where keeper_id = $1 and room_id <> all($2::uuid[]) and removed_at is null`,
    [id, all, at],
  )
}

async function saveColour(
  tx: Db,
  keeperId: string,
  position: number,
  colour: NewKeeperColour,
): Promise<void> {
  const reading = 'reading' in colour ? colour.reading : null
  const deck = 'deckColourId' in colour ? colour : null
  const [l, a, b] = reading?.kind === 'lab' ? reading.lab : [null, null, null]
  await tx.query(
    `insert into keeper_colour (keeper_id, position, part, share_percent, reading_kind, lab_l, lab_a, lab_b,
       hex, wavelengths_nm, reflectances, deck_colour_id, shift, source, evidence)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13::jsonb, $14, $15::jsonb)
     on conflict (keeper_id, position) do update set part = excluded.part, share_percent = excluded.share_percent,
       reading_kind = excluded.reading_kind, lab_l = excluded.lab_l, lab_a = excluded.lab_a, lab_b = excluded.lab_b,
       hex = excluded.hex, wavelengths_nm = excluded.wavelengths_nm, reflectances = excluded.reflectances,
       deck_colour_id = excluded.deck_colour_id, shift = excluded.shift, source = excluded.source,
       evidence = excluded.evidence`,
    [
      keeperId,
      position,
      colour.part,
      colour.sharePercent,
      reading?.kind ?? 'deck',
      l,
      a,
      b,
      reading?.kind === 'srgb' ? reading.hex : null,
      reading?.kind === 'spectral' ? [...reading.wavelengthsNm] : null,
      reading?.kind === 'spectral' ? [...reading.reflectance] : null,
      deck?.deckColourId ?? null,
      deck?.shift.length ? JSON.stringify(deck.shift) : null,
      'reading' in colour ? colour.source : null,
      'reading' in colour && colour.evidence ? JSON.stringify(colour.evidence) : null,
    ],
  )
}
