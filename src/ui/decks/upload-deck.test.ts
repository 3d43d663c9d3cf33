import type { DeckFile } from '@/workers/deck-file-client'
import { uploadDeck } from './upload-deck'

const HEAD = { maker: 'Oddney', name: 'Left', baseL: '', baseA: '', baseB: '' }
const FILE = { colours: () => Promise.resolve([]) } as unknown as DeckFile

/** What was asked, in order, of a server that answers so. */
async function askedOf(answer: (address: string) => Promise<Response>) {
  const asked: string[] = []
  globalThis.addEventListener = () => undefined
  globalThis.fetch = (address, init) => {
    asked.push(`${init?.method} ${String(address).replace(/[0-9a-f-]{36}/, 'ID')}`)
    return init?.method === 'DELETE' ? Promise.resolve(new Response()) : answer(String(address))
  }
  const said = await uploadDeck(HEAD, FILE, 1, () => undefined, new AbortController().signal)
  return { asked, said }
}

const BEGUN = 'POST /api/decks/import'
const GIVEN_UP = 'DELETE /api/decks/import/ID'

test('an import whose beginning was not answered is given up: the server may have begun it', async () => {
  const { asked, said } = await askedOf(() => Promise.reject(new TypeError('Failed to fetch')))
  expect(asked).toEqual([BEGUN, GIVEN_UP])
  expect(said).toEqual({ ok: false, message: expect.stringMatching(/did not answer/) })
})

test('one whose beginning is refused has nothing to give up, and says what was wrong', async () => {
  const refusal = { ok: false, fields: { name: 'This deck was imported already.' } }
  const { asked, said } = await askedOf(() => Promise.resolve(Response.json(refusal)))
  expect(asked).toEqual([BEGUN])
  expect(said).toEqual(refusal)
})

test('one whose colours are refused is given up', async () => {
  const { asked } = await askedOf((address) =>
    Promise.resolve(Response.json({ ok: address.endsWith('import') })),
  )
  expect(asked).toEqual([BEGUN, 'POST /api/decks/import/ID', GIVEN_UP])
})
