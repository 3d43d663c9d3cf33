import { finite, finiteAll } from '../check'
import { capital } from '../words'
import { expectedNumber, typedNumber } from '../typed-number'
import { BANDS, SPECTRUM_FIRST_NM } from '../colour/spectrum'
import { forDaylight, type MeasuredForName } from './measured-for'
import { reflectanceOfReading, type KeptReading } from './reading'

/** A reading as somebody typed it; only the texts of its own kind count. */
export interface TypedReading {
  readonly by: 'lab' | 'hex' | 'spectral'
  readonly l: string
  readonly a: string
  readonly b: string
  readonly hex: string
  /** A wavelength and a reflectance a line, or reflectances alone for a usual range. */
  readonly spectrum: string
  /** The light and the eye that L*, a*, b* were given for. */
  readonly measuredFor: MeasuredForName
  /** Whether reflectances are shares or per cent; empty where nobody has said. */
  readonly scale: '' | 'share' | 'percent'
}

export type TypedField = Exclude<keyof TypedReading, 'by'>

export type TypedResult =
  | { readonly ok: true; readonly reading: KeptReading }
  | {
      readonly ok: false
      readonly problems: readonly { readonly field: TypedField; readonly message: string }[]
      /** The largest reflectance, where it has to be asked whether it is a share or per cent. */
      readonly largest?: number
    }

/** What stands in the field of L* and says more: all three numbers, or a hex; null for what does not. */
export function wholeColour(
  text: string,
): Pick<TypedReading, 'l' | 'a' | 'b'> | Pick<TypedReading, 'by' | 'hex'> | null {
  const [, hex] = /^\s*#([0-9a-f]{6})\s*$/i.exec(text) ?? []
  if (hex) return { by: 'hex', hex: `#${hex.toLowerCase()}` }
  const numbers = text.trim().split(/[\s;]+|,\s+/)
  if (numbers.length !== 3 || numbers.some((number) => typedNumber(number) === null)) return null
  const [l, a, b] = numbers as [string, string, string]
  return { l, a, b }
}

/** Reads what was typed, or says by field what was expected and what came. */
export function readTyped(form: TypedReading): TypedResult {
  const typed = form.by === 'lab' ? { ...form, ...wholeColour(form.l) } : form
  try {
    const read = { lab: labOf, hex: hexOf, spectral: spectrumOf }[typed.by](typed)
    if (!read.ok) return read
    reflectanceOfReading(read.reading)
    return read
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    const field = ({ lab: 'l', hex: 'hex', spectral: 'spectrum' } as const)[typed.by]
    return refused(field, `${capital(error.message)}.`)
  }
}

const refused = (
  field: TypedField,
  message: string,
): Extract<TypedResult, { readonly ok: false }> => ({ ok: false, problems: [{ field, message }] })

const AXES = [
  ['l', 0, 100],
  ['a', -128, 128],
  ['b', -128, 128],
] as const

function labOf(typed: TypedReading): TypedResult {
  const values = AXES.map(([axis]) => typedNumber(typed[axis]))
  const problems = AXES.flatMap(([field, least, most], i) => {
    const value = values[i]
    return value != null && value >= least && value <= most
      ? []
      : [{ field, message: expectedNumber(least, most, '', typed[field]) }]
  })
  if (problems.length > 0) return { ok: false, problems }
  const [l, a, b] = values as [number, number, number]
  return { ok: true, reading: forDaylight({ kind: 'lab', lab: [l, a, b] }, typed.measuredFor) }
}

function hexOf({ hex: text }: TypedReading): TypedResult {
  const hex = text.trim().toLowerCase().replace(/^#?/, '#')
  return /^#[0-9a-f]{6}$/.test(hex)
    ? { ok: true, reading: { kind: 'srgb', hex } }
    : refused('hex', `Expected six digits 0–9 a–f, got “${text.trim()}”.`)
}

const USUAL_RANGES: Readonly<Record<number, number>> = { 31: 400, [BANDS]: SPECTRUM_FIRST_NM }

function spectrumOf({ spectrum: text, scale: said }: TypedReading): TypedResult {
  const lines = text.split(/[\n;]/).flatMap((line) => {
    const fields = line.trim().split(/\s+/).filter(Boolean)
    return fields.length > 0 ? [fields] : []
  })
  const numbers = lines.flat().map(typedNumber)
  const wrong = numbers.indexOf(null)
  if (wrong >= 0) return refused('spectrum', `Expected numbers, got “${lines.flat()[wrong]}”.`)
  const values = numbers as number[]
  const pairs = lines.length > 1 && lines.every((fields) => fields.length === 2)
  const firstNm = USUAL_RANGES[values.length]
  if (!pairs && firstNm === undefined)
    return refused(
      'spectrum',
      `Expected a wavelength and a reflectance a line, or 31 reflectances from 400 nm, or ${BANDS} from ${SPECTRUM_FIRST_NM} nm; got ${values.length} ${values.length === 1 ? 'number' : 'numbers'}.`,
    )
  const wavelengthsNm = pairs
    ? values.filter((_, i) => i % 2 === 0)
    : values.map((_, i) => firstNm! + 10 * i)
  const raw = pairs ? values.filter((_, i) => i % 2 === 1) : values
  const largest = Math.max(...raw)
  // No surface but a glowing one exceeds 1.5; below it nobody can tell.
  if (said === '' && largest <= 1.5)
    return {
      ...refused(
        'scale',
        `The largest value is ${largest}: a share of the light (0 to 1), or per cent? Choose.`,
      ),
      largest,
    }
  const scale = said === 'percent' || (said === '' && largest > 1.5) ? 100 : 1
  return {
    ok: true,
    reading: { kind: 'spectral', wavelengthsNm, reflectance: raw.map((value) => value / scale) },
  }
}

/** A spectrum as `readTyped` takes it: a wavelength and a reflectance a line. */
export const spectrumText = ({
  wavelengthsNm,
  reflectance,
}: Extract<KeptReading, { kind: 'spectral' }>): string =>
  wavelengthsNm
    .map(
      (nm, i) =>
        `${finite(nm, 'a wavelength')} ${Number(finite(reflectance[i]!, 'a reflectance').toFixed(5))}`,
    )
    .join('\n')

/** L*, a*, b* as the field of L* takes them: "62 20 31.5". */
export const labWords = (lab: readonly [number, number, number]): string =>
  finiteAll(lab, 'L*, a*, b*')
    .map((value) => String(Number(value.toFixed(2))))
    .join(' ')
