import { z } from 'zod'
import { BANDS } from '@/core/colour/spectrum'
import { MODEL_VERSION } from '@/core/model-version'
import { reflectanceOfReading } from '@/core/paint/reading'
import { listDeckColours } from '@/db/decks'
import { openDb } from '@/db/store'

// A deck never changes once it is ready, and its reflectances take a moment to find: kept by deck and model.
const holder = globalThis as { elmDeckReflectances?: Map<string, Float64Array> }
const found = (holder.elmDeckReflectances ??= new Map())

/** All reflectances of a deck, 36 little-endian doubles a colour, in the order of its listing. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ deckId: string }> },
): Promise<Response> {
  const { deckId } = await params
  if (!z.uuid().safeParse(deckId).success) return new Response('No such deck', { status: 404 })
  const key = `${deckId} ${MODEL_VERSION}`
  const known = found.get(key)
  if (known) return answer(known)
  const colours = await listDeckColours(await openDb(), deckId)
  if (colours.length === 0) return new Response('No such deck', { status: 404 })
  const rows = new Float64Array(colours.length * BANDS)
  colours.forEach(({ reading }, i) => rows.set(reflectanceOfReading(reading), i * BANDS))
  found.set(key, rows)
  return answer(rows)
}

const answer = (rows: Float64Array): Response =>
  new Response(new Uint8Array(rows.buffer as ArrayBuffer), {
    headers: {
      'content-type': 'application/octet-stream',
      'cache-control': 'private, max-age=86400',
    },
  })
