import type { KeeperKind } from './keeper-kind'

/** What a thing is, as far as it changes how a wall sits with it: shares, 0 to 1. */
export interface Traits {
  /** Can be carried out of the room. */
  readonly soft: number
  /** Painted: trim, doors, cupboards, the wall of another room. */
  readonly paint: number
  /** Trim and doors. */
  readonly trim: number
  /** Stone, tile, counter, brick. */
  readonly hard: number
  /** A floor, of wood as a rule. */
  readonly wood: number
  readonly carpet: number
  readonly metal: number
}

const NONE: Traits = { soft: 0, paint: 0, trim: 0, hard: 0, wood: 0, carpet: 0, metal: 0 }

/** The kinds that pairs were rated beside (`ratings/`). */
export const RATED_TRAITS = {
  textile: { ...NONE, soft: 1 },
  rug: { ...NONE, soft: 1 },
  furniture: { ...NONE, soft: 1 },
  trim: { ...NONE, paint: 1, trim: 1 },
  door: { ...NONE, paint: 1, trim: 1 },
  cabinet: { ...NONE, paint: 1 },
  /** The wall of the room beyond an open door: neither of the two is first. */
  neighbour: { ...NONE, paint: 1 },
  tile: { ...NONE, hard: 1 },
  stone: { ...NONE, hard: 1 },
  counter: { ...NONE, hard: 1 },
  brick: { ...NONE, hard: 1 },
  floor: { ...NONE, wood: 1 },
  carpet: { ...NONE, carpet: 1 },
  metal: { ...NONE, metal: 1 },
} as const satisfies Record<string, Traits>
export type RatedKind = keyof typeof RATED_TRAITS
export const RATED_KINDS = Object.keys(RATED_TRAITS) as [RatedKind, ...RatedKind[]]

/** Every kind of keeper as the nearest that was rated; those without ratings of their own are our choice (common practice). */
export const RATED_AS = {
  floor: 'floor',
  fireplace: 'brick',
  stone: 'stone',
  counter: 'counter',
  tile: 'tile',
  // Wood on the wall, as a floor is wood underfoot.
  panelling: 'floor',
  cabinets: 'cabinet',
  door: 'door',
  trim: 'trim',
  metal: 'metal',
  carpet: 'carpet',
  appliance: 'cabinet',
  upholstery: 'textile',
  curtain: 'textile',
  // Its frame; the glass shows the room.
  mirror: 'furniture',
  rug: 'rug',
  other: 'furniture',
  cushion: 'textile',
  art: 'textile',
} as const satisfies Record<KeeperKind, RatedKind>
