import { strengthWords } from '../paint/strength'
import { cautionsOf, ON_SAFETY } from './cautions'
import { capital } from '../words'
import type { HandedPaint, HandOff } from './hand-off'
import type { SheetBlock, SheetColumn, SheetDocument, SheetSwatch } from './sheet-document'

/** A candidate as a room's record has it. */
export interface RecordedCandidate {
  readonly paint: HandedPaint
  readonly swatch: SheetSwatch
  /** "works", "ruled out: too green", "not seen yet". */
  readonly stands: string
  readonly looks: readonly {
    readonly against: string
    readonly light: string
    /** How it was taken: "on a board", "on the screen, in a computed light". */
    readonly how: string
    readonly said: string
    readonly by: string
    readonly note: string
    readonly client: string
    readonly model: string
  }[]
}

export interface RecordedRoom {
  readonly name: string
  readonly light: readonly string[]
  readonly keepers: readonly string[]
  readonly ruled: readonly string[]
  readonly candidates: readonly RecordedCandidate[]
}

const COLUMNS: readonly SheetColumn[] = [
  { title: 'Beside', width: 20 },
  { title: 'In which light', width: 27 },
  { title: 'How it was taken', width: 17 },
  { title: 'Seen', width: 20 },
  { title: 'By', width: 11 },
]

/** Every look at every candidate, room by room, and how it was taken. */
export function roomRecords(house: HandOff, rooms: readonly RecordedRoom[]): SheetDocument {
  return {
    ...house.head,
    title: 'Room records',
    blocks: [
      ...rooms.flatMap(roomBlocks),
      ...cautionsOf(['lead', 'wet'], house).map((text): SheetBlock => ({ kind: 'caution', text })),
      { kind: 'signature', lines: [`Colour consultant, ${house.head.consultant}`] },
    ],
    foot: `Where a look was taken on a screen it does not count as seen. ${ON_SAFETY}`,
  }
}

const roomBlocks = ({ name, light, keepers, ruled, candidates }: RecordedRoom): SheetBlock[] => [
  { kind: 'heading', text: name },
  { kind: 'list', items: [...light, ...keepers, ...ruled] },
  ...candidates.flatMap(({ paint, swatch, stands, looks }): SheetBlock[] => [
    {
      kind: 'entry',
      swatch,
      title: `${paint.code}, ${paint.name}`,
      figures: `${paint.maker}, ${paint.deck}, LRV ${Math.round(paint.lrvPercent)} %`,
      lines: [`${capital(strengthWords(paint.strengthPercent))}: ${stands}.`],
    },
    ...(looks.length === 0
      ? []
      : [
          {
            kind: 'table' as const,
            title: `Looks at ${paint.code} at ${paint.strengthPercent} % in ${name}`,
            columns: COLUMNS,
            rows: looks.map(({ against, light: seenIn, how, said, by, note, client, model }) => [
              against,
              seenIn,
              how,
              [said, note && `“${note}”`, client && `client: ${client}`, model && `model: ${model}`]
                .filter(Boolean)
                .join('; '),
              by,
            ]),
          },
        ]),
  ]),
]
