import { z } from 'zod'
import { JUDGEMENTS } from '../core/pairing/chance'
import { judgementKey, reasonKey } from '../core/record/said-before'
import { REASONS } from '../core/record/verdict'
import { layingRowsIn } from './all-rows'
import { many } from './db'
import { migrate } from './migrate'
import { layStageIn } from './stages.fixture'
import { emptyTestDb } from './test-db.fixture'

const { db, close } = emptyTestDb()
afterAll(close)

const Said = z.object({
  id: z.string(),
  reasons: z.array(z.string()),
  model: z.string().nullable(),
})
const looks = () =>
  many(db, Said, 'select id, reasons, model_judgement as model from look order by id')
const arriving = () =>
  many(
    db,
    Said.omit({ reasons: true }),
    `select id, model ->> 'judgement' as model from finish_look order by id`,
  )

test('what was kept in words is kept by keys: why, and what the model said, of looks of both kinds', async () => {
  await db.exec('drop schema public cascade; create schema public')
  await layStageIn(db, 18)
  // What the demo of then happens not to say.
  await db.transaction((tx) =>
    layingRowsIn(tx, () =>
      tx.exec(`
        update look set reasons = '["can’t say in this light", "can’t judge from here", "skin-pink", "dated"]'
          where id = (select id from look where reasons <> '[]' order by id limit 1);
        insert into finish_look (id, room_id, arriving_id, beside_id, seen_as, light, verdict, model, seen_by, made_at, kept_at)
          select gen_random_uuid(), p.room_id, p.id, q.id, 'screen', '{}', 'no', jsonb_build_object('judgement', said), 'Ines', now(), now()
          from (select * from keeper order by id limit 1) p
            join lateral (select id from keeper where id <> p.id limit 1) q on true
            cross join unnest(array['works', 'works likely', 'no likely']) said;`),
    ),
  )
  const [before, besideBefore] = [await looks(), await arriving()]
  expect(before.flatMap(({ reasons }) => reasons)).toContain('too green')
  expect(before.map(({ model }) => model)).toContain('works likely')

  await migrate(db)

  const after = await looks()
  expect(after).toEqual(
    before.map(({ id, reasons, model }) => ({
      ...{ id, reasons: reasons.map(reasonKey), model: judgementKey(model) },
    })),
  )
  for (const { reasons, model } of after) {
    expect(REASONS).toEqual(expect.arrayContaining(reasons))
    if (model !== null) expect(JUDGEMENTS).toContain(model)
  }
  expect(await arriving()).toEqual(
    besideBefore.map(({ id, model }) => ({ id, model: judgementKey(model) })),
  )
  expect((await arriving()).map(({ model }) => model).sort()).toEqual([
    'likely-not',
    'likely-works',
    'works',
  ])
})
