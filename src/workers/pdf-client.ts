import type { Paper, SheetDocument } from '../core/sheet/sheet-document'
import type { PdfRequest } from './pdf-protocol'
import { askThread } from './server-thread'

const MOST_MS = 120_000

/** A sheet as the bytes of a PDF, set in a thread of its own while other pages answer. */
export const sheetPdf = (sheet: SheetDocument, paper: Paper): Promise<Uint8Array> =>
  askThread<PdfRequest, Uint8Array>('./pdf.worker.ts', { sheet, paper }, MOST_MS)

let isWarm = false

/** Sets a sheet that is being read on screen, once: the thread, its fonts and its code are there by the time a PDF is asked for. */
export function warmPdf(sheet: SheetDocument): void {
  if (isWarm) return
  isWarm = true
  sheetPdf(sheet, 'a4').catch(() => (isWarm = false))
}
