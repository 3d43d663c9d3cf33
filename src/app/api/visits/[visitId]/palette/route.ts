import { z } from 'zod'
import { candidatePaint } from '@/app/_load/paints'
import { findVisitById, loadCandidates, loadDecks } from '@/app/_load/visit-page'
import { screenColour } from '@/core/colour/appearance'
import { SPECTRUM_FIRST_NM } from '@/core/colour/spectrum'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { writeCgats } from '@/formats/write-cgats'
import { writeGimpPalette } from '@/formats/gimp-palette'

const As = z.enum(['cgats', 'gpl']).default('gpl')

/** The candidates of a visit at their strengths, as CGATS with their spectra or as a GIMP palette. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const visit = await findVisitById((await params).visitId)
  if (!visit) return new Response('There is no such visit.', { status: 404 })
  const as = As.safeParse(new URL(request.url).searchParams.get('as') ?? undefined)
  if (!as.success) return new Response('Expected as=cgats or gpl.', { status: 400 })
  const decks = await loadDecks()
  const colours = (await loadCandidates(visit.id)).map((candidate) => {
    const { reflectance, strengthPercent } = candidatePaint(candidate, decks)
    return {
      code: `${candidate.code}@${strengthPercent}`,
      name: `${candidate.name} at ${strengthPercent} %`,
      reflectance,
    }
  })
  if (colours.length === 0)
    return new Response('No candidate yet: there is no palette.', { status: 404 })
  const text =
    as.data === 'cgats'
      ? writeCgats(
          colours.map(({ code, name, reflectance }) => ({
            id: code,
            name,
            reading: {
              kind: 'spectral',
              wavelengthsNm: Array.from(reflectance, (_, band) => SPECTRUM_FIRST_NM + 10 * band),
              reflectance: [...reflectance],
            },
          })),
        )
      : writeGimpPalette(
          visit.household,
          colours.map(({ code, name, reflectance }) => ({
            name: `${code} ${name}`,
            hex: screenColour(DAYLIGHT, reflectance).hex,
          })),
        )
  return new Response(text, {
    headers: {
      'content-type': 'text/plain; charset=utf-8',
      'content-disposition': `attachment; filename="candidates.${as.data === 'gpl' ? 'gpl' : 'txt'}"`,
    },
  })
}
