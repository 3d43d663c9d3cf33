/** A colour on a sheet in the lights that it is shown in, touching; never without its code. */
export interface SheetSwatch {
  readonly code: string
  readonly bands: readonly { readonly light: string; readonly hex: string }[]
}

export interface SheetColumn {
  readonly title: string
  /** Share of the width, any unit. */
  readonly width: number
  readonly isFigure?: boolean
}

/** A computed picture of a room. */
export interface SheetPicture {
  readonly caption: string
  /** Where a page has it from. */
  readonly src: string
  /** Its bytes, where the sheet is set as PDF. */
  readonly jpeg?: Uint8Array
}

/** What a sheet is made of, one under the other. */
export type SheetBlock =
  | { readonly kind: 'heading'; readonly text: string }
  | { readonly kind: 'subheading'; readonly text: string }
  | { readonly kind: 'text'; readonly text: string; readonly isStrong?: boolean }
  | { readonly kind: 'list'; readonly items: readonly string[] }
  | {
      readonly kind: 'entry'
      readonly swatch: SheetSwatch
      readonly title: string
      /** Maker, deck, LRV: small beside the title. */
      readonly figures: string
      readonly lines: readonly string[]
    }
  | {
      readonly kind: 'table'
      readonly title: string
      readonly columns: readonly SheetColumn[]
      readonly rows: readonly (readonly string[])[]
    }
  | { readonly kind: 'pictures'; readonly pictures: readonly SheetPicture[]; readonly foot: string }
  | { readonly kind: 'caution'; readonly text: string }
  | { readonly kind: 'signature'; readonly lines: readonly string[] }

/** A sheet that leaves the house, the same on screen, in print and as PDF. */
export interface SheetDocument {
  readonly title: string
  readonly household: string
  readonly placeName: string
  /** "21 June 2026". */
  readonly date: string
  readonly consultant: string
  readonly blocks: readonly SheetBlock[]
  /** Said once under all of it. */
  readonly foot: string
}

export const PAPERS = ['a4', 'letter'] as const
export type Paper = (typeof PAPERS)[number]

export const SHEET_KINDS = ['client', 'painter', 'counter', 'house', 'fetch', 'record'] as const
/** Whom a sheet is for. */
export type SheetKind = (typeof SHEET_KINDS)[number]

export const SHEET_WORDS: Readonly<Record<SheetKind, string>> = {
  client: 'For the client',
  painter: 'Painter’s schedule',
  counter: 'Counter slip',
  house: 'The house',
  fetch: 'Fetch list',
  record: 'Room records',
}
