import type { Paper, SheetDocument } from '../core/sheet/sheet-document'

/** A sheet to be set; cloneable. */
export interface PdfRequest {
  readonly id: number
  readonly sheet: SheetDocument
  readonly paper: Paper
}

export type PdfAnswer =
  | { readonly id: number; readonly bytes: Uint8Array }
  | { readonly id: number; readonly error: string }
