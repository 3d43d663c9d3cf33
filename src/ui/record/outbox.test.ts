import type { Answer, Command } from '@/commands/kinds'
import { Outbox } from './outbox'

const command = (id: string): Command => ({
  id,
  kind: 'finish-visit',
  payload: { visitId: 'v', finished: true },
  actor: 'a',
  device: 'd',
  madeAt: '2026-06-21T10:00:00Z',
})

/** A server that answers as it is told, and remembers what it was sent. */
function server(...answers: readonly (Answer | null)[]) {
  const sent: string[] = []
  let wake: () => void = () => undefined
  const outbox = new Outbox(
    (each) => {
      sent.push(each.id)
      const answer = answers[sent.length - 1]
      return Promise.resolve(answer === undefined ? { ok: true, seq: sent.length } : answer)
    },
    (_, woken) => {
      wake = woken
    },
  )
  return { outbox, sent, later: () => wake() }
}

const settled = async (): Promise<void> => {
  for (let turn = 0; turn < 20; turn++) await Promise.resolve()
}

test('an answer that is lost: the same change is sent again under the same id, and the others wait behind it', async () => {
  const { outbox, sent, later } = server(null, null)
  const first = outbox.send(command('a'))
  const second = outbox.send(command('b'))
  await settled()
  expect(sent).toEqual(['a'])
  expect(outbox.now()).toMatchObject({ trouble: true, waiting: [{ id: 'a' }, { id: 'b' }] })
  later()
  await settled()
  expect(sent).toEqual(['a', 'a'])
  outbox.retry()
  expect(await first).toEqual({ ok: true, seq: 3 })
  expect(await second).toEqual({ ok: true, seq: 4 })
  expect(sent).toEqual(['a', 'a', 'a', 'b'])
  expect(outbox.now()).toEqual({ waiting: [], trouble: false })
})

test('what is refused is told and does not hold up what comes after', async () => {
  const { outbox, sent } = server({ ok: false, message: 'no' })
  const answers = await Promise.all([outbox.send(command('a')), outbox.send(command('b'))])
  expect(answers).toEqual([
    { ok: false, message: 'no' },
    { ok: true, seq: 2 },
  ])
  expect(sent).toEqual(['a', 'b'])
})

test('keys held down send what was put in line, each once, in order', async () => {
  const { outbox, sent } = server()
  const ids = Array.from({ length: 40 }, (_, i) => `look ${i}`)
  await Promise.all(ids.map((id) => outbox.send(command(id))))
  expect(sent).toEqual(ids)
})
