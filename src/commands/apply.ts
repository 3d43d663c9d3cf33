import { createHash } from 'node:crypto'
import { z } from 'zod'
import { DEEPEST, isDeeperThan } from '../core/nesting'
import { findCommand } from '../db/commands'
import {
  FOREIGN_KEY_VIOLATION,
  maybeOne,
  RULED_ON,
  sqlState,
  UNIQUE_VIOLATION,
  type Db,
} from '../db/db'
import { refusedInWords } from '../db/refused-words'
import { Refusal, type Kind } from './kind'
import { KINDS, type Answer } from './kinds'
import { tell, tellWith } from './sentence'
import { StandsLaterRefusal } from './undo'

const Envelope = z.object({
  id: z.uuid('Expected an id of the change.'),
  kind: z.string().min(1).max(40),
  payload: z.unknown(),
  actor: z.string().trim().min(1).max(80),
  madeAt: z.iso.datetime({ offset: true }),
  device: z.string().trim().min(1).max(80),
})
type Sent = z.infer<typeof Envelope>

/**
 * The only door into the store: one change, whole or not at all, and once however often it is sent.
 *
 * @param sent a `Command`, as it came
 * @param receivedAt when it came, by the server's clock, as an instant
 * @returns what came of it; the same for the same change
 */
export async function apply(db: Db, sent: unknown, receivedAt: string): Promise<Answer> {
  if (isDeeperThan(sent)) return refused(`Expected at most ${DEEPEST} levels of lists and objects.`)
  if (hasNul(sent)) return refused('Expected text without NUL characters.')
  const envelope = Envelope.safeParse(sent)
  if (!envelope.success) return refusedFields(envelope.error)
  const command = envelope.data
  if (!isKind(command.kind))
    return refused(
      `This program does not know the change “${command.kind}”: it was made by a newer Elm Swatch. Nothing of it was saved here.`,
    )
  const made: Kind<unknown> = KINDS[command.kind] as Kind<unknown>
  const payload = made.payload.safeParse(command.payload)
  if (!payload.success) return refusedFields(payload.error)
  try {
    return await db.transaction((tx) => make(tx, command, made, payload.data, receivedAt))
  } catch (error) {
    return refusalOf(db, error, made, payload.data)
  }
}

async function make(
  tx: Db,
  command: Sent,
  made: Kind<unknown>,
  payload: unknown,
  receivedAt: string,
): Promise<Answer> {
  const hash = hashOf({ kind: command.kind, payload: command.payload })
  const visitId = made.visitOf(payload)
  const [fresh] = await tx.query(
    `insert into command (id, kind, payload, payload_hash, actor, device, made_at, received_at)
     values ($1, $2, $3::jsonb, $4, $5, $6, $7::timestamptz, $8::timestamptz) on conflict (id) do nothing returning id`,
    [
      command.id,
      command.kind,
      JSON.stringify(made.keeps ? made.keeps(payload) : command.payload),
      hash,
      command.actor,
      command.device,
      command.madeAt,
      receivedAt,
    ],
  )
  if (!fresh) return answerBefore(tx, command.id, hash)
  const visit = await enter(tx, command.id, visitId)
  if (visitId !== null && !made.begins) {
    if (!visit) throw new Refusal('There is no such visit.')
    if (visit.isRemoved && !made.observes)
      throw new Refusal('This visit was removed; bring it back first.')
  }
  const said = await made.write(tx, payload, {
    commandId: command.id,
    actor: command.actor,
    madeAt: command.madeAt,
    receivedAt,
  })
  const note = [typeof said === 'string' ? said : '', clockWords(command.madeAt, receivedAt)]
    .filter(Boolean)
    .join(' ')
  const sentence = await tellWith(tx, (nameOf, own) => made.sentence(payload, nameOf, own))
  const kept = await maybeOne(
    tx,
    z.object({ answer: Kept }),
    `with numbered as (select nextval('command_seq') as seq)
     update command set seq = numbered.seq, visit_id = $2, sentence = $4,
       answer = jsonb_build_object('ok', true, 'seq', numbered.seq) || $3::jsonb
     from numbered where id = $1 returning answer`,
    [command.id, visitId, JSON.stringify(note === '' ? {} : { note }), sentence],
  )
  return kept!.answer
}

const Kept = z.object({ ok: z.literal(true), seq: z.number(), note: z.string().optional() })

/** Says whose change this transaction is, and holds the visit until its end. */
function enter(
  tx: Db,
  commandId: string,
  visitId: string | null,
): Promise<{ readonly isRemoved: boolean } | null> {
  return maybeOne(
    tx,
    z.object({ visit: z.object({ isRemoved: z.boolean() }).nullable() }),
    `select set_config('elm.command', $1, true), set_config('elm.visit', coalesce($2, ''), true),
       (select jsonb_build_object('isRemoved', removed_at is not null) from visit where id = $2::uuid for update) as visit`,
    [commandId, visitId],
  ).then((row) => row!.visit)
}

/** The answer that a change got when it came first. */
async function answerBefore(tx: Db, id: string, hash: string): Promise<Answer> {
  const before = await maybeOne(
    tx,
    z.object({ isSame: z.boolean(), answer: Kept }),
    'select payload_hash = $2 as "isSame", answer from command where id = $1',
    [id, hash],
  )
  if (before?.isSame) return before.answer
  return refused('This id stands for another change already; none of this was saved one.')
}

// A clock that is further ahead than this is wrong; one that is behind may be a change that waited for its connection, until
// it is older than anybody waits.
const AHEAD_MS = 5 * 60_000
const BEHIND_MS = 90 * 24 * 3_600_000

function clockWords(madeAt: string, receivedAt: string): string {
  const behind = Date.parse(receivedAt) - Date.parse(madeAt)
  if (behind >= -AHEAD_MS && behind <= BEHIND_MS) return ''
  return `The clock of this device says ${madeAt.slice(0, 10)}, the server’s ${receivedAt.slice(0, 10)}: both are noted.`
}

async function refusalOf(
  db: Db,
  error: unknown,
  made: Kind<unknown>,
  payload: unknown,
): Promise<Answer> {
  if (error instanceof StandsLaterRefusal && error.laterCommandId) {
    const later = await findCommand(db, error.laterCommandId)
    return refused(
      later
        ? `It cannot be taken back while this stands: ${await tell(db, later)}.`
        : error.message,
    )
  }
  if (error instanceof Refusal) return refused(error.message, error.fields)
  const { constraint } = error as { constraint?: string }
  const state = sqlState(error)
  if (state === UNIQUE_VIOLATION) {
    const taken = constraint === undefined ? undefined : made.taken?.[constraint]
    if (taken) {
      const { message, fields } = taken(payload)
      return refused(message, fields)
    }
    return refused('Something of that id or name is there already.')
  }
  if (state === RULED_ON)
    return refused('It is ruled on: reopen the ruling first, with a reason. Nothing was changed.')
  if (state === FOREIGN_KEY_VIOLATION)
    return refused('Something that it names is not there, or not any more. Load the page again.')
  const words = refusedInWords(error, payload)
  if (words) return refused(words)
  throw error
}

const isKind = (name: string): name is keyof typeof KINDS => Object.hasOwn(KINDS, name)

const refused = (message: string, fields: Readonly<Record<string, string>> = {}): Answer => ({
  ok: false,
  message,
  ...(Object.keys(fields).length > 0 && { fields }),
})

function refusedFields(error: z.ZodError): Answer {
  const fields: Record<string, string> = {}
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
  const [first] = Object.entries(fields)
  return refused(
    first ? [first[0], first[1]].filter(Boolean).join(': ') : 'Expected a change.',
    fields,
  )
}

/** One hash for one content, whatever the order of its keys. */
const hashOf = (value: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(sorted(value)))
    .digest('hex')

function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted)
  if (value === null || typeof value !== 'object') return value
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, each]) => [key, sorted(each)]),
  )
}

// PostgreSQL keeps no NUL in a text, and no half of a surrogate pair.
const hasNul = (value: unknown): boolean =>
  typeof value === 'string'
    ? value.includes('\0') || !value.isWellFormed()
    : Array.isArray(value)
      ? value.some(hasNul)
      : value !== null && typeof value === 'object' && Object.entries(value).flat().some(hasNul)
