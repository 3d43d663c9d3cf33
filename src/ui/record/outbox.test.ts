import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import type { Answer, Command } from '@/commands/kinds'
import { Outbox, type Unanswered } from './outbox'
import { browserShelf } from './shelf'

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})

const command = (id: string): Command => ({
  id,
  kind: 'finish-visit',
  payload: { visitId: 'v', finished: true },
  actor: 'a',
  device: 'd',
  madeAt: '2026-06-21T10:00:00Z',
})

const NO_SERVER: Unanswered = { unanswered: 'no server' }

/** A page, and a server that answers it as it is told and remembers what it was sent. */
function page(...answers: readonly (Answer | Unanswered)[]) {
  const sent: string[] = []
  let wake: () => void = () => undefined
  let pauses = 0
  const outbox = new Outbox(
    (each) => {
      sent.push(each.id)
      return Promise.resolve(answers[sent.length - 1] ?? { ok: true, seq: sent.length })
    },
    browserShelf(),
    (_, woken) => {
      wake = woken
      pauses += 1
    },
  )
  return { outbox, sent, later: () => wake(), pauses: () => pauses }
}

const until = async (holds: () => boolean): Promise<void> => {
  for (let turn = 0; !holds(); turn++) {
    if (turn > 2000) throw new Error('it never came to that')
    await new Promise((next) => setImmediate(next))
  }
}

test('an answer that is lost: the same change is sent again under the same id, and the others wait behind it', async () => {
  const { outbox, sent, later, pauses } = page(NO_SERVER, NO_SERVER)
  const first = outbox.send(command('a'))
  const second = outbox.send(command('b'))
  await until(() => outbox.now().trouble !== null)
  expect(sent).toEqual(['a'])
  expect(outbox.now()).toMatchObject({
    trouble: 'no server',
    waiting: [{ id: 'a' }, { id: 'b' }],
  })
  later()
  await until(() => pauses() === 2)
  outbox.retry()
  expect(await first).toEqual({ ok: true, seq: 3 })
  expect(await second).toEqual({ ok: true, seq: 4 })
  expect(sent).toEqual(['a', 'a', 'a', 'b'])
  expect(outbox.now()).toMatchObject({ waiting: [], trouble: null })
})

test('what is refused is told and does not hold up what comes after', async () => {
  const { outbox, sent } = page({ ok: false, message: 'no' })
  const answers = await Promise.all([outbox.send(command('a')), outbox.send(command('b'))])
  expect(answers).toEqual([
    { ok: false, message: 'no' },
    { ok: true, seq: 2 },
  ])
  expect(sent).toEqual(['a', 'b'])
  // It was told: it is not said a second time.
  expect(outbox.now().refused).toEqual([])
})

test('keys held down send what was put in line, each once, in order', async () => {
  const { outbox, sent } = page()
  const ids = Array.from({ length: 40 }, (_, i) => `look ${i}`)
  await Promise.all(ids.map((id) => outbox.send(command(id))))
  expect(sent).toEqual(ids)
})

test('the page goes away while changes wait: the next one sends them, in order, before its own', async () => {
  const before = page(NO_SERVER)
  for (const id of ['a', 'b', 'c']) void before.outbox.send(command(id))
  await until(() => before.outbox.now().trouble !== null)

  const after = page()
  await after.outbox.takeUp()
  await after.outbox.send(command('d'))
  expect(after.sent).toEqual(['a', 'b', 'c', 'd'])
  expect(await browserShelf().waiting()).toEqual([])
  // The page after that has nothing to send.
  const last = page()
  await last.outbox.takeUp()
  expect(last.sent).toEqual([])
})

test('the page goes away between two answers: only what has none is sent again', async () => {
  const before = page({ ok: true, seq: 1 }, NO_SERVER)
  for (const id of ['a', 'b', 'c']) void before.outbox.send(command(id))
  await until(() => before.outbox.now().trouble !== null)
  const after = page()
  await after.outbox.takeUp()
  expect(after.sent).toEqual(['b', 'c'])
})

test('a refusal of what an earlier page sent is kept until somebody has seen it', async () => {
  const before = page(NO_SERVER)
  void before.outbox.send(command('a'))
  await until(() => before.outbox.now().trouble !== null)
  const after = page({ ok: false, message: 'That room is gone.' })
  await after.outbox.takeUp()
  const refused = [{ command: command('a'), message: 'That room is gone.' }]
  expect(after.outbox.now().refused).toMatchObject(refused)
  const later = page()
  await later.outbox.takeUp()
  expect(later.outbox.now().refused).toMatchObject(refused)
  later.outbox.dismiss('a')
  await until(() => later.outbox.now().refused.length === 0)
  const last = page()
  await last.outbox.takeUp()
  expect(last.outbox.now().refused).toEqual([])
})

test('a change that the server fails at five times is put aside, and the others go on', async () => {
  const failing: Unanswered = { unanswered: 'It broke.', failed: true }
  const { outbox, later, pauses } = page(...Array.from({ length: 5 }, () => failing))
  const [first, second] = [outbox.send(command('a')), outbox.send(command('b'))]
  for (let times = 1; times < 5; times++) {
    await until(() => pauses() === times)
    later()
  }
  expect(await first).toEqual({ ok: false, message: 'It broke.' })
  expect(await second).toEqual({ ok: true, seq: 6 })
})

test('a device that keeps nothing says so, and sends all the same', async () => {
  globalThis.indexedDB = undefined as never
  const { outbox, sent } = page()
  expect(await outbox.send(command('a'))).toEqual({ ok: true, seq: 1 })
  expect(sent).toEqual(['a'])
  expect(outbox.now().unsafe).toMatch(/^This device cannot keep what waits/)
})

test('what was made here and a page may not know is told, with its place once it has one', async () => {
  const { outbox } = page({ ok: true, seq: 7 }, NO_SERVER)
  await outbox.send(command('a'))
  void outbox.send(command('b'))
  await until(() => outbox.now().trouble !== null)
  const shelf = browserShelf()
  const own = (await shelf.ownSince('v', 6)).map(({ command: { id }, seq }) => [id, seq])
  expect(own).toEqual([
    ['a', 7],
    ['b', null],
  ])
  expect((await shelf.ownSince('v', 7)).map(({ command: { id } }) => id)).toEqual(['b'])
  expect(await shelf.ownSince('w', 0)).toEqual([])
})
