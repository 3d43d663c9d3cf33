import { ON_SAFETY } from './cautions'
import { mixLines } from './counter-slip'
import type { HandedPaint } from './hand-off'
import type { SheetBlock, SheetDocument, SheetSwatch } from './sheet-document'

/** A paint to be fetched, or one that was never held as a sample. */
export interface ToFetch {
  readonly paint: HandedPaint
  readonly swatch: SheetSwatch
  /** "Kitchen, walls: a little less pink". */
  readonly wanted: readonly string[]
}

/** What to bring from the shop: chips and samples, by maker, deck and code. */
export function fetchSheet(
  head: Pick<SheetDocument, 'household' | 'placeName' | 'date' | 'consultant'>,
  toFetch: readonly ToFetch[],
  neverHeld: readonly ToFetch[],
): SheetDocument {
  const entry = ({ paint, swatch, wanted }: ToFetch): SheetBlock => ({
    kind: 'entry',
    swatch,
    title: `${paint.code}, ${paint.name}`,
    figures: `${paint.maker}, ${paint.deck}, LRV ${Math.round(paint.lrvPercent)} %`,
    lines: [
      ...(paint.strengthPercent === 100
        ? ['Chip or large swatch, full strength.']
        : mixLines(paint.strengthPercent, paint.base, paint.mayBeRefused)),
      ...wanted,
    ],
  })
  return {
    ...head,
    title: 'Fetch list',
    blocks: [
      ...(toFetch.length === 0 ? [{ kind: 'text' as const, text: 'Nothing is on the list.' }] : []),
      ...toFetch.map(entry),
      ...(neverHeld.length > 0
        ? [
            { kind: 'heading' as const, text: 'Proposed, and never held as a sample' },
            ...neverHeld.map(entry),
          ]
        : []),
      { kind: 'signature', lines: ['Fetched by'] },
    ],
    foot: `No chip exists at another strength; only a mixed sample shows it. ${ON_SAFETY}`,
  }
}
