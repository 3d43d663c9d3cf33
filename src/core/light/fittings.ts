import type { Lab } from '../colour/lab'

// What stands in a window, before it and in a room. Transmittances and reflectances are orders of magnitude, common
// practice.

interface Kind {
  readonly words: string
}

/** Glass with its frame: share of the light on the opening that comes in. */
export const GLAZINGS = {
  single: { words: 'single glass', transmittance: 0.74 },
  double: { words: 'double glazing', transmittance: 0.68 },
  'double-low-e': { words: 'double, coated', transmittance: 0.61 },
  triple: { words: 'triple glazing', transmittance: 0.53 },
  obscured: { words: 'obscured glass', transmittance: 0.55 },
  tinted: { words: 'tinted glass', transmittance: 0.34 },
} as const satisfies Record<string, Kind & { readonly transmittance: number }>
export type Glazing = keyof typeof GLAZINGS
/** Instead of a glazing: a door that lets no light in. */
export const SOLID = 'solid'

/** What hangs in it: share let through, and whether it spreads the light so that no patch of sun is left. */
export const CURTAINS = {
  none: { words: 'nothing', transmittance: 1, diffuses: false },
  sheer: { words: 'sheer curtain', transmittance: 0.55, diffuses: true },
  'half-blind': { words: 'blind, half down', transmittance: 0.5, diffuses: false },
  slats: { words: 'slatted blind', transmittance: 0.3, diffuses: true },
  drawn: { words: 'curtains drawn', transmittance: 0.03, diffuses: true },
} as const satisfies Record<
  string,
  Kind & { readonly transmittance: number; readonly diffuses: boolean }
>
export type Curtain = keyof typeof CURTAINS

/** What stands opposite, as it colours the light: L*a*b* under D65. */
export const OPPOSITES = {
  sky: { words: 'open sky', lab: null },
  trees: { words: 'trees', lab: [38, -10, 17] },
  brick: { words: 'red brick', lab: [46, 17, 19] },
  render: { words: 'pale render', lab: [84, 0.5, 7] },
  stone: { words: 'grey stone', lab: [58, 0.5, 4] },
} as const satisfies Record<string, Kind & { readonly lab: Lab | null }>
export type Opposite = keyof typeof OPPOSITES

/** What lies before the window. */
export const GROUNDS = {
  paving: { words: 'paving or soil', lab: [46, 0, 1] },
  grass: { words: 'grass', lab: [44, -11, 20] },
  water: { words: 'water', lab: [30, -2, -4] },
  snow: { words: 'snow', lab: [92, -0.5, -2] },
} as const satisfies Record<string, Kind & { readonly lab: Lab }>
export type Ground = keyof typeof GROUNDS

/** Bulbs by what makes their light. */
export const BULBS = {
  filament: { words: 'filament or halogen', ra: 100 },
  'led-90': { words: 'LED, good rendering (Ra 90)', ra: 90 },
  'led-80': { words: 'LED, ordinary (Ra 80)', ra: 80 },
  'led-70': { words: 'LED, poor rendering (Ra 70)', ra: 70 },
  tube: { words: 'fluorescent tube', ra: 82 },
} as const satisfies Record<string, Kind & { readonly ra: number }>
export type Bulb = keyof typeof BULBS

/** Where a lamp stands or hangs, and how much of its light goes up to the ceiling first. */
export const LAMP_PLACES = {
  pendant: { words: 'pendant', uplight: 0.5 },
  downlights: { words: 'downlights', uplight: 0 },
  table: { words: 'table or floor lamp', uplight: 0.5 },
  strip: { words: 'strip along a wall', uplight: 0.9 },
} as const satisfies Record<string, Kind & { readonly uplight: number }>
export type LampPlace = keyof typeof LAMP_PLACES

export const kindsOf = <Name extends string>(
  of: Readonly<Record<Name, unknown>>,
): readonly [Name, ...Name[]] => Object.keys(of) as [Name, ...Name[]]
