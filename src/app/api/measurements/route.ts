import { isOwnPage } from '@/app/door'
import { labD65, reflectanceOfReading } from '@/core/paint/reading'
import { readCgats } from '@/formats/cgats'
import { refusedFile, saidOfFile } from '@/formats/measured-colour'
import { readReadingsCsv } from '@/formats/readings-csv'

const MOST_BYTES = 8_000_000

/** Reads a measurement file (CGATS.17 text or CSV) and answers with its colours; nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isOwnPage(request)))
    return new Response('Elm Swatch reads files from its own page only.', { status: 403 })
  const bytes = await request.arrayBuffer()
  if (bytes.byteLength > MOST_BYTES)
    return Response.json(
      refusedFile(
        1,
        `Expected a file of at most 8 MB, got ${Math.round(bytes.byteLength / 1e6)} MB.`,
      ),
    )
  const text = new TextDecoder().decode(bytes)
  const said = saidOfFile(new URL(request.url).searchParams)
  const read = /^[ \t]*BEGIN_DATA_FORMAT/m.test(text)
    ? readCgats(text, said)
    : readReadingsCsv(text, said)
  if (!read.ok) return Response.json(read)
  const colours = []
  for (const [i, { name, reading }] of read.colours.entries())
    try {
      colours.push({ name, reading, lab: labD65(reflectanceOfReading(reading)) })
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      return Response.json(refusedFile(i + 1, `Colour ${i + 1}, “${name}”: ${error.message}.`))
    }
  return Response.json({ ...read, colours })
}
