import { writeSheetPdf } from '../formats/pdf/write-sheet'
import { answerInThread } from './answer-in-thread'
import type { PdfRequest } from './pdf-protocol'

answerInThread(({ sheet, paper }: PdfRequest) => writeSheetPdf(sheet, paper))
