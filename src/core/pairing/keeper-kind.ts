import { inTradeWords, type TradeWords } from '../trade-words'

interface KindOfKeeper {
  /** Furnishings can be carried out of the room; fixed finishes cannot. */
  readonly as: 'fixed' | 'furnishing'
  /** How dear it is to change, 1 easily to 5 never, until somebody says otherwise (common practice). */
  readonly dearness: number
  readonly words: string
}

const KINDS = {
  floor: { as: 'fixed', dearness: 5, words: 'floor' },
  fireplace: { as: 'fixed', dearness: 4.8, words: 'fireplace' },
  stone: { as: 'fixed', dearness: 5 - 4 / 9, words: 'stone' },
  counter: { as: 'fixed', dearness: 4.4, words: 'countertop' },
  tile: { as: 'fixed', dearness: 5 - 8 / 9, words: 'tile' },
  panelling: { as: 'fixed', dearness: 3.9, words: 'panelling' },
  cabinets: { as: 'fixed', dearness: 5 - 12 / 9, words: 'cabinet' },
  door: { as: 'fixed', dearness: 3.4, words: 'door' },
  trim: { as: 'fixed', dearness: 5 - 16 / 9, words: 'trim' },
  metal: { as: 'fixed', dearness: 3, words: 'metal and fittings' },
  carpet: { as: 'fixed', dearness: 5 - 20 / 9, words: 'carpet' },
  appliance: { as: 'furnishing', dearness: 2.6, words: 'appliance' },
  upholstery: { as: 'furnishing', dearness: 5 - 24 / 9, words: 'upholstery' },
  curtain: { as: 'furnishing', dearness: 5 - 28 / 9, words: 'curtain' },
  mirror: { as: 'furnishing', dearness: 1.6, words: 'mirror' },
  rug: { as: 'furnishing', dearness: 5 - 32 / 9, words: 'rug' },
  other: { as: 'furnishing', dearness: 1.3, words: 'other' },
  cushion: { as: 'furnishing', dearness: 1.1, words: 'cushion or throw' },
  art: { as: 'furnishing', dearness: 1, words: 'art' },
} as const satisfies Record<string, KindOfKeeper>
export type KeeperKind = keyof typeof KINDS

/** What stays, dearest to change first. */
export const KEEPER_KINDS = Object.keys(KINDS) as [KeeperKind, ...KeeperKind[]]

/** A kind as people say it. */
export const kindWords = (kind: KeeperKind, words: TradeWords): string =>
  inTradeWords(KINDS[kind].words, words)

/** Whether it stays because it cannot be carried out. */
export const isFixed = (kind: KeeperKind): boolean => KINDS[kind].as === 'fixed'

// A mirror shows the room, an appliance nothing: nobody draws a scheme from them.
const INSPIRE: readonly KeeperKind[] = ['upholstery', 'curtain', 'rug', 'cushion', 'art', 'other']

const UNDERFOOT: readonly KeeperKind[] = ['floor', 'carpet']

/** Whether a keeper is what one walks on: its colour is the floor's in the light of the room. */
export const isUnderfoot = (kind: KeeperKind): boolean => UNDERFOOT.includes(kind)

/** Whether a keeper may inspire a scheme, as a rug or a painting does; a floor is lived with, not drawn from. */
export const mayInspire = (kind: KeeperKind, colours: number): boolean =>
  INSPIRE.includes(kind) && colours > 1

const PHOTOGRAPHED: readonly KeeperKind[] = [
  'stone',
  'tile',
  'counter',
  'fireplace',
  'carpet',
  'upholstery',
  'curtain',
  'rug',
  'cushion',
  'art',
]

/** Whether it has colours in shares that a photo tells best; what is plain is matched by eye sooner. */
export const isPhotographed = (kind: KeeperKind): boolean => PHOTOGRAPHED.includes(kind)

export const KEEPER_STATES = ['staying', 'leaving', 'arriving', 'paintable'] as const
export type KeeperState = (typeof KEEPER_STATES)[number]

const MOTTLED: readonly KeeperKind[] = ['stone', 'counter', 'tile', 'fireplace']

/** Whether its colours lie in one another as flecks and veins, or are parts that lie side by side. */
export const isMottled = (kind: KeeperKind): boolean => MOTTLED.includes(kind)

/** Whether a candidate is judged against a keeper in this state. */
export const isJudgedAgainst = (state: KeeperState): boolean => state !== 'leaving'

/** Whether a no beside it settles a colour for the room: nobody is going to change it. */
export const settlesColours = ({
  state,
  kind,
}: {
  readonly state: KeeperState
  readonly kind: KeeperKind
}): boolean => state === 'staying' && isFixed(kind)

/** How much of what one sees of a room a keeper takes up. */
export const VIEW_SHARES = ['little', 'some', 'much'] as const
export type ViewShare = (typeof VIEW_SHARES)[number]

/** How dear a keeper is to change, 1 easily to 5 never: as it was said, else by its kind. */
export const dearnessOf = (kind: KeeperKind, said: number | null): number =>
  said ?? KINDS[kind].dearness

export const VIEW_WEIGHT: Record<ViewShare, number> = { little: 0.7, some: 1, much: 1.4 }

// A keeper of middling dearness, in plain view, counts for half; nothing that stays counts for less than this.
const LEAST_MATTERS = 0.35
const FULL_WEIGHT = 3

/** How much a keeper matters in a ranking, 0 to 1: the lead fully, then the dear to change and what is most in view. */
export function keeperMatters(dearness: number, view: ViewShare, leads: boolean): number {
  if (leads) return 1
  const weight = ((dearness + 1) / 2) * VIEW_WEIGHT[view]
  return Math.max(LEAST_MATTERS, Math.min(1, weight / FULL_WEIGHT))
}
