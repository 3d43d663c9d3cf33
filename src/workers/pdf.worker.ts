import { parentPort } from 'node:worker_threads'
import { writeSheetPdf } from '../formats/pdf/write-sheet'
import type { PdfAnswer, PdfRequest } from './pdf-protocol'

parentPort!.on('message', ({ id, sheet, paper }: PdfRequest) => {
  writeSheetPdf(sheet, paper).then(
    (bytes) => parentPort!.postMessage({ id, bytes } satisfies PdfAnswer),
    (error: unknown) => parentPort!.postMessage({ id, error: String(error) } satisfies PdfAnswer),
  )
})
