import { strengthWords } from '../paint/strength'
import { cautionsOf, ON_SAFETY } from './cautions'
import { type HandedRoom, type HandOff, type RuledSurface } from './hand-off'
import type { SheetBlock, SheetDocument, SheetPicture } from './sheet-document'
import { capital } from '../words'

/** What was chosen and why, how it will look, what it does to what stays, what was ruled out: in plain words. */
export function clientSheet(
  house: HandOff,
  picturesOf: (room: HandedRoom) => readonly SheetPicture[] = () => [],
): SheetDocument {
  const cautions = cautionsOf(['wet', 'touch-ups', 'lead'], house)
  return {
    ...house.head,
    title: 'Your colours',
    blocks: [
      ...house.rooms.flatMap((room) => roomBlocks(room, picturesOf(room))),
      { kind: 'heading', text: 'To keep in mind' },
      ...cautions.map((text): SheetBlock => ({ kind: 'caution', text })),
      {
        kind: 'signature',
        lines: ['Agreed, client', `Colour consultant, ${house.head.consultant}`],
      },
    ],
    foot: `A screen and a print are not paint: judge from dry boards of two coats. ${ON_SAFETY}`,
  }
}

function roomBlocks(room: HandedRoom, pictures: readonly SheetPicture[]): SheetBlock[] {
  const { name, ruled, open, ruledOut } = room
  if (ruled.length === 0 && open.length === 0 && ruledOut.length === 0) return []
  return [
    { kind: 'heading', text: name },
    ...ruled.map((each): SheetBlock => ({
      kind: 'entry',
      swatch: each.swatch,
      title: `${capital(each.surface)}: ${each.paint.name}`,
      figures: `${each.paint.code}, ${each.paint.maker}, ${each.paint.deck}`,
      lines: linesOf(each),
    })),
    ...(pictures.length > 0
      ? [
          {
            ...{ kind: 'pictures' as const, pictures },
            foot: 'Computed from the room’s sizes, windows, lamps and finishes; not a photograph.',
          },
        ]
      : []),
    ...(open.length > 0
      ? [{ kind: 'text' as const, text: `Still open: ${open.join(', ')}.` }]
      : []),
    ...(ruledOut.length > 0
      ? [
          { kind: 'subheading' as const, text: 'Looked at, and not chosen' },
          {
            kind: 'list' as const,
            items: ruledOut.map(({ called, why }) => `${called}: ${why}`),
          },
        ]
      : []),
  ]
}

const linesOf = ({
  paint,
  sheen,
  looks,
  doesTo,
  why,
  compromise,
  gaps,
  ruledBy,
  ruledOn,
}: RuledSurface): string[] => [
  `${capital(strengthWords(paint.strengthPercent))}, in ${sheen}.`,
  ...looks.map((each) => `${capital(each)}.`),
  ...doesTo,
  ...why,
  ...(compromise ? [`What it gives up: ${compromise}`] : []),
  `Chosen on ${ruledOn}, ${ruledBy}.`,
  ...(gaps.length > 0 ? [`Not seen when it was chosen: ${gaps.join('; ')}.`] : []),
]
