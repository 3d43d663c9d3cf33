import type { Surface } from '../record/proposal'
import type { VolumeUnits } from '../units'
import { USUAL_BOARD, USUAL_POTS, type BoardSize, type Pot } from '../boards/sample'
import { USUAL_DRYING, type Drying } from '../boards/drying'
import type { Pack } from './packs'
import type { Sheen } from '../paint/sheen'
import type { Treatment } from '../paint/treatment'
import { inTradeWords, type TradeWords } from '../trade-words'

export const PRODUCT_USES = [
  'walls',
  'ceilings',
  'trim and doors',
  'outside doors',
  'cabinets',
  'undercoat',
] as const
/** What a paint is made for. */
export type ProductUse = (typeof PRODUCT_USES)[number]

/** How far a paint goes, and in what it is sold. */
export interface Product {
  /** One coat on a smooth wall. */
  readonly spreadM2PerLitre: number
  readonly packs: readonly Pack[]
}

export const TESTER_SHEENS = ['matt', 'eggshell', 'satin'] as const satisfies readonly Sheen[]
export type TesterSheen = (typeof TESTER_SHEENS)[number]

/** How a consultant samples and reckons: what of it tins and tills say, and common practice until then. */
export interface PaintWays {
  readonly pots: readonly Pot[]
  readonly board: BoardSize
  /** What testers come in. */
  readonly testerSheen: TesterSheen
  readonly drying: Drying
  readonly products: Readonly<Record<ProductUse, Product>>
  /** What stays in tins, trays and rollers. */
  readonly wastePercent: number
  /** "€", "kr"; empty where no prices are given. */
  readonly currency: string
  /** When lead in house paint was banned where the houses stand; null where nobody has said. */
  readonly leadBannedYear: number | null
}

const GALLON_ML = 3785

const USUAL_PACKS: Readonly<Record<VolumeUnits, readonly Pack[]>> = {
  litres: [
    { name: '1 l', ml: 1000, price: null },
    { name: '2.5 l', ml: 2500, price: null },
    { name: '5 l', ml: 5000, price: null },
    { name: '10 l', ml: 10_000, price: null },
  ],
  'us-gallons': [
    { name: 'quart', ml: 946, price: null },
    { name: 'gallon', ml: GALLON_ML, price: null },
    { name: '5 gallons', ml: 5 * GALLON_ML, price: null },
  ],
}

// Square metres a litre and coat; tins say 8 to 14 (common practice).
const USUAL_SPREAD: Readonly<Record<ProductUse, number>> = {
  walls: 10,
  ceilings: 9,
  'trim and doors': 12,
  'outside doors': 11,
  cabinets: 12,
  undercoat: 10,
}

/** What is reckoned with until somebody says otherwise. */
export const usualWays = (volumes: VolumeUnits): PaintWays => ({
  pots: USUAL_POTS[volumes],
  board: USUAL_BOARD,
  testerSheen: 'eggshell',
  drying: USUAL_DRYING,
  products: Object.fromEntries(
    PRODUCT_USES.map((use) => [
      use,
      { spreadM2PerLitre: USUAL_SPREAD[use], packs: USUAL_PACKS[volumes] },
    ]),
  ) as Record<ProductUse, Product>,
  wastePercent: 10,
  currency: '',
  leadBannedYear: null,
})

const USE_OF: Readonly<Partial<Record<Surface, ProductUse>>> = {
  ceiling: 'ceilings',
  trim: 'trim and doors',
  'door inside': 'trim and doors',
  'door outside': 'outside doors',
  cabinets: 'cabinets',
  island: 'cabinets',
}

/** The paint that a surface takes. */
export const productFor = (surface: Surface): ProductUse => USE_OF[surface] ?? 'walls'

const WORDS: Readonly<Record<ProductUse, string>> = {
  walls: 'wall paint',
  ceilings: 'ceiling paint',
  'trim and doors': 'trim paint',
  'outside doors': 'outdoor trim paint',
  cabinets: 'cabinet paint',
  undercoat: 'undercoat',
}

export const productWords = (use: ProductUse, words: TradeWords): string =>
  inTradeWords(WORDS[use], words)

// More surface than its outline has, and what its hollows hold (common practice).
const TAKES_MORE: Readonly<Record<Treatment, number>> = {
  plain: 1,
  panelled: 1.15,
  papered: 1.1,
  tiled: 1.05,
  textured: 1.3,
}

/** How much more paint a surface takes than a smooth one of its outline. */
export const takesMore = (use: ProductUse, treatment: Treatment): number =>
  use === 'walls' ? TAKES_MORE[treatment] : 1
