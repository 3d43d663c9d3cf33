import { z } from 'zod'
import { readDeckCsv, type LineError } from '@/formats/deck-csv'
import { nameValue, numberValue } from '@/ui/form/form-values'
import { isOwnPage } from '@/app/loopback'
import { HandIn, takeDeckIn } from '../take-deck-in'

// Twice what 25,000 long lines come to.
const MOST_BYTES = 8_000_000

const ImportForm = z.object({
  ...HandIn.shape,
  maker: nameValue('the maker'),
  name: nameValue('the name of the deck'),
  baseL: numberValue(80, 100, ''),
  baseA: numberValue(-10, 10, ''),
  baseB: numberValue(-10, 10, ''),
})

export interface ImportAnswer {
  readonly ok: boolean
  readonly colours?: number
  readonly fields?: Record<string, string>
  readonly lines?: readonly LineError[]
}

/** Takes a deck from a CSV file: every colour of it, or none and what is wrong by line. */
export async function POST(request: Request): Promise<Response> {
  // Past the proxy, so the same two questions are asked here: from this page, on this machine?
  if (!isOwnPage(request))
    return new Response('Elm Swatch takes decks from its own page only.', { status: 403 })
  if (Number(request.headers.get('content-length') ?? Infinity) > MOST_BYTES)
    return refuse({ fields: { file: 'Expected a file of at most 8 MB.' } }, 413)

  const form = await request.formData()
  const input = ImportForm.safeParse(Object.fromEntries(form))
  const file = form.get('file')
  const fields = Object.fromEntries(
    (input.error?.issues ?? []).map((issue) => [String(issue.path[0]), issue.message]),
  )
  if (!(file instanceof File) || file.size === 0) fields.file = 'Expected a CSV file, got none.'
  if (!input.success || !(file instanceof File) || fields.file) return refuse({ fields }, 422)

  const csv = readDeckCsv(new Uint8Array(await file.arrayBuffer()))
  if (!csv.ok) return refuse({ lines: csv.errors }, 422)
  const { maker, name, baseL, baseA, baseB } = input.data
  const answer = await takeDeckIn(
    input.data,
    { maker, name, whiteBase: [baseL, baseA, baseB] },
    csv.colours,
    request.signal,
  )
  return answer.ok
    ? Response.json({ ok: true, colours: csv.colours.length } satisfies ImportAnswer)
    : refuse({ fields: answer.fields ?? { file: answer.message } }, 409)
}

const refuse = (what: Omit<ImportAnswer, 'ok'>, status: number): Response =>
  Response.json({ ok: false, ...what } satisfies ImportAnswer, { status })
