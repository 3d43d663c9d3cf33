import type { Paper, SheetDocument } from '../core/sheet/sheet-document'

/** A sheet to be set; cloneable. */
export interface PdfRequest {
  readonly sheet: SheetDocument
  readonly paper: Paper
}
