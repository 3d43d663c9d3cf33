import { z } from 'zod'
import type { KeptLesson, Lesson } from '../core/eye/learn'
import { done, many, maybeOne, type Db } from './db'

const LessonRow = z
  .object({
    id: z.uuid(),
    version: z.number(),
    clashes: z.number(),
    dirties: z.number(),
    nearMiss: z.number(),
    learntFrom: z.number(),
    aside: z.number(),
    agreedWithout: z.number(),
    agreedWith: z.number(),
    surpriseWithout: z.number(),
    surpriseWith: z.number(),
    learntAt: z.string(),
    inForce: z.boolean(),
  })
  .transform((row): KeptLesson => ({
    id: row.id,
    version: row.version,
    factors: {
      clashes: row.clashes,
      dirties: row.dirties,
      'near miss': row.nearMiss,
    },
    learntFrom: row.learntFrom,
    without: { looks: row.aside, agreed: row.agreedWithout, surprise: row.surpriseWithout },
    with: { looks: row.aside, agreed: row.agreedWith, surprise: row.surpriseWith },
    learntAt: row.learntAt,
    inForce: row.inForce,
  }))

const SELECT = `select id, version, clashes, dirties, near_miss as "nearMiss", learnt_from as "learntFrom",
  aside, agreed_without as "agreedWithout", agreed_with as "agreedWith", surprise_without as "surpriseWithout",
  surprise_with as "surpriseWith", learnt_at as "learntAt", removed_at is null as "inForce" from eye_lesson`

/** Every lesson, the latest first. */
export const listLessons = (db: Db): Promise<KeptLesson[]> =>
  many(db, LessonRow, `${SELECT} order by version desc`)

/** The one that is in force; null where the model's own limits hold. */
export const lessonInForce = (db: Db): Promise<KeptLesson | null> =>
  maybeOne(db, LessonRow, `${SELECT} where removed_at is null`)

/** Puts a lesson in force, in the place of the one before. */
export async function saveLesson(
  tx: Db,
  id: string,
  { factors, learntFrom, without, with: told }: Lesson,
  at: string,
): Promise<void> {
  await forgetLesson(tx, at)
  await tx.query(
    `insert into eye_lesson (id, version, clashes, dirties, near_miss, learnt_from, aside, agreed_without,
       agreed_with, surprise_without, surprise_with, learnt_at)
     select $1, coalesce(max(version), 0) + 1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11::timestamptz from eye_lesson`,
    [
      id,
      ...[factors.clashes, factors.dirties, factors['near miss']],
      ...[learntFrom, without.looks, without.agreed, told.agreed, without.surprise, told.surprise],
      at,
    ],
  )
}

/** Takes the lesson that is in force out; false where there is none. */
export const forgetLesson = async (tx: Db, at: string): Promise<boolean> =>
  done(
    await tx.query(
      'update eye_lesson set removed_at = $1::timestamptz where removed_at is null returning id',
      [at],
    ),
  )
