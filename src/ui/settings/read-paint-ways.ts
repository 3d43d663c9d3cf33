import { z } from 'zod'
import {
  PRODUCT_USES,
  TESTER_SHEENS,
  type PaintWays,
  type Product,
  type ProductUse,
} from '@/core/quantity/products'
import type { Pack } from '@/core/quantity/packs'
import { typedNumber } from '@/core/typed-number'
import {
  areaIn,
  areaM2,
  AREA_UNIT,
  ft2PerGallon,
  litresOfGallons,
  m2PerLitre,
  type LengthUnits,
  type VolumeUnits,
} from '@/core/units'
import { choiceValue, lengthValue, numberValue, withUntouchedLengths } from '../form/form-values'
import { readForm } from '../form/read-form'
import type { Filled } from '../form/use-command-form'

/** Tins as their field shows them: "1 l = 32; 2.5 l". */
export const shownPacks = (packs: readonly Pack[]): string =>
  packs.map(({ name, price }) => (price === null ? name : `${name} = ${price}`)).join('; ')

const SIZES: readonly (readonly [RegExp, number])[] = [
  [/^([\d.,]+)\s*(?:ml)$/i, 1],
  [/^([\d.,]+)\s*(?:l|litres?|liters?)$/i, 1000],
  [/^(?:([\d.,]+)\s*)?(?:gallons?|gal)$/i, litresOfGallons(1) * 1000],
  [/^(?:([\d.,]+)\s*)?(?:quarts?|qt)$/i, litresOfGallons(0.25) * 1000],
  [/^(?:([\d.,]+)\s*)?(?:pints?|pt)$/i, litresOfGallons(0.125) * 1000],
]

/** Millilitres of a size as one says it: 2.5 l, 946 ml, a gallon; null for what is none. */
export function sizeMl(text: string): number | null {
  for (const [pattern, ml] of SIZES) {
    const match = pattern.exec(text.trim())
    if (!match) continue
    const count = match[1] === undefined ? 1 : typedNumber(match[1])
    return count === null || count <= 0 ? null : Math.round(count * ml)
  }
  return null
}

const packsValue = z.string().transform((text, context): Pack[] => {
  const packs = text
    .split(';')
    .map((each) => each.trim())
    .filter(Boolean)
    .map((each) => {
      const [name = '', price] = each.split('=').map((part) => part.trim())
      return {
        name,
        ml: sizeMl(name),
        price: price === undefined ? null : typedNumber(price),
        typed: each,
        priced: price !== undefined,
      }
    })
  const wrong = packs.find(
    ({ ml, price, priced }) => ml === null || ml < 10 || (priced && (price === null || price < 0)),
  )
  if (wrong || packs.length === 0 || packs.length > 8) {
    context.addIssue({
      code: 'custom',
      message: wrong
        ? `Expected sizes as 2.5 l or 1 gallon, a price after an equals sign; got “${wrong.typed}”.`
        : `Expected one to eight sizes, got ${packs.length}.`,
    })
    return z.NEVER
  }
  return packs.map(({ name, ml, price }) => ({ name, ml: ml!, price }))
})

const yearValue = z.string().transform((text, context): number | null => {
  const plain = text.trim()
  if (plain === '') return null
  if (/^\d{4}$/.test(plain) && Number(plain) >= 1900 && Number(plain) <= 2100) return Number(plain)
  context.addIssue({
    code: 'custom',
    message: `Expected a year as 1978, or nothing, got “${plain}”.`,
  })
  return z.NEVER
})

/** What the form of how paint is reckoned comes to. */
export function readPaintWays(
  form: FormData,
  ways: PaintWays,
  lengths: LengthUnits,
  volumes: VolumeUnits,
): Filled<'keep-paint-ways'> {
  const spreadRange =
    volumes === 'litres' ? ([0.5, 50] as const) : ([ft2PerGallon(0.5), ft2PerGallon(50)] as const)
  const hours = numberValue(0, 168, 'hours')
  const typed = withUntouchedLengths(form, lengths)
  const read = readForm(
    z.object({
      testerSheen: choiceValue(TESTER_SHEENS),
      widthMm: lengthValue(50, 10_000, lengths),
      heightMm: lengthValue(50, 15_000, lengths),
      borderMm: lengthValue(0, 500, lengths),
      primer: hours,
      recoat: hours,
      dry: hours,
      waste: numberValue(0, 100, '%'),
      currency: z.string().trim().max(4, 'Expected at most 4 characters.'),
      leadBannedYear: yearValue,
    }),
    typed,
  )
  const covers = readForm(
    z.object(
      Object.fromEntries(
        ways.pots.map((_, at) => [
          `pot-${at}`,
          numberValue(0.05, Math.round(areaIn(100, lengths)), AREA_UNIT[lengths]),
        ]),
      ),
    ),
    typed,
  )
  const spreads = readForm(
    z.object(
      Object.fromEntries(
        PRODUCT_USES.map((use) => [
          `spread-${use}`,
          numberValue(Number(spreadRange[0].toFixed(1)), Math.round(spreadRange[1]), ''),
        ]),
      ),
    ),
    typed,
  )
  const sold = readForm(
    z.object(Object.fromEntries(PRODUCT_USES.map((use) => [`packs-${use}`, packsValue]))),
    typed,
  )
  if (!read.ok || !covers.ok || !spreads.ok || !sold.ok)
    return {
      ok: false,
      fields: Object.assign(
        {},
        ...[read, covers, spreads, sold].map((each) => (each.ok ? {} : each.fields)),
      ) as Record<string, string>,
    }
  const { data } = read
  const product = (use: ProductUse): Product => {
    const spread = spreads.data[`spread-${use}`]!
    return {
      spreadM2PerLitre: volumes === 'litres' ? spread : m2PerLitre(spread),
      packs: sold.data[`packs-${use}`]!,
    }
  }
  const { widthMm, heightMm, borderMm } = data
  if (2 * borderMm >= Math.min(widthMm, heightMm))
    return { ok: false, fields: { borderMm: 'Expected a border that leaves something to paint.' } }
  return {
    ok: true,
    payload: {
      paintWays: {
        pots: ways.pots.map((pot, at) => ({
          ...pot,
          coversM2: areaM2(covers.data[`pot-${at}`]!, lengths),
        })),
        board: { widthMm, heightMm, borderMm },
        testerSheen: data.testerSheen,
        drying: {
          primerMinutes: Math.round(60 * data.primer),
          recoatMinutes: Math.round(60 * data.recoat),
          dryMinutes: Math.round(60 * data.dry),
        },
        products: Object.fromEntries(PRODUCT_USES.map((use) => [use, product(use)])) as Record<
          ProductUse,
          Product
        >,
        wastePercent: data.waste,
        currency: data.currency,
        leadBannedYear: data.leadBannedYear,
      },
    },
  }
}
