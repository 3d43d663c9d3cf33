import { z } from 'zod'
import { PaintWaysRow } from '../db/paint-ways-row'
import { savePaintWays } from '../db/settings'
import { kind, Refusal } from './kind'

/** How paint is sampled and worked out: pots, boards, tins, spread, drying, waste; or as is usual again. */
export const keepPaintWays = kind({
  payload: z.object({ paintWays: PaintWaysRow.nullable() }),
  visitOf: () => null,
  async write(tx, { paintWays }) {
    if (!(await savePaintWays(tx, paintWays)))
      throw new Refusal('Begin with your name and units first: these settings stand beside them.')
  },
  sentence: ({ paintWays }) =>
    paintWays
      ? 'How paint is sampled and worked out'
      : 'Paint is sampled and worked out as is usual',
})
