import { productWords, productFor } from '../quantity/products'
import { packsSaid } from '../quantity/packs'
import { areaWords, volumeWords } from '../units'
import type { Surface } from '../record/proposal'
import { inTradeWords } from '../trade-words'
import { cautionsOf, ON_SAFETY } from './cautions'
import { capital } from '../words'
import type { HandedRoom, HandOff, RuledSurface } from './hand-off'
import type { SheetBlock, SheetColumn, SheetDocument } from './sheet-document'

const COLUMNS: readonly SheetColumn[] = [
  { title: 'Surface', width: 11 },
  { title: 'Paint', width: 27 },
  { title: 'Strength and base', width: 17 },
  { title: 'Sheen and product', width: 15 },
  { title: 'Coats', width: 10 },
  { title: 'Area', width: 9, isFigure: true },
  { title: 'Takes', width: 10, isFigure: true },
]

// From the top down, and what is touched most last (common practice).
const ORDER: readonly Surface[] = [
  'ceiling',
  'upper half',
  'walls',
  'one wall',
  'lower half',
  'cabinets',
  'island',
  'trim',
  'door inside',
  'door outside',
  'other',
]

/** Surface by surface what a painter needs, with no room for doubt. */
export function painterSchedule(house: HandOff): SheetDocument {
  const rooms = house.rooms.filter(({ ruled }) => ruled.length > 0)
  return {
    ...house.head,
    title: 'Painter’s schedule',
    blocks: [
      ...(rooms.length === 0
        ? [{ kind: 'text' as const, text: 'Nothing is ruled on yet: there is nothing to paint.' }]
        : []),
      ...rooms.flatMap((room) => roomBlocks(room, house)),
      ...orderBlocks(house),
      {
        kind: 'heading',
        text: 'Before and after',
      },
      ...cautionsOf(['lead', 'ladders', 'wet', 'fittings', 'touch-ups', 'sheens'], house).map(
        (text): SheetBlock => ({ kind: 'caution', text }),
      ),
      {
        kind: 'signature',
        lines: ['Read and understood, painter', `Colour consultant, ${house.head.consultant}`],
      },
    ],
    foot: `A name is no order: buy by maker, deck, code, strength and base. ${ON_SAFETY}`,
  }
}

function roomBlocks(room: HandedRoom, house: HandOff): SheetBlock[] {
  const inOrder = room.ruled.toSorted((p, q) => ORDER.indexOf(p.surface) - ORDER.indexOf(q.surface))
  const called = (surface: Surface): string => inTradeWords(capital(surface), house.words)
  const unsized = inOrder.filter(({ quantity }) => quantity === null)
  const stays = room.keepers.filter(({ state }) => state === 'staying').map(({ name }) => name)
  return [
    { kind: 'heading', text: room.name },
    {
      kind: 'table',
      title: `Surfaces of ${room.name}, in the order of work`,
      columns: COLUMNS,
      rows: inOrder.map((each) => rowOf(each, house)),
    },
    {
      kind: 'list',
      items: [
        ...inOrder.map(({ surface, coats }) => `${called(surface)}: ${coats.said}`),
        ...(room.hasOldWalls
          ? []
          : [
              'Coats are worked out over an old white; say what is on the walls now for a closer figure.',
            ]),
        ...unsized.map(
          ({ surface }) => `${called(surface)}: measure it, its size is not known here.`,
        ),
        ...(stays.length > 0 ? [`Not to be touched, cover it: ${stays.join(', ')}.`] : []),
        ...(room.open.length > 0
          ? [`Not ruled on, leave it: ${inTradeWords(room.open.join(', '), house.words)}.`]
          : []),
      ],
    },
  ]
}

function rowOf(
  { surface, paint, sheen, coats, quantity }: RuledSurface,
  { lengths, volumes, words }: HandOff,
): string[] {
  const under = coats.undercoat
    ? `1 × ${coats.undercoat}${coats.undercoatLrvPercent === null ? '' : ` (LRV ${coats.undercoatLrvPercent} %)`}, then `
    : ''
  return [
    inTradeWords(capital(surface), words),
    `${paint.code}, ${paint.name}; ${paint.maker}, ${paint.deck}`,
    `${paint.strengthPercent} % of formula, ${paint.base} base`,
    `${sheen}, ${productWords(productFor(surface), words)}`,
    `${under}${coats.coats} ${coats.coats === 1 ? 'coat' : 'coats'}`,
    quantity ? areaWords(quantity.areaM2, lengths) : 'to measure',
    quantity ? volumeWords(quantity.litres, volumes) : 'to work out',
  ]
}

const ORDER_COLUMNS: readonly SheetColumn[] = [
  { title: 'Paint', width: 34 },
  { title: 'Sheen and product', width: 20 },
  { title: 'Needed', width: 12, isFigure: true },
  { title: 'Tins', width: 22 },
]
const PRICE: SheetColumn = { title: 'Price', width: 12, isFigure: true }

/** What to buy for the whole house: each mix once, its tins rounded once. */
export function orderBlocks({
  orders,
  undercoats,
  volumes,
  words,
  currency,
}: Pick<HandOff, 'orders' | 'undercoats' | 'volumes' | 'words' | 'currency'>): SheetBlock[] {
  if (orders.length === 0) return []
  const money = (price: number | null): string =>
    price === null ? 'not given' : `${price.toFixed(2)} ${currency}`.trim()
  const prices = [...orders, ...undercoats].map(({ price }) => price)
  const isPriced = prices.some((price) => price !== null)
  const total = prices.every((price) => price !== null)
    ? prices.reduce<number>((sum, price) => sum + price!, 0)
    : null
  return [
    { kind: 'heading', text: 'To buy for the house' },
    {
      kind: 'table',
      title: 'Paint for the whole house',
      columns: isPriced ? [...ORDER_COLUMNS, PRICE] : ORDER_COLUMNS,
      rows: [
        ...orders.map(({ paint, sheen, use, litres, packs, price }) => [
          `${paint.code}, ${paint.name} at ${paint.strengthPercent} %, ${paint.base} base; ${paint.maker}, ${paint.deck}`,
          `${sheen}, ${productWords(use, words)}`,
          volumeWords(litres, volumes),
          packsSaid(packs),
          ...(isPriced ? [money(price)] : []),
        ]),
        ...undercoats.map(({ what, litres, packs, price }) => [
          what,
          'undercoat',
          volumeWords(litres, volumes),
          packsSaid(packs),
          ...(isPriced ? [money(price)] : []),
        ]),
      ],
    },
    {
      kind: 'text',
      text: [
        'Areas are those of the rooms less their openings; litres include what their texture takes more and what is wasted.',
        ...(total === null ? [] : [`Together ${money(total)}.`]),
      ].join(' '),
    },
  ]
}
