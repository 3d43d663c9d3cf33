import { z } from 'zod'
import { EventRow, keyOf, type RecordEvent } from './codec'
import { many, maybeOne, type Db } from './db'

const CommandRow = z.object({
  id: z.uuid(),
  kind: z.string(),
  /** How the history tells it; null of a change from before that was written with it. */
  sentence: z.string().nullable(),
  /** Only where it is not told yet: it can be long. */
  payload: z.unknown(),
  actor: z.string(),
  device: z.string(),
  madeAt: z.string(),
  receivedAt: z.string(),
  visitId: z.uuid().nullable(),
  undoneBy: z.uuid().nullable(),
})
/** A change as it was kept. */
export type KeptCommand = z.infer<typeof CommandRow>

const SELECT = `select c.id, c.kind, c.sentence, case when c.sentence is null then c.payload end as payload, c.actor, c.device, c.made_at as "madeAt",
  c.received_at as "receivedAt", c.visit_id as "visitId", c.undone_by as "undoneBy" from command c`

export const findCommand = (db: Db, id: string): Promise<KeptCommand | null> =>
  maybeOne(db, CommandRow, `${SELECT} where c.id = $1`, [id])

export const MOST_LISTED = 500

/** The changes of a visit, latest first. */
export const listCommands = (db: Db, visitId: string): Promise<KeptCommand[]> =>
  many(
    db,
    CommandRow,
    `${SELECT} where c.visit_id = $1 and c.seq is not null order by c.seq desc limit ${MOST_LISTED}`,
    [visitId],
  )

/**
 * The latest change made with a device that is not taken back and is none that takes back; null without one.
 *
 * @param visitId null for what is of no visit: the settings, for photos and decks go with what uses them, and practice was said
 */
export const latestOfDevice = (
  db: Db,
  visitId: string | null,
  device: string,
): Promise<KeptCommand | null> =>
  maybeOne(
    db,
    CommandRow,
    `${SELECT} where c.visit_id is not distinct from $1::uuid and c.device = $2 and c.undone_by is null
       and c.kind not in ('undo', 'keep-photo', 'open-deck', 'import-visit', 'keep-learner', 'answer-practice')
       and c.seq is not null order by c.seq desc limit 1`,
    [visitId, device],
  )

/** What a change wrote, row by row. */
export const eventsOfCommand = (db: Db, commandId: string): Promise<RecordEvent[]> =>
  many(
    db,
    EventRow,
    'select number, what, subject, before, after from event where command_id = $1 order by number',
    [commandId],
  )

const IdRow = z.object({ id: z.uuid() })

/** The latest change that wrote the row of an event after it; null where none did. */
export async function laterCommand(
  db: Db,
  { number, subject, before, after }: RecordEvent,
): Promise<string | null> {
  const row = (after ?? before)!
  const found = await maybeOne(
    db,
    IdRow,
    `select command_id as id from event where subject = $1 and number > $2
       and coalesce(after, before) @> $3::jsonb order by number desc limit 1`,
    [subject, number, JSON.stringify(keyOf(subject, row))],
  )
  return found?.id ?? null
}

/** A later change, not taken back, that wrote a row which names the one that an event brought; null where none did. */
export async function standingOn(
  db: Db,
  { number, after }: RecordEvent,
  commandId: string,
): Promise<string | null> {
  const own = after?.id
  if (typeof own !== 'string') return null
  const found = await maybeOne(
    db,
    IdRow,
    `select c.id from event e join command c on c.id = e.command_id
     where e.number > $1 and c.id <> $2 and c.undone_by is null and c.kind <> 'undo'
       and e.visit_id = nullif(current_setting('elm.visit', true), '')::uuid
       and e.after ->> 'id' is distinct from $3
       and exists (select from jsonb_each_text(e.after) as cell where cell.value = $3)
       and not exists (select from jsonb_each_text(e.before) as cell where cell.value = $3)
     order by e.number desc limit 1`,
    [number, commandId, own],
  )
  return found?.id ?? null
}

/** Notes that a change was taken back; taking back an undo makes its change stand again. */
export async function markUndone(
  db: Db,
  { id, kind }: Pick<KeptCommand, 'id' | 'kind'>,
  by: string,
): Promise<void> {
  await db.query('update command set undone_by = $2 where id = $1', [id, by])
  if (kind === 'undo')
    await db.query('update command set undone_by = null where undone_by = $1', [id])
}

// Two decks may have a paint of one name: then it is told apart.
const PAINT_NAME = `d.name || case when exists
  (select from deck_colour other join deck their on their.id = other.deck_id and their.status = 'ready'
    where lower(other.name) = lower(d.name) and other.deck_id <> d.deck_id)
  then ' (' || deck.maker || ', ' || deck.name || ')' else '' end`

const NamesRow = z.object({ id: z.uuid(), name: z.string() })

/**
 * What the rooms, keepers, candidates and deck colours of a visit are called, also those taken out. A paint whose name
 * another deck has too goes with its maker and deck.
 */
export const namesInVisit = (db: Db, visitId: string): Promise<ReadonlyMap<string, string>> =>
  names(
    db,
    {
      room: 'r.visit_id = $1',
      keeper: 'k.room_id in (select id from room where visit_id = $1)',
      candidate: 'c.visit_id = $1',
      colour: `d.id in (select deck_colour_id from candidate where visit_id = $1
         union select beside_deck_colour_id from look where visit_id = $1)`,
    },
    visitId,
  )

/** The same of some of them, whichever visit they are of. */
export const namesOf = (db: Db, ids: readonly string[]): Promise<ReadonlyMap<string, string>> =>
  names(
    db,
    {
      room: 'r.id = any($1::uuid[])',
      keeper: 'k.id = any($1::uuid[])',
      candidate: 'c.id = any($1::uuid[])',
      colour: 'd.id = any($1::uuid[])',
    },
    ids,
  )

/** @param of which rows, as SQL conditions on `$1` */
async function names(
  db: Db,
  of: Readonly<Record<'room' | 'keeper' | 'candidate' | 'colour', string>>,
  value: unknown,
): Promise<ReadonlyMap<string, string>> {
  const rows = await many(
    db,
    NamesRow,
    `select r.id, r.name from room r where ${of.room}
     union all select k.id, k.name from keeper k where ${of.keeper}
     union all select c.id, ${PAINT_NAME} || ' at ' || c.strength_percent || ' %'
       from candidate c join deck_colour d on d.id = c.deck_colour_id join deck on deck.id = d.deck_id
       where ${of.candidate}
     union all select d.id, ${PAINT_NAME} from deck_colour d join deck on deck.id = d.deck_id
       where ${of.colour}`,
    [value],
  )
  return new Map(rows.map(({ id, name }) => [id, name]))
}

const MOST_AT_ONCE = 500

/** The places of a visit's changes after one, in order: whoever asks every few seconds is told numbers, not rows. */
export const placesSince = async (db: Db, visitId: string, seq: number): Promise<number[]> =>
  (
    await many(
      db,
      z.object({ seq: z.number() }),
      `select seq from command where visit_id = $1 and seq > $2 order by seq limit ${MOST_AT_ONCE}`,
      [visitId, seq],
    )
  ).map((row) => row.seq)

/** The place of the latest change of a visit. */
export async function lastSeq(db: Db, visitId: string): Promise<number> {
  const row = await maybeOne(
    db,
    z.object({ seq: z.number() }),
    'select coalesce(max(seq), 0) as seq from command where visit_id = $1',
    [visitId],
  )
  return row!.seq
}
