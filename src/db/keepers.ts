import { z } from 'zod'
import { KEEPER_KINDS, KEEPER_STATES } from '../core/judge/keeper-kind'
import { READING_SOURCES, type PlainReading, type ReadingSource } from '../core/paint/reading'
import { many, type Db } from './db'
import { ReadingColumns, readingFromColumns, readingParameters } from './reading-columns'

const ColourShape = ReadingColumns.extend({
  part: z.string(),
  sharePercent: z.number(),
  deckColourId: z.uuid().nullable(),
  source: z.enum(READING_SOURCES).nullable(),
}).transform((row) => ({
  part: row.part,
  sharePercent: row.sharePercent,
  deckColourId: row.deckColourId,
  source: row.source,
  reading: readingFromColumns(row),
}))

const KeeperRow = z.object({
  id: z.uuid(),
  roomId: z.uuid(),
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
  colours: z.array(ColourShape),
})
export type Keeper = z.infer<typeof KeeperRow>

/** A colour read for a keeper, or picked from a deck that has read it already. */
export type NewKeeperColour = { readonly part: string; readonly sharePercent: number } & (
  | { readonly reading: PlainReading; readonly source?: ReadingSource }
  | { readonly deckColourId: string }
)

const SELECT = `select k.id, k.room_id as "roomId", k.name, k.kind, k.state,
  k.place, k.note, k.varies, k.replaced_by as "replacedBy",
  (select json_agg(json_build_object('part', c.part, 'sharePercent', c.share_percent,
      'deckColourId', c.deck_colour_id, 'source', c.source,
      'readingKind', case when d.id is null then c.reading_kind else d.reading_kind end,
      'labL', coalesce(c.lab_l, d.lab_l), 'labA', coalesce(c.lab_a, d.lab_a),
      'labB', coalesce(c.lab_b, d.lab_b), 'hex', coalesce(c.hex, d.hex)) order by c.position)
    from keeper_colour c left join deck_colour d on d.id = c.deck_colour_id
    where c.keeper_id = k.id) as colours
  from keeper k join room r on r.id = k.room_id`

const DEAREST_FIRST = `array_position(array[${KEEPER_KINDS.map((kind) => `'${kind}'`).join(', ')}], k.kind)`

/** Keepers of every room of a visit, dearest to change first. */
export function listKeepers(db: Db, visitId: string): Promise<Keeper[]> {
  return many(
    db,
    KeeperRow,
    `${SELECT} where r.visit_id = $1 order by r.created_at, ${DEAREST_FIRST}, k.name`,
    [visitId],
  )
}

/** Keepers of a room, dearest to change first. */
export function listKeepersInRoom(db: Db, roomId: string): Promise<Keeper[]> {
  return many(db, KeeperRow, `${SELECT} where k.room_id = $1 order by ${DEAREST_FIRST}, k.name`, [
    roomId,
  ])
}

/** Writes a keeper with its colours, all or nothing; the same id again changes it. */
export function saveKeeper(
  db: Db,
  keeper: Omit<Keeper, 'colours'>,
  colours: readonly NewKeeperColour[],
): Promise<void> {
  return db.transaction(async (tx) => {
    await tx.query(
      `insert into keeper (id, room_id, name, kind, state, place, note, varies, replaced_by)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
       on conflict (id) do update set name = excluded.name, kind = excluded.kind,
         state = excluded.state, place = excluded.place, note = excluded.note,
         varies = excluded.varies, replaced_by = excluded.replaced_by`,
      [
        keeper.id,
        keeper.roomId,
        keeper.name,
        keeper.kind,
        keeper.state,
        keeper.place,
        keeper.note,
        keeper.varies,
        keeper.replacedBy,
      ],
    )
    await tx.query('delete from keeper_colour where keeper_id = $1', [keeper.id])
    for (const [position, colour] of colours.entries())
      await tx.query(
        `insert into keeper_colour (keeper_id, position, part, share_percent, deck_colour_id,
           reading_kind, lab_l, lab_a, lab_b, hex, source)
         values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11)`,
        [
          keeper.id,
          position,
          colour.part,
          colour.sharePercent,
          ...('reading' in colour
            ? [null, ...readingParameters(colour.reading)]
            : [colour.deckColourId, 'deck', null, null, null, null]),
          'reading' in colour ? (colour.source ?? null) : null,
        ],
      )
  })
}
