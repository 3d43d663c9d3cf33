import { z } from 'zod'
import {
  PRODUCT_USES,
  TESTER_SHEENS,
  type PaintWays,
  type ProductUse,
} from '../core/quantity/products'

const named = z.string().trim().min(1, 'Expected a name, got nothing.').max(40)
const ml = z.int().min(10).max(200_000)
const price = z.number().min(0).max(100_000).nullable()
const minutes = z.int().min(0).max(10_080)
const Product = z.object({
  spreadM2PerLitre: z.number().min(0.5).max(50),
  packs: z
    .array(z.object({ name: named, ml, price }))
    .min(1)
    .max(8),
})

/** How paint is sampled and worked out, as a row and a change have it. */
export const PaintWaysRow: z.ZodType<PaintWays> = z.object({
  pots: z
    .array(z.object({ name: named, ml, price, coversM2: z.number().min(0.05).max(100) }))
    .min(1)
    .max(8),
  board: z
    .object({
      widthMm: z.int().min(50).max(10_000),
      heightMm: z.int().min(50).max(15_000),
      borderMm: z.int().min(0).max(500),
    })
    .refine(({ widthMm, heightMm, borderMm }) => 2 * borderMm < Math.min(widthMm, heightMm), {
      message: 'Expected a border that leaves something to paint.',
    }),
  testerSheen: z.enum(TESTER_SHEENS),
  drying: z.object({ primerMinutes: minutes, recoatMinutes: minutes, dryMinutes: minutes }),
  products: z.object(
    Object.fromEntries(PRODUCT_USES.map((use) => [use, Product])) as Record<
      ProductUse,
      typeof Product
    >,
  ),
  wastePercent: z.number().min(0).max(100),
  currency: z.string().trim().max(4),
  leadBannedYear: z.int().min(1900).max(2100).nullable(),
})
