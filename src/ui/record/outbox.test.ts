import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import { openDB } from 'idb'
import type { Answer, Command } from '@/commands/kinds'
import { Outbox, type Unanswered } from './outbox'
import { browserShelf } from './shelf'

beforeEach(() => {
  globalThis.indexedDB = new IDBFactory()
})

const command = (id: string, visitId = 'v'): Command => ({
  id,
  kind: 'finish-visit',
  payload: { visitId, finished: true },
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

const FAILS: Unanswered = { unanswered: 'It broke.', failed: true }

/** Wakes a page each time it pauses, so often. */
async function wakeTimes({ pauses, later }: ReturnType<typeof page>, times: number): Promise<void> {
  for (let time = 1; time <= times; time++) {
    await until(() => pauses() === time)
    later()
  }
}

test('a change that the server fails at is set aside and kept, shown with its reason, and the others go on', async () => {
  const first = page(FAILS, FAILS, FAILS)
  const [failing, next] = [first.outbox.send(command('a')), first.outbox.send(command('b', 'w'))]
  await wakeTimes(first, 2)
  expect(await failing).toEqual({
    ...{ ok: false, aside: true, message: 'It broke. It was set aside on this device.' },
  })
  expect(await next).toEqual({ ok: true, seq: 4 })
  expect(first.outbox.now()).toMatchObject({
    ...{ waiting: [], trouble: null, refused: [] },
    aside: [{ command: { id: 'a' }, message: 'It broke.', waitsFor: null }],
  })
  // It is there for the next page, and is sent when somebody asks for it.
  const later = page()
  await later.outbox.takeUp()
  expect(later.sent).toEqual([])
  expect(later.outbox.now().aside).toMatchObject([{ command: { id: 'a' } }])
  await later.outbox.tryAgain()
  expect(later.sent).toEqual(['a'])
  expect(later.outbox.now()).toMatchObject({ waiting: [], aside: [] })
  expect(await browserShelf().waiting()).toEqual([])
})

const ROOM = {
  ...command('room'),
  kind: 'keep-room',
  payload: { visitId: 'v', roomId: 'r1' },
} as unknown as Command
const KEEPER = {
  ...command('keeper'),
  kind: 'keep-keeper',
  payload: { visitId: 'v', keeperId: 'k1', roomId: 'r1', roomIds: [] },
} as unknown as Command
const COLOUR_OF_IT = {
  ...command('look'),
  kind: 'keep-look',
  payload: { visitId: 'v', lookId: 'l1', against: { kind: 'keeper', keeperId: 'k1' } },
} as unknown as Command

test('the keeper of a room that was set aside waits with it, and what is said of the keeper too; all go with it', async () => {
  const first = page(FAILS, FAILS, FAILS)
  for (const each of [ROOM, KEEPER, COLOUR_OF_IT, command('other')]) void first.outbox.send(each)
  await wakeTimes(first, 2)
  await until(() => first.outbox.now().waiting.length === 0)
  expect(first.sent).toEqual(['room', 'room', 'room', 'other'])
  expect(first.outbox.now().aside.map(({ command: { id }, waitsFor }) => [id, waitsFor])).toEqual([
    ['room', null],
    ['keeper', 'room'],
    ['look', 'room'],
  ])
  await first.outbox.tryAgain()
  expect(first.sent.slice(4)).toEqual(['room', 'keeper', 'look'])
})

test('what somebody has a copy of may be let go, with what waits for it', async () => {
  const first = page(FAILS, FAILS, FAILS)
  for (const each of [ROOM, KEEPER]) void first.outbox.send(each)
  await wakeTimes(first, 2)
  await until(() => first.outbox.now().aside.length === 2)
  first.outbox.letGo('room')
  expect(first.outbox.now().aside).toEqual([])
  const shelf = browserShelf()
  for (let left = 1; left > 0;) left = (await shelf.waiting()).length
  expect(await shelf.ownSince('v', 0)).toEqual([])
})

test('whatever sending throws, the next change goes', async () => {
  const posted: string[] = []
  const outbox = new Outbox(
    ({ id }) => {
      posted.push(id)
      if (id === 'a') throw new Error('the photo cannot be read')
      return Promise.resolve({ ok: true, seq: 1 })
    },
    browserShelf(),
    (_, wake) => wake(),
  )
  const [first, second] = [outbox.send(command('a')), outbox.send(command('b', 'w'))]
  expect(await first).toMatchObject({ ok: false, aside: true })
  expect(await second).toEqual({ ok: true, seq: 1 })
  expect(posted).toEqual(['a', 'a', 'a', 'b'])
  expect(outbox.now().aside).toMatchObject([
    { message: 'It could not be sent (the photo cannot be read).' },
  ])
})

test('what is of no visit is cleared once it is kept', async () => {
  const { outbox } = page({ ok: true, seq: 7 })
  await outbox.send({ ...command('a'), kind: 'forget-eye', payload: {} })
  const shelf = browserShelf()
  await shelf.waiting()
  expect(await shelf.ownSince('', 0)).toEqual([])
})

test('what a page of the version before left is sent by this one, and cleared there', async () => {
  const old = await openDB('elm-swatch', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { autoIncrement: true }).createIndex('id', 'id')
      db.createObjectStore('own', { keyPath: 'command.id' }).createIndex('visit', 'visitId')
      db.createObjectStore('refused', { keyPath: 'id' })
      db.createObjectStore('photos')
    },
  })
  for (const id of ['a', 'b']) await old.add('waiting', command(id))
  await old.put('refused', { id: 'c', command: command('c'), message: 'No such room.' })
  const { outbox, sent } = page()
  // The page of before is still open, with its own hold on what it left.
  await outbox.takeUp()
  expect(sent).toEqual(['a', 'b'])
  expect(outbox.now().refused).toMatchObject([{ message: 'No such room.' }])
  expect(await old.getAll('waiting')).toEqual([])
  // It goes on with its own, which the next page takes up.
  await old.add('waiting', command('d'))
  await outbox.takeUp()
  expect(sent).toEqual(['a', 'b', 'd'])
  old.close()
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
