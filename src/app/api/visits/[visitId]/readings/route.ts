import { z } from 'zod'
import { keeperFinish, readingSourceOf } from '@/app/_load/paints'
import { loadVisit } from '@/app/_load/visit-page'
import { prepareLight, screenColour } from '@/core/colour/appearance'
import { ILLUMINANT_SPECTRA } from '@/core/colour/illuminant'
import type { Reflectance } from '@/core/colour/spectrum'
import { labD65 } from '@/core/paint/reading'
import { listKeepers } from '@/db/keepers'
import { openDb } from '@/store/store'
import { writeCgats } from '@/formats/write-cgats'
import { writeGimpPalette } from '@/formats/gimp-palette'
import { writeReadingsCsv, type ExportedReading } from '@/formats/readings-csv'

const As = z.enum(['cgats', 'csv', 'gpl']).default('csv')
const DAYLIGHT = prepareLight(ILLUMINANT_SPECTRA.D65, 500)

const FILES = {
  cgats: { name: 'readings.txt', type: 'text/plain' },
  csv: { name: 'readings.csv', type: 'text/csv' },
  gpl: { name: 'readings.gpl', type: 'text/plain' },
} as const

interface Out extends ExportedReading {
  readonly reflectance: Reflectance
}

/** All readings of a visit's keepers, as CGATS, CSV or a GIMP palette. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const as = As.safeParse(new URL(request.url).searchParams.get('as') ?? undefined)
  if (!as.success) return new Response('Expected as=cgats, csv or gpl', { status: 400 })
  const { visit, rooms } = await loadVisit((await params).visitId)
  const readings = (await listKeepers(await openDb(), visit.id)).flatMap((keeper) =>
    keeperFinish(keeper, visit.houseRules).colours.map(({ part, reflectance }, i): Out => {
      const { reading, shift } = keeper.colours[i]!
      return {
        name: keeper.name,
        room: rooms
          .filter(({ id }) => keeper.roomIds.includes(id))
          .map(({ name }) => name)
          .join(', '),
        part,
        source: readingSourceOf(keeper.colours[i]!),
        // What was read; what was said of it by eye is no reading of a device, but its colour.
        reading: shift.length > 0 ? { kind: 'lab', lab: labD65(reflectance) } : reading,
        reflectance,
      }
    }),
  )
  const text = {
    cgats: () =>
      writeCgats(
        readings.map(({ name, part, reading, reflectance }) => ({
          name: `${name}, ${part}`,
          reading: reading.kind === 'srgb' ? { kind: 'lab', lab: labD65(reflectance) } : reading,
        })),
      ),
    csv: () => writeReadingsCsv(readings),
    gpl: () =>
      writeGimpPalette(
        visit.household,
        readings.map(({ name, part, reflectance }) => ({
          name: `${name}, ${part}`,
          hex: screenColour(DAYLIGHT, reflectance).hex,
        })),
      ),
  }[as.data]()
  const { name, type } = FILES[as.data]
  return new Response(text, {
    headers: {
      'content-type': `${type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${name}"`,
    },
  })
}
