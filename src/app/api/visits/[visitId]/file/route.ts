import { findVisitById } from '@/app/_load/visit-page'
import { sheetFileName } from '@/app/_load/sheets'
import { CODEC_VERSION } from '@/db/codec'
import { findPhoto } from '@/store/photos'
import { dataDirFromEnvironment, openDb } from '@/store/store'
import { decksOfVisit, visitRows } from '@/db/visit-rows'
import { VISIT_FILE_VERSION, writeVisitFile } from '@/formats/visit-file'

/** A visit as one open file: its rows, its decks, its photos. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const visit = await findVisitById((await params).visitId)
  if (!visit) return new Response('There is no such visit.', { status: 404 })
  const db = await openDb()
  const tables = await visitRows(db, visit.id)
  const photos = new Map<string, Uint8Array>()
  for (const { hash } of tables.photo as readonly { hash: string }[]) {
    const bytes = await findPhoto(db, dataDirFromEnvironment(), hash)
    if (bytes) photos.set(hash, bytes)
  }
  const zip = writeVisitFile(
    {
      format: 'elm-swatch-visit',
      version: VISIT_FILE_VERSION,
      rows: CODEC_VERSION,
      household: visit.household,
      exportedAt: new Date().toISOString(),
      tables: tables as never,
      decks: (await decksOfVisit(db, visit.id)) as never,
    },
    photos,
  )
  const name = sheetFileName({ household: visit.household, title: 'visit', date: visit.visitDate })
  return new Response(Buffer.from(zip), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}.zip"`,
      'cache-control': 'no-store',
    },
  })
}
