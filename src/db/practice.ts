import { z } from 'zod'
import type { PracticeAnswer } from '../core/practice/answer'
import { PRACTICE_KINDS } from '../core/practice/kinds'
import type { Learner } from '../core/practice/learner'
import { PRACTICE_LIGHTS } from '../core/practice/lights'
import { AXES } from '../core/practice/question'
import { KEEPER_KINDS } from '../core/pairing/keeper-kind'
import { HUE_NAMES } from '../core/undertone/hue-name'
import { done, many, type Db } from './db'

const ref = z.union([z.object({ own: z.uuid() }), z.object({ invented: z.int().min(0) })])

/** What a question is about, as it is kept and sent. */
export const SpecShape = z.object({
  kind: z.enum(PRACTICE_KINDS),
  light: z.enum(PRACTICE_LIGHTS),
  paints: z.array(ref).min(1).max(8),
  finish: ref.nullable(),
  lights: z.array(z.enum(PRACTICE_LIGHTS)).max(PRACTICE_LIGHTS.length),
  axis: z.enum(AXES).nullable(),
  strengthPercent: z.number().min(1).max(150).nullable(),
  within: z.number().positive().max(100).nullable(),
  turn: z.int().min(0),
})
/** What it is counted under. */
export const StrandShape = z.object({
  kind: z.enum(PRACTICE_KINDS),
  lean: z.enum(['quiet', ...HUE_NAMES]),
  finish: z.enum(['none', ...KEEPER_KINDS]),
  light: z.enum(PRACTICE_LIGHTS),
})
export const GivenShape = z.union([z.number(), z.array(z.int().min(0).max(7)).max(8)])

const LearnerRow = z.object({ id: z.uuid(), name: z.string(), answers: z.number() })
export const listLearners = (db: Db): Promise<Learner[]> =>
  many(
    db,
    LearnerRow,
    `select l.id, l.name, (select count(*)::int from practice_answer a
       where a.learner_id = l.id and a.removed_at is null) as answers
     from learner l where l.removed_at is null order by lower(l.name)`,
  )

/** Writes somebody who practises; the same id again changes the name. */
export async function saveLearner(
  tx: Db,
  { id, name }: { readonly id: string; readonly name: string },
  at: string,
): Promise<void> {
  await tx.query(
    `insert into learner (id, name, begun_at) values ($1, $2, $3::timestamptz)
     on conflict (id) do update set name = excluded.name`,
    [id, name, at],
  )
}

const AnswerRow = z
  .object({
    id: z.uuid(),
    kind: StrandShape.shape.kind,
    lean: StrandShape.shape.lean,
    finish: StrandShape.shape.finish,
    light: StrandShape.shape.light,
    spec: SpecShape,
    level: z.number(),
    given: GivenShape,
    isRight: z.boolean(),
    tookMs: z.number(),
    at: z.string(),
  })
  .transform(({ kind, lean, finish, light, ...row }): PracticeAnswer => ({
    ...row,
    at: new Date(row.at).toISOString(),
    strand: { kind, lean, finish, light },
  }))

/** Of somebody's answers so many are read; what is older says nothing of today. */
export const MOST_ANSWERS = 2000

/** Somebody's latest answers, oldest first. */
export const listAnswers = (db: Db, learnerId: string): Promise<PracticeAnswer[]> =>
  many(
    db,
    AnswerRow,
    `select * from (select id, kind, lean, finish, light, spec, level, given, is_right as "isRight", took_ms as "tookMs",
         answered_at as at from practice_answer where learner_id = $1 and removed_at is null
         order by answered_at desc, id limit ${MOST_ANSWERS}) latest
     order by at, id`,
    [learnerId],
  )

/**
 * Ends what is older than what is read: such answers go, with the changes that brought them. They are of no visit, and nothing that
 * was recorded hangs on them.
 *
 * @param upTo only changes before this one may go: it stays as the mark up to which a snapshot has all, what came after it is in the
 *   journal
 * @param most so many of each person stay
 * @returns how many went
 */
export const endOldAnswers = (db: Db, upTo: number, most = MOST_ANSWERS): Promise<number> =>
  db.transaction(async (tx) => {
    const old = await many(
      tx,
      z.object({ id: z.uuid(), commandId: z.uuid() }),
      `select a.id, e.command_id as "commandId" from (select id, row_number() over
           (partition by learner_id order by answered_at desc, id) as place from practice_answer) a
         join event e on e.subject = 'practice_answer' and e.subject_id = a.id and e.what = 'insert'
         join command c on c.id = e.command_id
       where a.place > $2 and c.kind = 'answer-practice' and c.seq < $1`,
      [upTo, most],
    )
    if (old.length === 0) return 0
    await tx.exec(
      `select set_config('elm.ending', 'practice', true), set_config('elm.replaying', 'on', true)`,
    )
    const commands = old.map(({ commandId }) => commandId)
    await tx.query('delete from event where command_id = any($1::uuid[])', [commands])
    await tx.query('delete from practice_answer where id = any($1::uuid[])', [
      old.map(({ id }) => id),
    ])
    await tx.query('delete from command where id = any($1::uuid[])', [commands])
    return old.length
  })

/** Writes an answer. False where nobody of that id practises here. */
export const insertAnswer = async (
  tx: Db,
  learnerId: string,
  { strand, ...answer }: PracticeAnswer,
): Promise<boolean> =>
  done(
    await tx.query(
      `insert into practice_answer (id, learner_id, kind, lean, finish, light, spec, level, given, is_right, took_ms, answered_at)
     select $1, id, $3, $4, $5, $6, $7::jsonb, $8, $9::jsonb, $10, $11, $12::timestamptz
     from learner where id = $2 and removed_at is null returning id`,
      [
        answer.id,
        learnerId,
        ...[strand.kind, strand.lean, strand.finish, strand.light],
        JSON.stringify(answer.spec),
        answer.level,
        JSON.stringify(answer.given),
        answer.isRight,
        answer.tookMs,
        answer.at,
      ],
    ),
  )
