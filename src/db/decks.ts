import { randomUUID } from 'node:crypto'
import { z } from 'zod'
import type { Lab } from '../core/colour/lab'
import type { KeptReading } from '../core/paint/reading'
import { SHEENS, type Sheen } from '../core/paint/sheen'
import { BASES } from '../core/paint/strength'
import { many, maybeOne, type Db } from './db'
import { ReadingColumns, readingFromColumns } from './reading-columns'

const DeckRow = z
  .object({
    id: z.uuid(),
    maker: z.string(),
    name: z.string(),
    whiteBaseL: z.number(),
    whiteBaseA: z.number(),
    whiteBaseB: z.number(),
    colours: z.number(),
  })
  .transform(({ whiteBaseL, whiteBaseA, whiteBaseB, ...deck }) => ({
    ...deck,
    whiteBase: [whiteBaseL, whiteBaseA, whiteBaseB] as Lab,
  }))
export type Deck = z.infer<typeof DeckRow>

/** Columns of a deck colour under the alias `d`, for queries that join one. */
export const DECK_COLOUR_COLUMNS = `d.id as "deckColourId", d.deck_id as "deckId", d.code, d.name,
  d.strip, d.base, d.reading_kind as "readingKind", d.lab_l as "labL", d.lab_a as "labA",
  d.lab_b as "labB", d.hex, d.wavelengths_nm as "wavelengthsNm", d.reflectances,
  d.printed_lrv as "printedLrvPercent", d.sheens, d.may_be_refused as "mayBeRefused"`

export const DeckColourColumns = ReadingColumns.extend({
  deckColourId: z.uuid(),
  deckId: z.uuid(),
  code: z.string(),
  name: z.string(),
  strip: z.string(),
  base: z.enum(BASES),
  /** As its maker prints it; null where it does not. */
  printedLrvPercent: z.number().nullable(),
  /** What it is sold in; null where the deck does not say. */
  sheens: z.array(z.enum(SHEENS)).nullable(),
  /** The counter may refuse to mix it otherwise than it is. */
  mayBeRefused: z.boolean(),
})

export function deckColourFromColumns(row: z.infer<typeof DeckColourColumns>) {
  const { readingKind, labL, labA, labB, hex, wavelengthsNm, reflectances, ...rest } = row
  const columns = { readingKind, labL, labA, labB, hex, wavelengthsNm, reflectances }
  return { ...rest, reading: readingFromColumns(columns) }
}

const DeckColourRow = DeckColourColumns.transform(deckColourFromColumns)
export type DeckColour = z.infer<typeof DeckColourRow>

export interface NewDeck {
  readonly maker: string
  readonly name: string
  readonly whiteBase: Lab
}

export interface NewDeckColour {
  /** Left out, one is made for it. */
  readonly id?: string
  readonly code: string
  readonly name: string
  readonly strip: string
  readonly base: (typeof BASES)[number]
  readonly reading: KeptReading
  readonly printedLrvPercent?: number | null
  readonly sheens?: readonly Sheen[] | null
  readonly mayBeRefused?: boolean
  /** The reflectance behind its reading as a model found it: 36 little-endian floats. */
  readonly bands?: { readonly of: string; readonly bytes: Uint8Array }
}

const SELECT_DECK = `select id, maker, name, white_base_l as "whiteBaseL",
  white_base_a as "whiteBaseA", white_base_b as "whiteBaseB",
  (select count(*) from deck_colour where deck_id = deck.id) as colours from deck`

export const listDecks = (db: Db): Promise<Deck[]> =>
  many(db, DeckRow, `${SELECT_DECK} where status = 'ready' order by maker, name`)

/** Colours of a deck, strip by strip, lightest first. */
export function listDeckColours(db: Db, deckId: string): Promise<DeckColour[]> {
  return many(
    db,
    DeckColourRow,
    `select ${DECK_COLOUR_COLUMNS} from deck_colour d
     where d.deck_id = $1 order by d.strip, d.strip_position, d.code`,
    [deckId],
  )
}

const MOST_FOUND = 12

/** Deck colours by their ids, those that there are. */
export const listDeckColoursById = (db: Db, ids: readonly string[]): Promise<DeckColour[]> =>
  ids.length === 0
    ? Promise.resolve([])
    : many(
        db,
        DeckColourRow,
        `select ${DECK_COLOUR_COLUMNS} from deck_colour d where d.id = any($1::uuid[]) order by d.code`,
        [ids],
      )

/** Colours of any deck whose code begins with, or whose name holds, what was typed. */
export function searchDeckColours(db: Db, typed: string): Promise<DeckColour[]> {
  return many(
    db,
    DeckColourRow,
    `select ${DECK_COLOUR_COLUMNS} from deck_colour d
     join deck on deck.id = d.deck_id and deck.status = 'ready'
     where starts_with(lower(d.code), lower($1)) or position(lower($1) in lower(d.name)) > 0
     order by d.code limit ${MOST_FOUND}`,
    [typed],
  )
}

/** So many colours go in at a time, so that others are served in between. */
export const COLOURS_AT_A_TIME = 2000

/** Begins a deck as `importing`: nobody sees it until a change makes it ready. One of that id that never became ready makes way. */
export async function beginDeck(db: Db, deckId: string, deck: NewDeck): Promise<void> {
  await discardDeck(db, deckId)
  await db.query(
    `insert into deck (id, maker, name, white_base_l, white_base_a, white_base_b, status)
     values ($1, $2, $3, $4, $5, $6, 'importing')`,
    [deckId, deck.maker, deck.name, ...deck.whiteBase],
  )
}

/**
 * Adds colours to a deck that is on its way. Of a code that is there already the first one stays.
 *
 * @param colours in the order of the deck, each after the ones of its strip that went before
 */
export async function addDeckColours(
  db: Db,
  deckId: string,
  colours: readonly NewDeckColour[],
): Promise<void> {
  const rows = colours.map(
    ({ id, code, name, strip, base, reading, printedLrvPercent, sheens, mayBeRefused, bands }) => ({
      id: id ?? randomUUID(),
      code,
      name,
      strip,
      base,
      reading_kind: reading.kind,
      ...(reading.kind === 'lab' && {
        lab_l: reading.lab[0],
        lab_a: reading.lab[1],
        lab_b: reading.lab[2],
      }),
      ...(reading.kind === 'srgb' && { hex: reading.hex }),
      ...(reading.kind === 'spectral' && {
        wavelengths_nm: reading.wavelengthsNm,
        reflectances: reading.reflectance,
      }),
      printed_lrv: printedLrvPercent ?? null,
      sheens: sheens ?? null,
      may_be_refused: mayBeRefused ?? false,
      bands: bands ? Buffer.from(bands.bytes).toString('base64') : null,
      bands_model: bands?.of ?? null,
    }),
  )
  await db.query(
    `insert into deck_colour (id, deck_id, code, name, strip, strip_position, base, reading_kind,
       lab_l, lab_a, lab_b, hex, wavelengths_nm, reflectances, printed_lrv, sheens, may_be_refused,
       bands, bands_model)
     select id, $1, code, name, strip,
       coalesce((select max(strip_position) + 1 from deck_colour d
                 where d.deck_id = $1 and d.strip = c.strip), 0)
         + row_number() over (partition by strip order by place) - 1,
       base, reading_kind, lab_l, lab_a, lab_b, hex, wavelengths_nm, reflectances, printed_lrv,
       nullif(sheens, 'null'::jsonb), may_be_refused, decode(bands, 'base64'), bands_model
     from rows from (jsonb_to_recordset($2::jsonb) as (id uuid, code text, name text, strip text,
         base text, reading_kind text, lab_l double precision, lab_a double precision,
         lab_b double precision, hex text, wavelengths_nm double precision[],
         reflectances double precision[], printed_lrv double precision, sheens jsonb,
         may_be_refused boolean, bands text, bands_model text)) with ordinality as c (id, code, name, strip, base, reading_kind,
         lab_l, lab_a, lab_b, hex, wavelengths_nm, reflectances, printed_lrv, sheens,
         may_be_refused, bands, bands_model, place)
     on conflict (deck_id, code) do nothing`,
    [deckId, JSON.stringify(rows)],
  )
}

/** Begins a deck and adds all of its colours. */
export async function layDeckIn(
  db: Db,
  deckId: string,
  deck: NewDeck,
  colours: readonly NewDeckColour[],
): Promise<void> {
  await beginDeck(db, deckId, deck)
  for (let first = 0; first < colours.length; first += COLOURS_AT_A_TIME)
    await addDeckColours(db, deckId, colours.slice(first, first + COLOURS_AT_A_TIME))
}

/** Whether a deck is on its way, ready, or neither. */
export async function deckStatus(db: Db, deckId: string): Promise<'importing' | 'ready' | null> {
  const deck = await maybeOne(
    db,
    z.object({ status: z.enum(['importing', 'ready']) }),
    'select status from deck where id = $1',
    [deckId],
  )
  return deck?.status ?? null
}

const BandsRow = z.object({
  deckColourId: z.uuid(),
  bands: z.instanceof(Uint8Array).nullable(),
})

/** What was found of a deck's reflectances by a model, in the order of its listing: 36 little-endian floats, or null. */
export const listBands = (db: Db, deckId: string, model: string) =>
  many(
    db,
    BandsRow,
    `select d.id as "deckColourId", case when d.bands_model = $2 then d.bands end as bands
     from deck_colour d where d.deck_id = $1 order by d.strip, d.strip_position, d.code`,
    [deckId, model],
  )

/** Keeps what a model found. */
export async function keepBands(
  db: Db,
  model: string,
  found: readonly { readonly deckColourId: string; readonly bands: Uint8Array }[],
): Promise<void> {
  await db.query(
    `update deck_colour d set bands = decode(f.bands, 'base64'), bands_model = $2
     from jsonb_to_recordset($1::jsonb) as f ("deckColourId" uuid, bands text)
     where d.id = f."deckColourId"`,
    [
      JSON.stringify(
        found.map(({ deckColourId, bands }) => ({
          deckColourId,
          bands: Buffer.from(bands).toString('base64'),
        })),
      ),
      model,
    ],
  )
}

/** Makes a deck ready, and says how many colours came in. */
export async function makeDeckReady(tx: Db, deckId: string): Promise<number> {
  const [deck] = await many(
    tx,
    z.object({ colours: z.number() }),
    `update deck set status = 'ready' where id = $1 and status = 'importing'
     returning (select count(*) from deck_colour where deck_id = deck.id) as colours`,
    [deckId],
  )
  return deck?.colours ?? 0
}

/** Throws away a deck that never became ready. */
export async function discardDeck(db: Db, deckId: string): Promise<void> {
  await db.query(`delete from deck where id = $1 and status = 'importing'`, [deckId])
}

/** Throws away what imports left behind that were broken off, begun so long ago. */
export async function discardUnfinishedDecks(db: Db, hours: number): Promise<void> {
  await db.query(
    `delete from deck where status = 'importing' and added_at <= now() - make_interval(hours => $1)`,
    [hours],
  )
}

const NamesakeRow = DeckColourColumns.extend({ maker: z.string(), deckName: z.string() }).transform(
  ({ maker, deckName, ...colour }) => ({ maker, deckName, ...deckColourFromColumns(colour) }),
)
export type Namesake = z.infer<typeof NamesakeRow>

/** Names that colours of two decks share: how many, and the first few pairs. */
export async function listNamesakes(
  db: Db,
  most: number,
): Promise<{ readonly count: number; readonly pairs: (readonly [Namesake, Namesake])[] }> {
  const names = await many(
    db,
    z.object({ name: z.string(), count: z.number() }),
    `select lower(d.name) as name, count(*) over () as count
     from deck_colour d join deck k on k.id = d.deck_id and k.status = 'ready'
     group by lower(d.name) having count(distinct d.deck_id) > 1 order by 1 limit $1`,
    [most],
  )
  const rows = await many(
    db,
    NamesakeRow,
    `select ${DECK_COLOUR_COLUMNS}, k.maker, k.name as "deckName"
     from deck_colour d join deck k on k.id = d.deck_id and k.status = 'ready'
     where lower(d.name) = any($1::text[]) order by lower(d.name), k.added_at, k.id, d.code`,
    [names.map(({ name }) => name)],
  )
  const pairs = names.flatMap(({ name }): (readonly [Namesake, Namesake])[] => {
    const own = rows.filter((row) => row.name.toLowerCase() === name)
    const other = own.find(({ deckId }) => deckId !== own[0]?.deckId)
    return own[0] && other ? [[own[0], other]] : []
  })
  return { count: names[0]?.count ?? 0, pairs }
}
