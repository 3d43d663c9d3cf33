import type { Lab } from '@/core/colour/lab'
import { labD65, reflectanceOfReading } from '@/core/paint/reading'
import { readCgats, type MeasuredColour } from '@/formats/cgats'

const MOST_BYTES = 5_000_000

/** Reads a measurement file (CGATS.17 text) and answers with its colours; nothing is stored. */
export async function POST(request: Request): Promise<Response> {
  const bytes = await request.arrayBuffer()
  if (bytes.byteLength > MOST_BYTES)
    return refused(
      1,
      `Expected a file of at most 5 MB, got ${Math.round(bytes.byteLength / 1e6)} MB.`,
    )
  const read = readCgats(new TextDecoder().decode(bytes))
  if (!read.ok) return Response.json(read)
  const colours: { name: string; lab: Lab }[] = []
  for (const [i, colour] of read.colours.entries())
    try {
      colours.push({ name: colour.name, lab: labOf(colour) })
    } catch (error) {
      if (!(error instanceof RangeError)) throw error
      return refused(i + 1, `Colour ${i + 1}, “${colour.name}”: ${error.message}.`)
    }
  return Response.json({ ok: true, colours })
}

const refused = (line: number, message: string): Response =>
  Response.json({ ok: false, errors: [{ line, message }] })

/** L*a*b* under D65, 2°: from the spectrum where there is one. */
function labOf({ lab, spectrum }: MeasuredColour): Lab {
  if (spectrum) return labD65(reflectanceOfReading({ kind: 'spectral', ...spectrum }))
  return labD65(reflectanceOfReading({ kind: 'lab', lab: lab! }))
}
