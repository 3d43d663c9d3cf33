import { z } from 'zod'
import { keeperFinish } from '@/app/_load/paints'
import { loadVisit } from '@/app/_load/visit-page'
import { prepareLight, screenColour } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import { labD65 } from '@/core/paint/reading'
import { listKeepers } from '@/db/keepers'
import { openDb } from '@/db/store'
import { writeCgats } from '@/formats/cgats'
import { writeGimpPalette, writeReadingsCsv, type ExportedReading } from '@/formats/readings-export'

const As = z.enum(['cgats', 'csv', 'gpl']).default('csv')
const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

const FILES = {
  cgats: { name: 'readings.txt', type: 'text/plain' },
  csv: { name: 'readings.csv', type: 'text/csv' },
  gpl: { name: 'readings.gpl', type: 'text/plain' },
} as const

/** All readings of a visit's keepers, as CGATS, CSV or a GIMP palette. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const as = As.safeParse(new URL(request.url).searchParams.get('as') ?? undefined)
  if (!as.success) return new Response('Expected as=cgats, csv or gpl', { status: 400 })
  const { visit, rooms } = await loadVisit((await params).visitId)
  const readings = (await listKeepers(await openDb(), visit.id)).flatMap((keeper) =>
    keeperFinish(keeper, visit.houseRules).colours.map(
      ({ part, reflectance, source }): ExportedReading => ({
        name: keeper.name,
        room: rooms.find(({ id }) => id === keeper.roomId)?.name ?? '',
        part,
        source,
        lab: labD65(reflectance),
        hex: screenColour(DAYLIGHT, reflectance).hex,
      }),
    ),
  )
  const text = {
    cgats: () =>
      writeCgats(readings.map(({ name, part, lab }) => ({ name: `${name}, ${part}`, lab }))),
    csv: () => writeReadingsCsv(readings),
    gpl: () => writeGimpPalette(visit.household, readings),
  }[as.data]()
  const { name, type } = FILES[as.data]
  return new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
    },
  })
}
