import { loadSheet, sheetFileName } from '@/app/_load/sheets'
import { findVisitById } from '@/app/_load/visit-page'
import { PAPERS, SHEET_KINDS } from '@/core/sheet/sheet-document'
import { sheetPdf } from '@/workers/pdf-client'

/** A sheet of a visit as PDF, on A4 or Letter; set in a thread of its own. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string; kind: string }> },
): Promise<Response> {
  const { visitId, kind: asked } = await params
  const kind = SHEET_KINDS.find((each) => each === asked)
  const wanted = new URL(request.url).searchParams.get('paper') ?? 'a4'
  const paper = PAPERS.find((each) => each === wanted)
  if (!kind || !(await findVisitById(visitId)))
    return new Response('There is no such sheet.', { status: 404 })
  if (!paper) return new Response(`Expected paper a4 or letter, got “${wanted}”.`, { status: 400 })
  const sheet = await loadSheet(visitId, kind, true)
  const bytes = await sheetPdf(sheet, paper)
  return new Response(Buffer.from(bytes), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${sheetFileName(sheet)}.pdf"`,
      'cache-control': 'no-store',
    },
  })
}
