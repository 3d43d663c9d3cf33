import { OWN, type MeasuredForName } from '../paint/measured-for'
import type { Base } from '../paint/strength'
import type { DeckTable } from './deck-file'

/** The texts of a colour that stand in columns of their own, where a file has them. */
export const TEXT_COLUMNS = ['code', 'name', 'strip', 'base', 'lrv', 'sheens', 'refused'] as const
export type TextColumn = (typeof TEXT_COLUMNS)[number]

/** How a colour was read, and the columns that say so. */
export const READING_KINDS = ['lab', 'xyz', 'hex', 'rgb', 'spectrum'] as const
export type ReadingKind = (typeof READING_KINDS)[number]

/** What stands in which column, by its place; null where nothing does. */
export interface DeckMapping {
  readonly texts: Readonly<Record<TextColumn, number | null>>
  readonly kind: ReadingKind
  /** L*, a*, b*; X, Y, Z; red, green, blue; or hex alone. */
  readonly numbers: readonly (number | null)[]
  /** Of a spectrum, its wavelengths' columns; else empty. */
  readonly bands: readonly { readonly nm: number; readonly column: number }[]
  /** A spectrum in one cell: "400 0.31; 410 0.32". */
  readonly spectrumCell: number | null
  /** The light and the eye that L*a*b* or XYZ are for. */
  readonly measuredFor: MeasuredForName | null
  /** Whether a spectrum's shares are 0 to 1 or per cent. */
  readonly scale: DeckTable['scale']
  /** The base of colours whose base is not said. */
  readonly base: Base
}

// What columns are called, in the usual tongues of files; common practice.
const CALLED: Record<TextColumn, RegExp> = {
  code: /^(code|colou?r[ _-]?code|number|no\.?|nr\.?|id|sku|ref(erence)?|sample_?id)$/i,
  name: /^(name|colou?r([ _-]?name)?|description|title|sample_name)$/i,
  strip: /^(strip|card|page|family|group|chip[ _-]?strip|fan)$/i,
  base: /^base$|^(tint[ _-]?base|paint[ _-]?base)$/i,
  lrv: /^(lrv|printed[ _-]?lrv|light[ _-]?reflectance([ _-]?value)?|y)$/i,
  sheens: /^(sheens?|finish(es)?|gloss)$/i,
  refused: /^(refus(ed|es)?|may[ _-]?be[ _-]?refused|the counter may refuse)$/i,
}

const LAB = [
  /^(l|l\*|lab[ _-]?l|cie[ _-]?l)$/i,
  /^(a|a\*|lab[ _-]?a|cie[ _-]?a)$/i,
  /^(b|b\*|lab[ _-]?b|cie[ _-]?b)$/i,
]
const XYZ = [/^(x|xyz[ _-]?x)$/i, /^(y|xyz[ _-]?y)$/i, /^(z|xyz[ _-]?z)$/i]
const RGB = [
  /^(r|red|rgb[ _-]?r|srgb[ _-]?r)$/i,
  /^(g|green|rgb[ _-]?g|srgb[ _-]?g)$/i,
  /^(b|blue|rgb[ _-]?b|srgb[ _-]?b)$/i,
]
const HEX = [/^#?(hex|html|web|srgb|rgb[ _-]?hex)([ _-]?(code|value))?$/i]
const SPECTRUM = /^(spectrum|spectral)$/i
// nm400, SPECTRAL_NM400, R_400NM, 400: common practice.
const BAND = /^(?:SPECTRAL_?|SPEC_?|S_?|R_?|NM_?)*(\d{3}(?:\.\d+)?)(?:_?NM)?$/i
const LEAST_BANDS = 3

/** What stands in which column, as far as the heading tells; a person puts right what it does not. */
export function guessMapping({
  columns,
  measuredFor,
  scale,
}: Omit<DeckTable, 'rows'>): DeckMapping {
  const find = (called: RegExp): number | null => {
    const at = columns.findIndex((column) => called.test(column))
    return at < 0 ? null : at
  }
  const all = (called: readonly RegExp[]): (number | null)[] => called.map(find)
  const bands = columns
    .flatMap((column, i) => {
      const nm = Number(BAND.exec(column)?.[1] ?? NaN)
      return nm >= 300 && nm <= 900 ? [{ nm, column: i }] : []
    })
    .sort((p, q) => p.nm - q.nm)
  const spectrumCell = find(SPECTRUM)
  const has = (places: readonly (number | null)[]): boolean => places.every((at) => at !== null)
  const [lab, xyz, rgb, hex] = [all(LAB), all(XYZ), all(RGB), all(HEX)]
  const kind: ReadingKind =
    bands.length >= LEAST_BANDS || (spectrumCell !== null && !has(lab) && !has(hex))
      ? 'spectrum'
      : has(lab)
        ? 'lab'
        : has(xyz)
          ? 'xyz'
          : has(hex)
            ? 'hex'
            : has(rgb)
              ? 'rgb'
              : 'lab'
  const texts = Object.fromEntries(
    TEXT_COLUMNS.map((name) => [name, find(CALLED[name])]),
  ) as Record<TextColumn, number | null>
  return {
    // A Y beside X and Z is no printed LRV.
    texts: has(xyz) && texts.lrv === xyz[1] ? { ...texts, lrv: null } : texts,
    kind,
    numbers: { lab, xyz, hex, rgb, spectrum: [] }[kind],
    bands: kind === 'spectrum' && bands.length >= LEAST_BANDS ? bands : [],
    spectrumCell: kind === 'spectrum' && bands.length < LEAST_BANDS ? spectrumCell : null,
    measuredFor: measuredFor ?? OWN,
    scale,
    base: 'white',
  }
}

/** The columns of a kind of reading, guessed anew where a person says that it is of another kind. */
export function mappingOfKind(
  table: Omit<DeckTable, 'rows'>,
  mapping: DeckMapping,
  kind: ReadingKind,
): DeckMapping {
  const guessed = guessMapping(table)
  if (guessed.kind === kind)
    return {
      ...mapping,
      kind,
      numbers: guessed.numbers,
      bands: guessed.bands,
      spectrumCell: guessed.spectrumCell,
    }
  const called = { lab: LAB, xyz: XYZ, hex: HEX, rgb: RGB, spectrum: [] }[kind]
  return {
    ...mapping,
    kind,
    numbers: called.map((each) => {
      const at = table.columns.findIndex((column) => each.test(column))
      return at < 0 ? null : at
    }),
    bands: [],
    spectrumCell: null,
  }
}

/** What is still to be said before a file can be read; null where nothing is. */
export function askedOf(mapping: DeckMapping): string | null {
  const { kind, numbers, bands, spectrumCell, texts } = mapping
  if (texts.code === null && texts.name === null) return 'Which column has the code, or the name?'
  if (kind === 'spectrum' && bands.length === 0 && spectrumCell === null)
    return 'Which columns have the spectrum?'
  if (kind !== 'spectrum' && numbers.some((at) => at === null))
    return 'Which columns have the colour’s numbers?'
  return null
}
