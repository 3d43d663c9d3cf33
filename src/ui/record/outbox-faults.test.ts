import 'fake-indexeddb/auto'
import { IDBFactory } from 'fake-indexeddb'
import type { Command } from '@/commands/kinds'
import { seededRandom } from '@/core/seeded-random'
import { Outbox } from './outbox'
import { postWith } from './post'
import { browserShelf, type Shelf } from './shelf'

// A hand that makes changes on pages that are closed, with a server and a device that fail in the ways that they do.
const RUNS = 25
const CHANGES = 24

const until = async (holds: () => boolean): Promise<void> => {
  for (let turn = 0; !holds(); turn++) {
    if (turn > 20_000) throw new Error('it never came to that')
    await new Promise((next) => setImmediate(next))
  }
}

/** A look in one of three rooms, now and then with a photo that waits on the device. */
const lookOf = (n: number, photo: string | null): Command =>
  ({
    id: `look-${n}`,
    kind: 'keep-look',
    payload: { visitId: 'v', roomId: `room-${n % 3}`, lookId: `l${n}`, photoHash: photo },
    ...{ actor: 'a', device: 'd', madeAt: '2026-06-21T10:00:00Z' },
  }) as unknown as Command

const said = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status })

/** A server that answers once for each id, and fails as it is dealt. */
function aServer(random: () => number) {
  const kept = new Map<string, { readonly seq: number; readonly photo: unknown }>()
  const times = new Map<string, number>()
  const fails = { now: true }
  const ask: typeof fetch = (url, init) => {
    const dealt = fails.now ? random() : 1
    if (dealt < 0.08) throw new TypeError('thrown')
    if (dealt < 0.14) return Promise.reject(new TypeError('no answer'))
    if (dealt < 0.2) return Promise.resolve(said(403, { ok: false, message: 'Not from here.' }))
    if (dealt < 0.24) return Promise.resolve(said(401, { ok: false, message: 'Enter again.' }))
    if (dealt < 0.32) return Promise.resolve(said(500, { ok: false, message: 'It broke.' }))
    if (String(url) === '/api/photos')
      return Promise.resolve(
        dealt < 0.4
          ? said(422, { ok: false, message: 'No photo.' })
          : said(200, { ok: true, hash: 'f'.repeat(64) }),
      )
    const { id, payload } = JSON.parse(String(init?.body)) as {
      id: string
      payload: { photoHash: unknown }
    }
    // Some the program itself always fails at.
    if (fails.now && id.endsWith('7'))
      return Promise.resolve(said(500, { ok: false, message: 'It broke.' }))
    if (!kept.has(id)) {
      kept.set(id, { seq: kept.size + 1, photo: payload.photoHash })
      times.set(id, (times.get(id) ?? 0) + 1)
    }
    // The answer is lost on its way back.
    if (dealt < 0.42) return Promise.reject(new TypeError('lost'))
    return Promise.resolve(said(200, { ok: true, seq: kept.get(id)!.seq }))
  }
  return { ask, kept, times, fails }
}

/** A shelf on a device that is full at times. */
function fullAtTimes(shelf: Shelf, random: () => number, fills: { now: boolean }): Shelf {
  const orFull =
    <Args extends unknown[], T>(work: (...args: Args) => Promise<T>) =>
    (...args: Args): Promise<T> =>
      fills.now && random() < 0.1 ? Promise.reject(new Error('the device is full')) : work(...args)
  return {
    ...shelf,
    ...{ answered: orFull(shelf.answered), setAside: orFull(shelf.setAside) },
    ...{ photo: orFull(shelf.photo), photoKept: orFull(shelf.photoKept) },
  }
}

test.each(Array.from({ length: RUNS }, (_, seed) => seed))(
  'whatever fails, each change is answered once, or on the shelf and shown (seed %i)',
  async (seed) => {
    globalThis.indexedDB = new IDBFactory()
    const random = seededRandom(1000 + seed)
    const server = aServer(random)
    const fills = { now: true }
    const open = (): Outbox => {
      const shelf = fullAtTimes(browserShelf(), random, fills)
      return new Outbox(postWith(shelf, server.ask), shelf, (_, wake) => void setImmediate(wake))
    }
    let page = open()
    for (let n = 0; n < CHANGES; n++) {
      const photo = random() < 0.3 ? `00000000-0000-4000-8000-${String(n).padStart(12, '0')}` : null
      if (photo) await browserShelf().putPhoto(photo, new Blob([`photo ${n}`]))
      void page.send(lookOf(n, photo && `waiting:${photo}`))
      if (random() < 0.5) await new Promise((next) => setImmediate(next))
      if (random() < 0.15) {
        // The page is closed; what is still sent of it is not heard. Another goes on.
        await until(() => page.now().unsafe === null)
        page = open()
        await page.takeUp()
      }
    }
    await until(() => page.now().waiting.length === 0)
    // A page opened anew shows all that has no answer.
    fills.now = false
    const last = open()
    await last.takeUp()
    expect(last.now().waiting).toEqual([])
    const shown = new Set(last.now().aside.map(({ command }) => command.id))
    for (let n = 0; n < CHANGES; n++)
      expect([n, server.kept.has(`look-${n}`) || shown.has(`look-${n}`)]).toEqual([n, true])
    for (const [id, times] of server.times) expect([id, times]).toEqual([id, 1])
    expect(last.now().refused).toEqual([])

    // The server is mended: what was set aside goes when it is asked for, and nothing is left.
    server.fails.now = false
    await last.tryAgain()
    await until(() => last.now().waiting.length === 0)
    expect(server.kept.size).toBe(CHANGES)
    expect(last.now()).toMatchObject({ aside: [], refused: [], trouble: null })
    expect(await browserShelf().waiting()).toEqual([])
  },
)
