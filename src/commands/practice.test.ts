import { AS_THE_MODEL } from '../core/eye/factors'
import { PLAIN_SPEC } from '../core/practice/question'
import { lessonInForce, listLessons } from '../db/eye-lessons'
import { listEyeLooks } from '../db/eye-looks'
import { endOldAnswers, listAnswers, listLearners } from '../db/practice'
import { testDb } from '../db/test-db.fixture'
import { latestOfDevice } from '../db/commands'
import { apply } from './apply'
import { aHouse, command, done, empty, idOf, look, NOW, said } from './house.fixture'
import type { PayloadOf } from './kinds'

const db = testDb()
afterEach(() => empty(db))

let sent = 5000
const next = (): number => ++sent

const answer = (
  learnerId: string,
  answerId: string,
  change: Partial<PayloadOf<'answer-practice'>> = {},
): PayloadOf<'answer-practice'> => ({
  ...{ learnerId, answerId, level: 4.25, given: [2, 0, 1], isRight: false, tookMs: 1830 },
  spec: {
    ...PLAIN_SPEC,
    ...{ kind: 'sort by lean', light: 'low sun', axis: 'pinker', lights: [] },
    paints: [{ invented: 7 }, { own: idOf(8) }],
  },
  strand: { kind: 'sort by lean', lean: 'blue-green', finish: 'none', light: 'low sun' },
  ...change,
})

test('two people practise on one store, each with answers of their own, and no visit is touched', async () => {
  const house = await aHouse(db)
  const events = () => db.query('select count(*)::int as n from event where visit_id is not null')
  const before = await events()
  const [one, other] = [idOf(1), idOf(2)]
  await done(db, 'keep-learner', { learnerId: one, name: 'Ines Tarrow' })
  await done(db, 'keep-learner', { learnerId: other, name: 'Odo Fell' })
  await done(db, 'answer-practice', answer(one, idOf(11)))
  await done(db, 'answer-practice', answer(one, idOf(12), { isRight: true, given: 3 }))
  await done(db, 'answer-practice', answer(other, idOf(13)))
  expect((await listLearners(db)).map(({ name, answers }) => [name, answers])).toEqual([
    ['Ines Tarrow', 2],
    ['Odo Fell', 1],
  ])
  const [first] = await listAnswers(db, one)
  const { spec, strand, level, given, isRight, tookMs } = answer(one, idOf(11))
  expect(first).toEqual({
    ...{ id: idOf(11), spec, strand, level, given, isRight, tookMs, at: NOW },
  })
  expect(await events()).toEqual(before)
  expect(await listEyeLooks(db)).toEqual([])
  // The key that takes back is for what one has kept, not for what one has said.
  expect((await latestOfDevice(db, null, 'tablet'))?.kind).not.toBe('answer-practice')
  expect(house.visitId).toBeTruthy()
})

test('answers older than those that are read come to an end, with their changes, but for those that the journal may tell of', async () => {
  const learnerId = idOf(1)
  await done(db, 'keep-learner', { learnerId, name: 'Ines Tarrow' })
  const seqs: number[] = []
  for (const n of [11, 12, 13, 14]) {
    const at = { madeAt: `2026-06-21T10:${n}:00.000Z` }
    const kept = await apply(
      db,
      { ...command(next(), 'answer-practice', answer(learnerId, idOf(n))), ...at },
      NOW,
    )
    seqs.push(kept.ok ? kept.seq : NaN)
  }
  const standing = async () => (await listAnswers(db, learnerId)).map(({ id }) => id)
  // The second is the last that a snapshot holds.
  expect(await endOldAnswers(db, seqs[1]!, 1)).toBe(1)
  expect(await standing()).toEqual([12, 13, 14].map(idOf))
  expect(await endOldAnswers(db, seqs[3]!, 1)).toBe(2)
  expect(await standing()).toEqual([idOf(14)])
  const [left] = await db.query(
    `select (select count(*)::int from command where kind = 'answer-practice') as commands,
       (select count(*)::int from event where subject = 'practice_answer') as events`,
  )
  expect(left).toEqual({ commands: 1, events: 1 })
  await expect(db.query('delete from practice_answer')).rejects.toThrow(
    'nothing recorded is deleted',
  )
})

test('what is no answer is refused in words, and nothing of it is kept', async () => {
  await done(db, 'keep-learner', { learnerId: idOf(1), name: 'Ines Tarrow' })
  const say = (change: object) =>
    said(db, command(next(), 'answer-practice', { ...answer(idOf(1), idOf(20)), ...change }))
  expect(await say({ learnerId: idOf(99) })).toBe('Nobody of that name practises here.')
  expect(await say({ level: 0 })).toMatch(/level/)
  expect(await say({ tookMs: -1 })).toMatch(/tookMs/)
  expect(await say({ strand: { ...answer('', '').strand, kind: 'how light' } })).toMatch(
    /counted under its own kind/,
  )
  expect(await say({ spec: { ...answer('', '').spec, paints: [] } })).toMatch(/spec\.paints/)
  expect(await listAnswers(db, idOf(1))).toEqual([])
  expect(
    await said(db, command(next(), 'keep-learner', { learnerId: idOf(3), name: 'ines tarrow' })),
  ).toMatch(/Somebody of that name practises here already.*got “ines tarrow”/)
})

const lesson = (
  lessonId: string,
  change: Partial<PayloadOf<'learn-from-eye'>> = {},
): PayloadOf<'learn-from-eye'> => ({
  lessonId,
  factors: { clashes: 1.12, dirties: 0.95, 'near miss': 1 },
  learntFrom: 28,
  without: { looks: 14, surprise: 0.52, agreed: 10 },
  with: { looks: 14, surprise: 0.47, agreed: 11 },
  ...change,
})

test('a lesson is off until it is taken up, versioned, gone by one change, and back by undo', async () => {
  expect(await lessonInForce(db)).toBeNull()
  await done(db, 'learn-from-eye', lesson(idOf(31)))
  expect(await lessonInForce(db)).toMatchObject({
    ...{ version: 1, learntFrom: 28, factors: { clashes: 1.12, dirties: 0.95, 'near miss': 1 } },
    with: { looks: 14, surprise: 0.47, agreed: 11 },
  })
  const second = await done(
    db,
    'learn-from-eye',
    lesson(idOf(32), { factors: { ...AS_THE_MODEL, clashes: 0.9 } }),
  )
  expect((await listLessons(db)).map(({ version, inForce }) => [version, inForce])).toEqual([
    [2, true],
    [1, false],
  ])
  await done(db, 'undo', { visitId: null, commandId: second.id })
  expect(await lessonInForce(db)).toMatchObject({ version: 1 })
  const forgotten = await done(db, 'forget-eye', {})
  expect(await lessonInForce(db)).toBeNull()
  expect(await said(db, command(next(), 'forget-eye', {}))).toMatch(/own limits already/)
  await done(db, 'undo', { visitId: null, commandId: forgotten.id })
  expect(await lessonInForce(db)).toMatchObject({ version: 1 })
})

test('a lesson from too few looks, one that goes too far, and one that was tried on other looks are refused', async () => {
  const say = (change: object) =>
    said(db, command(next(), 'learn-from-eye', { ...lesson(idOf(40)), ...change } as never))
  expect(await say({ learntFrom: 15 })).toMatch(/at least 30 looks/)
  expect(await say({ factors: { ...AS_THE_MODEL, clashes: 1.31 } })).toMatch(/factors\.clashes/)
  expect(await say({ with: { looks: 9, surprise: 0.1, agreed: 9 } })).toMatch(/the same looks/)
  expect(await say({ with: { looks: 14, surprise: 0.1, agreed: 15 } })).toMatch(/at most as many/)
  expect(await listLessons(db)).toEqual([])
})

test('verdicts beside keepers of every visit that stands are compared; what was taken back, and a lean alone, are not', async () => {
  const house = await aHouse(db)
  await done(db, 'keep-look', look(house, idOf(51)))
  await done(db, 'keep-look', look(house, idOf(52), { verdict: null, reasons: [] }))
  const taken = await done(db, 'keep-look', look(house, idOf(53)))
  await done(db, 'undo', { visitId: house.visitId, commandId: taken.id })
  const looks = await listEyeLooks(db)
  expect(looks.map(({ id }) => id)).toEqual([idOf(51)])
  expect(looks[0]).toMatchObject({
    ...{ household: 'The Ashbys', keeperName: 'Stone', verdict: 'no', modelChance: 0.2 },
    ...{ held: 'board', seenAs: 'sample', clientSays: 'not sure', modelSeenBefore: false },
    isPicked: null,
  })
  await done(db, 'remove-visit', { visitId: house.visitId, removed: true } as never)
  expect(await listEyeLooks(db)).toEqual([])
})
