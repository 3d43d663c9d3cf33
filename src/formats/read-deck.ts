import { z } from 'zod'
import { hueDegOf } from '../core/undertone/undertone'
import { forDaylight, OWN } from '../core/paint/measured-for'
import { labD65, reflectanceOfReading, type KeptReading } from '../core/paint/reading'
import { SHEENS, type Sheen } from '../core/paint/sheen'
import { BASES, type Base } from '../core/paint/strength'
import type { Xyz } from '../core/colour/spectrum'
import { typedNumber } from '../core/typed-number'
import {
  AS_IT_IS,
  type DeckRow,
  type DeckTable,
  type LineError,
  type Mended,
} from '../core/deck/deck-file'
import type { DeckMapping, TextColumn } from '../core/deck/deck-mapping'
import { asTyped } from './spreadsheet'

/** A colour of a file, in the application's own terms. */
export interface DeckColour {
  readonly line: number
  readonly code: string
  readonly name: string
  readonly strip: string
  readonly base: Base
  readonly reading: KeptReading
  readonly printedLrvPercent: number | null
  readonly sheens: readonly Sheen[] | null
  readonly mayBeRefused: boolean
}

/** What a file comes to: its colours, and everything that is wrong with it, by line. */
export interface ReadDeck {
  readonly colours: readonly DeckColour[]
  readonly errors: readonly LineError[]
}

// So many lines are read between two reports.
const LINES_A_REPORT = 250

const textCell = (most: number) =>
  z
    .string()
    .min(1, 'is empty')
    .max(most, `is longer than ${most} characters`)
    .refine(
      (text) => !/^[=+\-@\t]/.test(text),
      'looks like a spreadsheet formula; expected plain text',
    )
/** As long as the record has room for. */
export const TEXT_CELLS = { code: textCell(40), name: textCell(120), strip: textCell(40) } as const
const BaseCell = z.enum(BASES)

/**
 * Reads every line of a file. Nothing of it may be stored while one line is wrong: each is mended, or left out by a person.
 * Between reports a caller may leave.
 *
 * @returns every colour that could be read, and every line that could not, a code that stands on two lines among them
 */
export function* readDeck(
  { columns, rows }: DeckTable,
  mapping: DeckMapping,
  { lines, leftOut }: Mended = AS_IT_IS,
): Generator<number, ReadDeck> {
  const colours: DeckColour[] = []
  const errors: LineError[] = []
  const lineOfCode = new Map<string, number>()
  for (const [i, row] of rows.entries()) {
    if (i % LINES_A_REPORT === 0) yield i / rows.length
    const { line } = row
    if (leftOut.has(line)) continue
    const read = readRow({ line, cells: lines.get(line) ?? row.cells }, columns.length, mapping)
    if (typeof read === 'string') {
      errors.push({ line, message: read })
      continue
    }
    const earlier = lineOfCode.get(read.code)
    if (earlier !== undefined)
      errors.push({ line, message: `Code “${read.code}” stands on line ${earlier} already.` })
    else lineOfCode.set(read.code, line)
    colours.push(read)
  }
  if (colours.length === 0 && errors.length === 0)
    errors.push({ line: 1, message: 'Expected at least one colour, got none.' })
  return { colours: mapping.texts.strip === null ? inStrips(colours) : colours, errors }
}

/** The same at once. */
export function readWholeDeck(table: DeckTable, mapping: DeckMapping): ReadDeck {
  const reading = readDeck(table, mapping)
  for (;;) {
    const step = reading.next()
    if (step.done) return step.value
  }
}

function readRow(
  { line, cells }: DeckRow,
  width: number,
  mapping: DeckMapping,
): DeckColour | string {
  if (cells.length !== width) return `Expected ${width} cells, got ${cells.length}.`
  const { texts } = mapping
  const text = (name: TextColumn): string | null =>
    texts[name] === null ? null : asTyped(cells[texts[name]]!.trim())
  const code = text('code') ?? text('name') ?? ''
  const colour = { code, name: text('name') ?? code, strip: text('strip') ?? 'all' }
  for (const name of ['code', 'name', 'strip'] as const) {
    const checked = TEXT_CELLS[name].safeParse(colour[name])
    if (!checked.success) return `${name} ${checked.error.issues[0]!.message}${said(colour[name])}.`
  }
  const base = BaseCell.safeParse((text('base') ?? mapping.base).toLowerCase())
  if (!base.success) return `base must be ${BASES.join(', ')}, got “${text('base')}”.`
  const printed = text('lrv')
  const printedLrvPercent = printed ? typedNumber(printed.replace(/\s*%$/, '')) : null
  if (printed && (printedLrvPercent === null || printedLrvPercent < 0 || printedLrvPercent > 100))
    return `LRV must be 0 to 100, got “${printed}”.`
  const sheens = readSheens(text('sheens'))
  if (typeof sheens === 'string') return sheens
  const reading = readReading(cells, mapping)
  if (typeof reading === 'string') return reading
  try {
    const kept = reading()
    reflectanceOfReading(kept)
    return {
      line,
      ...colour,
      base: base.data,
      reading: kept,
      printedLrvPercent,
      sheens,
      mayBeRefused: /^(yes|y|true|1|x)$/i.test(text('refused') ?? ''),
    }
  } catch (error) {
    if (error instanceof RangeError) return `${error.message}.`
    throw error
  }
}

const said = (text: string): string => (text === '' ? '' : `, got “${text}”`)

function readSheens(cell: string | null): readonly Sheen[] | null | string {
  if (!cell) return null
  const words = cell.split(/[,;|/]/).map((word) => word.trim().toLowerCase())
  const unknown = words.find((word) => !(SHEENS as readonly string[]).includes(word))
  return unknown === undefined
    ? (words as unknown as readonly Sheen[])
    : `sheens must be of ${SHEENS.join(', ')}, got “${unknown}”.`
}

/** How to make the reading of the cells, or what is wrong with them. */
function readReading(
  cells: readonly string[],
  { kind, numbers, bands, spectrumCell, measuredFor, scale }: DeckMapping,
): (() => KeptReading) | string {
  const cellAt = (i: number): string => cells[numbers[i] ?? -1] ?? ''
  if (kind === 'hex') {
    const hex = cellAt(0).toLowerCase()
    if (!/^#?[0-9a-f]{6}$/.test(hex)) return `hex must be six digits 0–9 a–f, got “${cellAt(0)}”.`
    return () => ({ kind: 'srgb', hex: hex.startsWith('#') ? hex : `#${hex}` })
  }
  if (kind === 'spectrum') return readSpectrum(cells, bands, spectrumCell, scale)
  const named = { lab: ['L', 'a', 'b'], xyz: ['X', 'Y', 'Z'], rgb: ['red', 'green', 'blue'] }[kind]
  const values: number[] = []
  for (const [i, name] of named.entries()) {
    const value = typedNumber(cellAt(i))
    if (value === null) return `${name} must be a number, got “${cellAt(i)}”.`
    values.push(value)
  }
  const [p, q, r] = values as [number, number, number]
  if (kind === 'rgb') {
    const wrong = values.findIndex((value) => !(value >= 0 && value <= 255 && value % 1 === 0))
    if (wrong >= 0) return `${named[wrong]!} must be 0 to 255, got “${cellAt(wrong)}”.`
    const hex = values.map((value) => value.toString(16).padStart(2, '0')).join('')
    return () => ({ kind: 'srgb', hex: `#${hex}` })
  }
  return () =>
    forDaylight(
      kind === 'lab'
        ? { kind: 'lab', lab: [p, q, r] }
        : { kind: 'xyz', xyz: [p, q, r] as unknown as Xyz },
      measuredFor ?? OWN,
    )
}

// Nothing but what glows sends back more than all of the light.
const SURELY_PERCENT_FROM = 1.5

function readSpectrum(
  cells: readonly string[],
  bands: DeckMapping['bands'],
  spectrumCell: number | null,
  scale: DeckMapping['scale'],
): (() => KeptReading) | string {
  const pairs: (readonly [nm: number, text: string])[] =
    spectrumCell === null
      ? bands.map(({ nm, column }) => [nm, cells[column] ?? ''] as const)
      : (cells[spectrumCell] ?? '').split(';').map((pair) => {
          const [nm = '', share = ''] = pair.trim().split(/\s+/)
          return [Number(nm), share] as const
        })
  const values: number[] = []
  for (const [nm, text] of pairs) {
    const value = typedNumber(text)
    if (!Number.isFinite(nm) || value === null)
      return `Expected a reflectance at ${Number.isFinite(nm) ? `${nm} nm` : 'each wavelength'}, got “${text}”.`
    values.push(value)
  }
  const isPercent =
    scale === 'percent' || (scale === null && values.some((value) => value > SURELY_PERCENT_FROM))
  return () => ({
    kind: 'spectral',
    wavelengthsNm: pairs.map(([nm]) => nm),
    reflectance: values.map((value) => (isPercent ? value / 100 : value)),
  })
}

// A fan's strips: colours of one tone, of so many depths. Sectors of hue and classes of chroma, CIE L*a*b*.
const SECTORS = 24
const CHROMA_UP_TO = [4, 10, 20, 35, 60, Infinity] as const
const STRIP_OF = 8

/** Strips for a file that has none: by tone, each of at most so many colours, lightest first. */
function inStrips(colours: readonly DeckColour[]): DeckColour[] {
  const tones = new Map<string, { colour: DeckColour; lightness: number }[]>()
  for (const colour of colours) {
    const [l, a, b] =
      colour.reading.kind === 'lab'
        ? colour.reading.lab
        : labD65(reflectanceOfReading(colour.reading))
    const chroma = CHROMA_UP_TO.findIndex((upTo) => Math.hypot(a, b) <= upTo)
    const sector = chroma === 0 ? 0 : Math.floor((hueDegOf(a, b) / 360) * SECTORS)
    const tone = `${String(sector + 1).padStart(2, '0')}${'abcdef'[chroma]!}`
    const own = tones.get(tone)
    if (own) own.push({ colour, lightness: l })
    else tones.set(tone, [{ colour, lightness: l }])
  }
  return [...tones]
    .sort(([p], [q]) => (p < q ? -1 : 1))
    .flatMap(([tone, own]) => {
      const lightestFirst = own.sort((p, q) => q.lightness - p.lightness)
      // Each strip runs from light to deep: dealt round, not cut through.
      const strips = Math.ceil(own.length / STRIP_OF)
      return lightestFirst.map(({ colour }, i) => ({
        ...colour,
        strip: strips === 1 ? tone : `${tone}${(i % strips) + 1}`,
      }))
    })
}
