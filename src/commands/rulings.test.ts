import { listLooks } from '../db/looks'
import { listRulings } from '../db/rulings'
import { FIRST_OWN_WORDS } from '../db/settings'
import { testDb } from '../db/test-db.fixture'
import { apply } from './apply'
import {
  aHouse,
  command,
  done,
  empty,
  idOf,
  liveView,
  look,
  NOW,
  said,
  taking,
  type House,
} from './house.fixture'
import type { PayloadOf } from './kinds'
import { sentenceOf } from './sentence'

const db = testDb()
afterEach(() => empty(db))

const ruling = (h: House, change: Partial<PayloadOf<'rule'>> = {}): PayloadOf<'rule'> => ({
  visitId: h.visitId,
  rulingId: idOf(70),
  roomId: h.kitchenId,
  surface: 'walls',
  candidateId: h.candidateId,
  sheen: 'eggshell',
  compromise: '',
  gaps: ['never under lamps'],
  ...change,
})
const reopening = (h: House, because: string, rulingId = idOf(70)): PayloadOf<'reopen'> => ({
  visitId: h.visitId,
  rulingId,
  because,
  roomId: h.kitchenId,
  candidateId: h.candidateId,
})
const proposing = (h: House, change: Partial<PayloadOf<'propose'>> = {}): PayloadOf<'propose'> => ({
  visitId: h.visitId,
  proposalId: idOf(71),
  candidateId: h.candidateId,
  roomId: h.kitchenId,
  surface: 'walls',
  sheen: 'matt',
  status: 'proposed',
  reason: '',
  withdrawn: false,
  replaces: null,
  ...change,
})
const standOf = async (h: House): Promise<readonly string[]> =>
  (await liveView(db, h.visitId)).candidates.flatMap(({ proposals }) =>
    proposals.map(({ surface, sheen, status }) => `${surface}, ${sheen}, ${status}`),
  )

test('a ruling keeps the pick, its sheen and what was not known then; the proposal is the pick', async () => {
  const house = await aHouse(db)
  await done(db, 'rule', ruling(house, { compromise: 'Weakest beside Stone under lamps.' }))
  expect(await standOf(house)).toEqual(['walls, eggshell, picked'])
  expect(await listRulings(db, house.visitId)).toMatchObject([
    {
      surface: 'walls',
      candidateId: house.candidateId,
      gaps: ['never under lamps'],
      compromise: 'Weakest beside Stone under lamps.',
      by: 'Ines Tarrow',
      reopenedBecause: null,
    },
  ])
})

test('what is ruled on stays as it is, in words, by whichever way one comes; another surface does not', async () => {
  const house = await aHouse(db)
  await done(db, 'propose', proposing(house, { surface: 'trim', sheen: 'satin' }))
  await done(db, 'rule', ruling(house))
  const before = await liveView(db, house.visitId)
  const ruledOn = 'It is ruled on: reopen the ruling first, with a reason. Nothing was changed.'
  let n = 100
  const answerTo = (
    kind: 'propose' | 'take-up' | 'rule-out' | 'drop-candidate',
    payload: unknown,
  ) => said(db, command(n++, kind, payload as never))
  const { visitId, candidateId } = house
  expect(await answerTo('propose', proposing(house, { status: 'ruled out' }))).toBe(ruledOn)
  expect(await answerTo('propose', proposing(house, { withdrawn: true }))).toBe(ruledOn)
  expect(await answerTo('take-up', taking(visitId, house.kitchenId, house.colourIds[0]!, 80))).toBe(
    ruledOn,
  )
  // Another paint for the same surface, too.
  expect(await answerTo('take-up', taking(visitId, house.kitchenId, house.colourIds[1]!, 80))).toBe(
    ruledOn,
  )
  expect(await answerTo('rule-out', { visitId, candidateId, reason: 'no' })).toBe(ruledOn)
  expect(await answerTo('drop-candidate', { visitId, candidateId })).toBe(ruledOn)
  expect(await liveView(db, visitId)).toEqual(before)
  expect(await answerTo('propose', proposing(house, { surface: 'trim', sheen: 'gloss' }))).toBe(
    'kept',
  )
})

test('looks land all the same', async () => {
  const house = await aHouse(db)
  await done(db, 'rule', ruling(house))
  await done(db, 'keep-look', look(house, idOf(72)))
  expect(await listLooks(db, house.visitId)).toHaveLength(1)
})

test('one ruling a surface; it is reopened with a reason, and then another may be made', async () => {
  const house = await aHouse(db)
  await done(db, 'rule', ruling(house))
  expect(await said(db, command(1, 'rule', ruling(house, { rulingId: idOf(73) })))).toBe(
    'There is a ruling on this already: reopen it first, with a reason.',
  )
  expect(await said(db, command(2, 'reopen', reopening(house, '  ')))).toMatch(/why it is reopened/)
  await done(db, 'reopen', reopening(house, 'The rug is leaving.'))
  expect(await standOf(house)).toEqual(['walls, eggshell, proposed'])
  expect(await said(db, command(3, 'reopen', reopening(house, 'Again.')))).toMatch(
    /does not stand any more/,
  )
  await done(db, 'rule', ruling(house, { rulingId: idOf(73), sheen: 'matt' }))
  expect(
    (await listRulings(db, house.visitId)).map(({ sheen, reopenedBecause }) => [
      sheen,
      reopenedBecause,
    ]),
  ).toEqual([
    ['eggshell', 'The rug is leaving.'],
    ['matt', null],
  ])
})

test('two browsers rule on one surface at once: one is kept, the other told', async () => {
  const house = await aHouse(db)
  const answers = await Promise.all(
    [1, 2].map((n) =>
      apply(db, command(n, 'rule', ruling(house, { rulingId: idOf(74 + n) })), NOW),
    ),
  )
  expect(answers.map(({ ok }) => ok).sort()).toEqual([false, true])
  expect(await listRulings(db, house.visitId)).toHaveLength(1)
})

test('what is not proposed for the surface, ruled out, or of another visit, is no pick', async () => {
  const house = await aHouse(db)
  const other = await aHouse(db, 2)
  const refusals = [
    ruling(house, { surface: 'ceiling' }),
    ruling(house, { roomId: other.kitchenId }),
    ruling(house, { candidateId: other.candidateId }),
  ]
  for (const [i, payload] of refusals.entries())
    expect(await said(db, command(i, 'rule', payload))).toMatch(/not proposed for this surface/)
  await done(db, 'rule-out', { ...house, reason: 'too-green' })
  expect(await said(db, command(9, 'rule', ruling(house)))).toMatch(/was ruled out/)
  expect(await said(db, command(10, 'propose', proposing(house, { status: 'picked' })))).toMatch(
    /A pick is ruled on/,
  )
  await done(db, 'rule', ruling(other))
  expect(await said(db, command(11, 'reopen', reopening(house, 'Mine.')))).toMatch(
    /does not stand any more/,
  )
})

test('a ruling and its reopening are taken back, the one after the other', async () => {
  const house = await aHouse(db)
  const open = await liveView(db, house.visitId)
  const ruled = await done(db, 'rule', ruling(house))
  const locked = await liveView(db, house.visitId)
  const reopened = await done(db, 'reopen', reopening(house, 'The rug is leaving.'))
  const undo = (n: number, commandId: string) =>
    said(db, command(n, 'undo', { visitId: house.visitId, commandId }))
  expect(await undo(1, ruled.id)).toMatch(/^It cannot be taken back while this stands: Reopened in/)
  expect(await undo(2, reopened.id)).toBe('kept')
  expect(await liveView(db, house.visitId)).toEqual(locked)
  expect(await undo(3, ruled.id)).toBe('kept')
  expect(await liveView(db, house.visitId)).toEqual(open)
  // Of what was taken back something may be proposed again.
  expect(await said(db, command(4, 'propose', proposing(house, { sheen: 'satin' })))).toBe('kept')
})

test('the history says what was ruled and why it was reopened', async () => {
  const house = await aHouse(db)
  const names = new Map([
    [house.candidateId, 'Oneling at 75 %'],
    [house.kitchenId, 'Kitchen'],
  ])
  const compromise = 'Weakest beside Stone.'
  expect(
    sentenceOf({ kind: 'rule', payload: ruling(house, { compromise }) }, names, FIRST_OWN_WORDS),
  ).toBe('Ruled: Oneling at 75 %, eggshell, for Kitchen, walls. Weakest beside Stone.')
  expect(
    sentenceOf(
      { kind: 'reopen', payload: reopening(house, 'The rug goes') },
      names,
      FIRST_OWN_WORDS,
    ),
  ).toBe('Reopened in Kitchen, Oneling at 75 %: The rug goes')
})
