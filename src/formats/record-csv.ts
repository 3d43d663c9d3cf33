import Papa from 'papaparse'
import { harmless } from './spreadsheet'

/** A look as a row of the record. */
export interface RecordedLook {
  readonly room: string
  readonly maker: string
  readonly deck: string
  readonly code: string
  readonly name: string
  readonly strengthPercent: number
  readonly sheen: string
  readonly beside: string
  readonly light: string
  readonly how: string
  readonly verdict: string
  readonly reasons: string
  readonly lean: string
  readonly note: string
  readonly client: string
  readonly model: string
  readonly by: string
  readonly madeAt: string
}

/** The record as CSV, a look a line, safe in a spreadsheet: text stays text. */
export const writeRecordCsv = (looks: readonly RecordedLook[]): string =>
  Papa.unparse(
    {
      fields: [
        'room',
        'maker',
        'deck',
        'code',
        'name',
        'strength (%)',
        'sheen',
        'beside',
        'light',
        'how',
        'verdict',
        'reasons',
        'lean',
        'note',
        'client',
        'model',
        'by',
        'made at',
      ],
      data: looks.map((look) => [
        harmless(look.room),
        harmless(look.maker),
        harmless(look.deck),
        harmless(look.code),
        harmless(look.name),
        look.strengthPercent,
        look.sheen,
        harmless(look.beside),
        harmless(look.light),
        look.how,
        look.verdict,
        look.reasons,
        look.lean,
        harmless(look.note),
        harmless(look.client),
        look.model,
        harmless(look.by),
        look.madeAt,
      ]),
    },
    { newline: '\r\n' },
  )
