import { strengthWords } from '../paint/strength'
import { packsSaid } from '../quantity/packs'
import { productWords } from '../quantity/products'
import { volumeWords } from '../units'
import { ON_SAFETY } from './cautions'
import { capital } from '../words'
import type { HandOff } from './hand-off'
import type { SheetBlock, SheetDocument } from './sheet-document'

/** What the paint counter mixes, in its own language: one slip a mix, the strength said both ways. */
export function counterSlip(house: HandOff, swatchHex: ReadonlyMap<string, string>): SheetDocument {
  return {
    ...house.head,
    title: 'Counter slip',
    blocks: [
      ...(house.orders.length === 0
        ? [{ kind: 'text' as const, text: 'Nothing is ruled on yet: there is nothing to mix.' }]
        : []),
      ...house.orders.map(({ paint, sheen, use, litres, packs }): SheetBlock => ({
        kind: 'entry',
        swatch: {
          code: paint.code,
          bands: [{ light: 'by daylight', hex: swatchHex.get(paint.id) ?? '#ffffff' }],
        },
        title: `${paint.code}, ${paint.name}`,
        figures: `${paint.maker}, ${paint.deck}, LRV ${Math.round(paint.lrvPercent)} %`,
        lines: [
          ...mixLines(paint.strengthPercent, paint.base, paint.mayBeRefused),
          `${capital(sheen)}, ${productWords(use, house.words)}.`,
          `${packsSaid(packs)} (${volumeWords(litres, house.volumes)} needed).`,
          'Bring a dried sample: dab it on card, let it dry, hold it to the board before the tins leave the shop.',
        ],
      })),
      ...(house.undercoats.length > 0
        ? [
            { kind: 'subheading' as const, text: 'Under it' },
            {
              kind: 'list' as const,
              items: house.undercoats.map(
                ({ what, packs, litres }) =>
                  `${what}: ${packsSaid(packs)} (${volumeWords(litres, house.volumes)} needed).`,
              ),
            },
          ]
        : []),
      { kind: 'signature', lines: ['Mixed as written, paint counter'] },
    ],
    foot: `All tins of one mix from one batch; write the batch on the lid. ${ON_SAFETY}`,
  }
}

/** A strength as a counter is told it: both phrasings, the same base. */
export function mixLines(strengthPercent: number, base: string, mayBeRefused: boolean): string[] {
  if (strengthPercent === 100) return [`Full formula, ${base} base.`]
  return [
    `Mix at ${strengthPercent} % of the formula, in the same ${base} base: ${strengthWords(strengthPercent).replace(/^at \d+ %, with /, '')}.`,
    ...(mayBeRefused
      ? ['The counter may refuse this colour at another strength: ask before anything is mixed.']
      : []),
  ]
}
