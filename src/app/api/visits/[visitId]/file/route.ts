import { findVisitById } from '@/app/_load/visit-page'
import { sheetFileName } from '@/app/_load/sheets'
import { CODEC_VERSION } from '@/db/codec'
import { findPhoto } from '@/store/photos'
import { dataDirFromEnvironment, openDb } from '@/store/store'
import { decksOfVisitAsText, visitRowsAsText } from '@/db/visit-rows'
import { VISIT_FILE_VERSION } from '@/formats/visit-file'
import { visitFileOf } from '@/workers/visit-file-client'

/** A visit as one open file: its rows, its decks, its photos. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const visit = await findVisitById((await params).visitId)
  if (!visit) return new Response('There is no such visit.', { status: 404 })
  const db = await openDb()
  const tables = await visitRowsAsText(db, visit.id)
  const named = JSON.parse(new Map(tables).get('photo')!) as readonly { readonly hash: string }[]
  const photos = new Map<string, Uint8Array>()
  for (const { hash } of named) {
    const bytes = await findPhoto(db, dataDirFromEnvironment(), hash)
    if (bytes) photos.set(hash, bytes)
  }
  const zip = await visitFileOf({
    head: {
      format: 'elm-swatch-visit',
      version: VISIT_FILE_VERSION,
      rows: CODEC_VERSION,
      household: visit.household,
      exportedAt: new Date().toISOString(),
    },
    ...{ tables, photos },
    decks: await decksOfVisitAsText(db, visit.id),
  })
  const name = sheetFileName({ household: visit.household, title: 'visit', date: visit.visitDate })
  return new Response(Buffer.from(zip), {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}.zip"`,
      'cache-control': 'no-store',
    },
  })
}
