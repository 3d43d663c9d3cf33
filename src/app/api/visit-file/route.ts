import { refused, taking } from '@/app/writing'
import { keepChange } from '@/commands/keep-change'
import { discardDeck } from '@/db/decks'
import { storePhoto } from '@/store/photos'
import { applicationStore, dataDirFromEnvironment } from '@/store/store'
import { CODEC_VERSION } from '@/db/codec'
import type { VisitFile } from '@/formats/visit-file'
import { oldVisitUpToDate } from '@/workers/old-visit-client'
import { visitOfFile } from '@/workers/read-file-client'
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
export const POST = taking({ takes: 'visit files', mostBytes: MOST_BYTES }, async (request) => {
  const asked = Asked.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!asked.success) return refused('Expected who sends it.', 400)
  const read = await visitOfFile(new Uint8Array(await request.arrayBuffer()))
  if (!read.ok) return refused(read.message, 422)
  const { visitId } = read
  const { photos } = read.opened
  const current = await upToDate(visitId, read.opened.file)
  if (!current.ok) return refused(current.message, 422)
  const { file } = current
  const laid = await layDecksIn(file)
  if (!laid.ok) return refused(laid.message, 422)
  for (const photo of photos.values()) await storePhoto(dataDirFromEnvironment(), photo)
  const now = new Date().toISOString()
  const { id, actor, device, merge } = asked.data
  const store = await applicationStore()
  const payload = {
    visitId,
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
  return Response.json({ ok: true, visitId, said: answer.note ?? '' })
})

/** The file with rows as this version writes them; those of a newer one stay as they are, and are refused. */
async function upToDate(
  visitId: string,
  file: VisitFile,
): Promise<{ ok: true; file: VisitFile } | { ok: false; message: string }> {
  if (file.rows >= CODEC_VERSION) return { ok: true, file }
  const { rows, tables, decks } = file
  const old = await oldVisitUpToDate({ visitId, rows, tables, decks })
  if (!old.ok) return old
  return {
    ok: true,
    file: {
      ...file,
      rows: CODEC_VERSION,
      tables: old.visit.tables,
      decks: old.visit.decks,
    } as VisitFile,
  }
}
