import { seededRandom } from '../core/seeded-random'
import { EventRow, replay, type RecordEvent } from '../db/codec'
import { many } from '../db/db'
import { layDeckIn, listDeckColours } from '../db/decks'
import { discarding, testDb } from '../db/test-db.fixture'
import { apply } from './apply'
import { COLOURS, done, idOf, NOW, wholeRecord } from './house.fixture'
import type { Answer, Command } from './kinds'
import { randomCommands } from './random-house.fixture'

// `npm run commands:long` runs more. The embedded engine is the slower of the two.
const isEmbedded = 'pglite' in globalThis
const SEQUENCES = Number(process.env.ELM_SEQUENCES ?? (isEmbedded ? 20 : 60))
const SEED = Number(process.env.ELM_SEED ?? 11)

const db = testDb()
let colourIds: string[] = []

beforeAll(async () => {
  const deck = { maker: 'M', name: 'Fan', whiteBase: [96, 0, 1] } as const
  await layDeckIn(db, idOf(9), deck, COLOURS)
  await done(db, 'open-deck', { deckId: idOf(9), maker: 'M', name: 'Fan', colours: 2 })
  colourIds = (await listDeckColours(db, idOf(9))).map(({ deckColourId }) => deckColourId)
})

const EVENTS =
  'select number, what, subject, before, after from event where subject <> $$deck$$ order by number'

const instant = (n: number): string => new Date(Date.parse(NOW) + n * 1000).toISOString()

test(`${SEQUENCES} random sequences, with repeats and refusals: the record is that of each change once, and its events build it again`, async () => {
  const random = seededRandom(SEED)
  const kept = { ok: 0, refused: 0, repeated: 0 }
  for (let turn = 0; turn < SEQUENCES; turn++) {
    const sent = randomCommands(random, colourIds)
    const accepted: (readonly [Command, string])[] = []
    let record: unknown
    let events: RecordEvent[] = []
    await discarding(db, async (store) => {
      const answers = new Map<string, Answer>()
      for (const [n, each] of sent.entries()) {
        const answer = await apply(store, each, instant(n))
        const before = answers.get(each.id)
        if (before?.ok) {
          expect(answer).toEqual(before)
          kept.repeated++
        } else if (answer.ok) {
          accepted.push([each, instant(n)])
          kept.ok++
        } else {
          expect(answer.message + Object.values(answer.fields ?? {}).join()).toMatch(/\w/)
          kept.refused++
        }
        answers.set(each.id, answer)
      }
      record = await wholeRecord(store)
      events = await many(store, EventRow, EVENTS)
    })
    await discarding(db, async (store) => {
      for (const [each, at] of accepted) expect((await apply(store, each, at)).ok).toBe(true)
      expect(await wholeRecord(store)).toEqual(record)
    })
    await discarding(db, async (store) => {
      await store.query(`select set_config('elm.replaying', 'on', true)`)
      for (const event of events) await replay(store, event)
      expect(await wholeRecord(store)).toEqual(record)
    })
  }
  // The sequences are worth something: all three happen, and often.
  for (const times of Object.values(kept)) expect(times).toBeGreaterThan(SEQUENCES)
})
