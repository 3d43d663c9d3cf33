import type { HouseRules } from '../advice/house-rules'
import { strengthWords } from '../paint/strength'
import { inTradeWords } from '../trade-words'
import { cautionsOf, ON_SAFETY } from './cautions'
import { howItLooks, stillToLook, whyChosen } from './client-words'
import { type HandedRoom, type HandOff, type RuledSurface } from './hand-off'
import type { SheetBlock, SheetDocument, SheetPicture } from './sheet-document'
import { capital } from '../words'

/** What was chosen and why, how it will look in their rooms, what is still worth a look, what was not chosen: in plain words. */
export function clientSheet(
  house: HandOff,
  picturesOf: (room: HandedRoom) => readonly SheetPicture[] = () => [],
): SheetDocument {
  const cautions = cautionsOf(['wet', 'touch-ups', 'lead'], house)
  return {
    ...house.head,
    title: 'Your colours',
    blocks: [
      ...house.rooms.flatMap((room) => roomBlocks(room, house, picturesOf(room))),
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

function roomBlocks(
  room: HandedRoom,
  { rules, words }: HandOff,
  pictures: readonly SheetPicture[],
): SheetBlock[] {
  const { name, ruled, open, ruledOut } = room
  if (ruled.length === 0 && open.length === 0 && ruledOut.length === 0) return []
  return [
    { kind: 'heading', text: name },
    ...ruled.map((each): SheetBlock => ({
      kind: 'entry',
      swatch: each.swatch,
      title: `${inTradeWords(capital(each.surface), words)}: ${each.paint.name}`,
      figures: `${each.paint.code}, ${each.paint.maker}, ${each.paint.deck}; ${strengthWords(each.paint.strengthPercent)}, in ${each.sheen}`,
      lines: linesOf(each, rules),
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
      ? [{ kind: 'text' as const, text: `Still open: ${inTradeWords(open.join(', '), words)}.` }]
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

const linesOf = (
  { paint, sights, seenWell, compromise, gaps, ruledBy, ruledOn }: RuledSurface,
  rules: HouseRules,
): string[] =>
  [
    howItLooks(paint.name, paint.lrvPercent, sights, rules),
    whyChosen(seenWell),
    compromise && `What it gives up: ${compromise}`,
    stillToLook(gaps),
    `Chosen on ${ruledOn}, ${ruledBy}.`,
  ].filter((line) => line !== null && line !== '') as string[]
