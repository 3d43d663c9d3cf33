import { createHash } from 'node:crypto'
import { isOwnPage } from '@/app/door'
import { keepChange } from '@/commands/keep-change'
import { discardDeck } from '@/db/decks'
import { storePhoto } from '@/store/photos'
import { applicationStore, dataDirFromEnvironment } from '@/store/store'
import { isKeptPhoto } from '@/formats/photo'
import { readVisitFile } from '@/formats/visit-file'
import { z } from 'zod'
import { layDecksIn, withColoursHere } from './lay-decks-in'

const MOST_BYTES = 200_000_000

const Asked = z.object({
  /** Made where the hand is: sent again, it is the same change. */
  id: z.uuid(),
  actor: z.string().trim().min(1).max(80),
  device: z.string().trim().min(1).max(80),
  merge: z.enum(['yes', 'no']).default('no'),
})

/** Takes a visit in from its file, whole or not at all; one that is here already is refused unless what it lacks is asked for. */
export async function POST(request: Request): Promise<Response> {
  // Past the proxy, which cuts long bodies off, so the same is asked here: from this page, on this machine?
  if (!(await isOwnPage(request)))
    return new Response('Elm Swatch takes files from its own page only.', { status: 403 })
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!asked.success) return refused('Expected who sends it.', 400)
  if (Number(request.headers.get('content-length') ?? Infinity) > MOST_BYTES)
    return refused(`Expected a file of at most ${MOST_BYTES / 1e6} MB.`, 413)
  const bytes = new Uint8Array(await request.arrayBuffer())
  const read = readVisitFile(bytes)
  if (!read.ok) return refused(read.message, 422)
  const { file, photos } = read.opened
  const visitId = z.uuid().safeParse(file.tables.visit?.[0]?.id)
  if (!visitId.success) return refused('Expected one visit in the file; there is none.', 422)
  for (const [hash, photo] of photos) {
    if (createHash('sha256').update(photo).digest('hex') !== hash)
      return refused(`photos/${hash}.jpg: its bytes are not those of its name.`, 422)
    if (!(await isKeptPhoto(photo)))
      return refused(
        `photos/${hash}.jpg: expected a plain JPEG of at most 2,048 pixels a side.`,
        422,
      )
  }
  const missing = (file.tables.photo ?? []).find(({ hash }) => !photos.has(String(hash)))
  if (missing)
    return refused(`The photo ${String(missing.hash).slice(0, 12)}… is not in the file.`, 422)
  const laid = await layDecksIn(file)
  if (!laid.ok) return refused(laid.message, 422)
  for (const photo of photos.values()) await storePhoto(dataDirFromEnvironment(), photo)
  const now = new Date().toISOString()
  const { id, actor, device, merge } = asked.data
  const store = await applicationStore()
  const payload = {
    visitId: visitId.data,
    household: file.household,
    rows: file.rows,
    tables: withColoursHere(file.tables, laid.idOf),
    decks: [...laid.waiting],
    merge: merge === 'yes',
  }
  const answer = await keepChange(
    store,
    { id, kind: 'import-visit', payload, actor, device, madeAt: now },
    now,
  )
  if (!answer.ok) {
    for (const deckId of laid.waiting) await discardDeck(store.db, deckId)
    return refused(answer.message, 409)
  }
  return Response.json({ ok: true, visitId: visitId.data, said: answer.note ?? '' })
}

const refused = (message: string, status: number): Response =>
  Response.json({ ok: false, message }, { status })
