import type { Paper, SheetDocument } from '../core/sheet/sheet-document'
import type { PdfRequest } from './pdf-protocol'
import { askThread } from './server-thread'

const MOST_MS = 120_000

/** A sheet as the bytes of a PDF, set in a thread of its own while other pages answer. */
export const sheetPdf = (sheet: SheetDocument, paper: Paper): Promise<Uint8Array> =>
  askThread<PdfRequest, Uint8Array>('./pdf.worker.ts', { sheet, paper }, MOST_MS)
