import type { Lab } from '../core/colour/lab'
import type { Xyz } from '../core/colour/spectrum'
import { forDaylight, type MeasuredForName } from '../core/paint/measured-for'
import { reflectanceOfReading, type KeptReading } from '../core/paint/reading'
import { ImpossibleColourError } from '../core/paint/smoothest-reflectance'
import { keywordsOf, nameByWhite, namedIn, type Keywords } from './cgats-keywords'
import type { LineError } from '../core/deck/deck-file'
import { linesOf, tablesOf, type CgatsRow, type TableFormat } from './cgats-tables'
import {
  askedFor,
  isPercent,
  LIGHT_QUESTION,
  MOST_ERRORS,
  refusedFile,
  scaleQuestion,
  type MeasuredColour,
  type MeasuredFile,
  type SaidOfFile,
} from './measured-colour'

/**
 * Reads a CGATS.17 text file (ISO 28178), one table or several: spectral reflectance at any spacing, L*a*b* or XYZ, each
 * row a colour; numbers for another light or eye are made those for D65 and 2°. Either the whole file is taken or nothing,
 * with what was expected and what came by line; what the file does not say is asked for.
 */
export function readCgats(text: string, said: SaidOfFile = {}): MeasuredFile {
  const lines = linesOf(text)
  const tables = tablesOf(lines)
  if (!('tables' in tables)) return tables
  const keywords = keywordsOf(lines.slice(0, tables.headTo))
  const errors: LineError[] = []
  const rows = tables.tables.flatMap(({ format, rows }) =>
    rows.map((row, i) => numbersOf(row, format, i, errors)),
  )
  if (errors.length > 0) return { ok: false, errors: errors.slice(0, MOST_ERRORS) }
  if (rows.length === 0)
    return refusedFile(tables.headTo, 'Expected at least one colour, got none.')
  return whatTheyMean(rows, keywords, said)
}

/** A row in numbers. */
interface Numbers {
  readonly name: string
  readonly lab: Lab | null
  readonly xyz: Xyz | null
  readonly spectrum: { readonly nm: readonly number[]; readonly values: readonly number[] } | null
}

function numbersOf(
  { line, fields }: CgatsRow,
  { width, name, lab, xyz, bands }: TableFormat,
  place: number,
  errors: LineError[],
): Numbers {
  if (fields.length !== width)
    errors.push({ line, message: `Expected ${width} fields, got ${fields.length}.` })
  const number = (column: number, what: string, least: number, most: number): number => {
    const found = fields[column]
    const value = Number(found?.replace(',', '.') ?? '')
    if (found === undefined || found === '' || !(value >= least && value <= most))
      errors.push({
        line,
        message: `Expected ${what} from ${least} to ${most}, got “${found ?? ''}”.`,
      })
    return value
  }
  return {
    name: (name >= 0 && fields[name]) || `Colour ${place + 1}`,
    // A spectrum says more than the numbers that were made of it.
    spectrum: bands.length
      ? {
          nm: bands.map(({ nm }) => nm),
          values: bands.map(({ nm, column }) => number(column, `% at ${nm} nm`, 0, 200)),
        }
      : null,
    lab: lab
      ? [
          number(lab[0]!, 'L*', 0, 100),
          number(lab[1]!, 'a*', -128, 128),
          number(lab[2]!, 'b*', -128, 128),
        ]
      : null,
    xyz: xyz
      ? [number(xyz[0]!, 'X', 0, 150), number(xyz[1]!, 'Y', 0, 150), number(xyz[2]!, 'Z', 0, 200)]
      : null,
  }
}

/** The numbers as colours, once it is known what they are for; else what has to be asked. */
function whatTheyMean(
  rows: readonly Numbers[],
  keywords: Keywords,
  said: SaidOfFile,
): MeasuredFile {
  const scale = said.scale ?? keywords.scale ?? undefined
  const spectra = rows.flatMap(({ spectrum }) => spectrum?.values ?? [])
  const largest = spectra.reduce((p, q) => Math.max(p, q), 0)
  if (spectra.length > 0 && keywords.otherNorm !== null && !said.scale)
    return refusedFile(
      1,
      `Expected reflectances with SPECTRAL_NORM 1 or 100, got ${keywords.otherNorm}: this may be the spectrum of a light, not of a surface.`,
    )
  const percent = spectra.length > 0 ? isPercent(largest, scale) : true
  if (percent === null) return askedFor('scale', scaleQuestion(largest))
  if (!percent && largest > 1.5)
    return refusedFile(1, `Expected shares from 0 to 1, got ${largest}.`)
  const plain = rows.filter(({ spectrum }) => !spectrum)
  const bright = plain.flatMap(({ xyz, lab }) => (xyz && !lab ? [xyz[1]] : []))
  const brightest = bright.reduce((p, q) => Math.max(p, q), 0)
  const xyzPercent = bright.length > 0 ? isPercent(brightest, scale) : true
  if (xyzPercent === null) return askedFor('scale', scaleQuestion(brightest))
  let measuredFor: MeasuredForName | null = null
  if (plain.length > 0) {
    const named = namedIn(keywords)
    if (named && typeof named !== 'string') return refusedFile(1, named.message)
    measuredFor =
      named ??
      nameByWhite(plain.flatMap(({ lab, xyz }) => (lab && xyz ? [{ lab, xyz }] : []))) ??
      said.measuredFor ??
      null
    if (!measuredFor) return askedFor('measuredFor', LIGHT_QUESTION)
  }
  const colours: MeasuredColour[] = []
  const leftOut: string[] = []
  for (const { name, spectrum, lab, xyz } of rows)
    try {
      const reading: KeptReading = spectrum
        ? {
            kind: 'spectral',
            wavelengthsNm: spectrum.nm,
            reflectance: spectrum.values.map((value) => (percent ? value / 100 : value)),
          }
        : forDaylight(
            lab
              ? { kind: 'lab', lab }
              : { kind: 'xyz', xyz: xyz!.map((v) => (xyzPercent ? v : 100 * v)) as unknown as Xyz },
            measuredFor!,
          )
      reflectanceOfReading(reading)
      colours.push({ name, reading })
    } catch (error) {
      if (error instanceof ImpossibleColourError) leftOut.push(name)
      else if (error instanceof RangeError) return refusedFile(1, `“${name}”: ${error.message}.`)
      else throw error
    }
  if (colours.length === 0)
    return refusedFile(
      1,
      'Expected colours that a surface can have; every one of these is outside of that.',
    )
  return { ok: true, colours, measuredFor, leftOut }
}
