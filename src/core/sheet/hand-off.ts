import type { OLD_PAINT } from '../advice/brief'
import type { Sheen } from '../paint/sheen'
import type { Base } from '../paint/strength'
import type { KeeperState } from '../pairing/keeper-kind'
import type { Coats, Ordered, Quantity } from '../quantity/quantity'
import type { Surface } from '../record/proposal'
import type { LengthUnits, VolumeUnits } from '../units'
import type { HouseRules } from '../advice/house-rules'
import type { TradeWords } from '../trade-words'
import type { Undertone } from '../undertone/undertone'
import type { SheetDocument, SheetSwatch } from './sheet-document'

/** A paint as an order names it. */
export interface HandedPaint {
  readonly id: string
  readonly maker: string
  readonly deck: string
  readonly code: string
  readonly name: string
  readonly strengthPercent: number
  readonly base: Base
  /** Counters may refuse to mix it at another strength. */
  readonly mayBeRefused: boolean
  readonly lrvPercent: number
}

/** How a colour looks in a part of a day. */
export interface DaySight {
  /** "in the morning", "of an evening, under lamps". */
  readonly when: string
  readonly isMidday: boolean
  /** As it is drawn, to an eye adapted only as far as the light lets it. */
  readonly undertone: Undertone
}

/** A look that found that it works: "on a board", "Oak floor", "by day". */
export interface SeenWell {
  readonly seen: string
  readonly beside: string
  readonly light: string
}

/** A surface that is ruled on, with what it takes. */
export interface RuledSurface {
  readonly surface: Surface
  readonly paint: HandedPaint
  readonly sheen: Sheen
  readonly swatch: SheetSwatch
  /** As it looks in the parts of the room's day. */
  readonly sights: readonly DaySight[]
  /** Where it was seen to work. */
  readonly seenWell: readonly SeenWell[]
  readonly compromise: string
  readonly gaps: readonly string[]
  readonly ruledBy: string
  readonly ruledOn: string
  readonly coats: Coats
  /** Null where nobody has said how large it is. */
  readonly quantity: Quantity | null
  readonly undercoat: Quantity | null
}

export interface HandedRoom {
  readonly id: string
  readonly name: string
  readonly heightMm: number
  readonly ruled: readonly RuledSurface[]
  /** Surfaces that something is proposed for, and that nobody has ruled on. */
  readonly open: readonly Surface[]
  readonly keepers: readonly { readonly name: string; readonly state: KeeperState }[]
  readonly ruledOut: readonly { readonly called: string; readonly why: string }[]
  readonly hasOldWalls: boolean
}

/** What a house is handed over with. */
export interface HandOff {
  readonly head: Pick<SheetDocument, 'household' | 'placeName' | 'date' | 'consultant'>
  readonly rules: HouseRules
  readonly oldPaint: (typeof OLD_PAINT)[number]
  readonly leadBannedYear: number | null
  readonly rooms: readonly HandedRoom[]
  /** One mix in one sheen and product each, its tins rounded once for the house. */
  readonly orders: readonly (Ordered & { readonly paint: HandedPaint; readonly sheen: Sheen })[]
  /** What goes under, likewise. */
  readonly undercoats: readonly (Ordered & { readonly what: string })[]
  readonly lengths: LengthUnits
  readonly volumes: VolumeUnits
  readonly words: TradeWords
  readonly currency: string
}

/** A paint as one calls it: "Larkstone (K021-3) at 75 %". */
export const paintCalled = ({
  name,
  code,
  strengthPercent,
}: Pick<HandedPaint, 'name' | 'code' | 'strengthPercent'>): string =>
  `${name} (${code}) at ${strengthPercent} %`
