import { z } from 'zod'
import { labD65, reflectanceOfReading } from '@/core/paint/reading'
import { listDeckColours, listDecks } from '@/db/decks'
import { openDb } from '@/store/store'
import { writeDeckCgats, writeDeckCsv } from '@/formats/write-deck'

const As = z.enum(['csv', 'cgats'])

/** A whole deck as CSV or CGATS, either of which is read back the same. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ deckId: string }> },
): Promise<Response> {
  const { deckId } = await params
  const as = As.safeParse(new URL(request.url).searchParams.get('as'))
  const db = await openDb()
  const deck = (await listDecks(db)).find(({ id }) => id === deckId)
  if (!deck || !as.success) return new Response('No such deck, or no such format', { status: 404 })
  const colours = await listDeckColours(db, deck.id)
  const kinds = new Set(colours.map(({ reading }) => reading.kind))
  // A deck of several kinds of readings goes out as L*a*b*, and CGATS has no field for a screen's number.
  const inLab = (each: (typeof colours)[number]): (typeof colours)[number] => ({
    ...each,
    reading: { kind: 'lab', lab: labD65(reflectanceOfReading(each.reading)) },
  })
  const whole = kinds.size > 1 || (as.data === 'cgats' && kinds.has('srgb'))
  const written = whole ? colours.map(inLab) : colours
  const body = as.data === 'csv' ? writeDeckCsv(written) : writeDeckCgats(written)
  const file = `${deck.maker} ${deck.name}`.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '')
  return new Response(body, {
    headers: {
      'content-type': as.data === 'csv' ? 'text/csv; charset=utf-8' : 'text/plain; charset=utf-8',
      'content-disposition': `attachment; filename*=UTF-8\'\'${encodeURIComponent(`${file}.${as.data === 'csv' ? 'csv' : 'txt'}`)}`,
    },
  })
}
