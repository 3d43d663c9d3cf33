import type { Lab } from '@/core/colour/lab'
import type { Reflectance } from '@/core/colour/spectrum'
import { shiftedByEye, type EyeShift } from '@/core/paint/by-eye'
import { reflectanceOfReading, sourceOf, type ReadingSource } from '@/core/paint/reading'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { OWN } from '@/core/paint/measured-for'
import { readTyped, type TypedReading } from '@/core/paint/typed-reading'

/** Ways in which a colour of a keeper comes to be known; a reader and a file bring spectra and numbers. */
export type ReadBy = 'photo' | 'field' | 'deck' | NumberKind

/** How numbers are given. */
export const NUMBER_WORDS = [
  ['lab', 'L*a*b*'],
  ['spectral', 'a spectrum'],
  ['hex', 'an sRGB hex'],
] as const
export type NumberKind = (typeof NUMBER_WORDS)[number][0]

export const isNumbers = (by: ReadBy): by is NumberKind =>
  NUMBER_WORDS.some(([each]) => each === by)

export interface PickedDeckColour {
  readonly id: string
  readonly words: string
  readonly reflectance: Reflectance
}

/** One colour of a keeper as it stands in the form, every field as text. */
export interface ColourDraft extends Omit<TypedReading, 'by'> {
  readonly part: string
  readonly sharePercent: string
  readonly by: ReadBy
  /** Who read a spectrum, where that is known. */
  readonly source: '' | 'spectral' | 'uncalibrated'
  /** What it was read with; null for what was typed. */
  readonly evidence: ReadingEvidence | null
  readonly deck: PickedDeckColour | null
  readonly shifts: readonly EyeShift[]
}

const USUAL_PARTS = ['ground', 'vein', 'fleck', 'grout', 'stripe']

export function emptyDraft(place: number, sharePercent: number, by: ReadBy = 'field'): ColourDraft {
  return {
    part: USUAL_PARTS[place] ?? `colour ${place + 1}`,
    sharePercent: String(sharePercent),
    by,
    l: '',
    a: '',
    b: '',
    hex: '',
    spectrum: '',
    measuredFor: OWN,
    scale: '',
    source: '',
    evidence: null,
    deck: null,
    shifts: [],
  }
}

/** L*a*b* as the form shows it. */
export function labTexts([l, a, b]: Lab): Pick<ColourDraft, 'l' | 'a' | 'b'> {
  const text = (value: number): string => String(Number(value.toFixed(2)))
  return { l: text(l), a: text(a), b: text(b) }
}

/** Whether nothing was entered yet, so that a device or a file may take its place. */
export const isEmpty = ({ l, a, b, hex, spectrum, deck }: ColourDraft): boolean =>
  [l, a, b, hex, spectrum].every((text) => text.trim() === '') && deck === null

/** The surface that a draft stands for and how firmly; null until it is whole. */
export function surfaceOf(
  draft: ColourDraft,
): { readonly reflectance: Reflectance; readonly source: ReadingSource } | null {
  try {
    if (draft.by === 'deck')
      return draft.deck
        ? { reflectance: shiftedByEye(draft.deck.reflectance, draft.shifts), source: 'eye' }
        : null
    const read = readTyped(typedOf(draft))
    if (!read.ok) return null
    return {
      reflectance: reflectanceOfReading(read.reading),
      source: sourceSaid(draft) ?? sourceOf(read.reading),
    }
  } catch (error) {
    if (error instanceof RangeError) return null
    throw error
  }
}

/** A draft as numbers: what a photo or an eye has found is L*a*b*. */
export const typedOf = (draft: Omit<ColourDraft, 'deck' | 'shifts'>): TypedReading => ({
  ...draft,
  by: draft.by === 'hex' || draft.by === 'spectral' ? draft.by : 'lab',
})

/** What a draft knows of its source that its numbers do not say. */
export const sourceSaid = ({
  by,
  source,
}: Pick<ColourDraft, 'by' | 'source'>): ReadingSource | null =>
  by === 'photo' ? 'photo' : by === 'field' ? 'eye' : by === 'spectral' ? source || null : null

/** Without one of its colours: the largest that is left takes its share. */
export function withoutOne(drafts: readonly ColourDraft[], place: number): readonly ColourDraft[] {
  const left = drafts.filter((_, i) => i !== place)
  const shares = left.map(({ sharePercent }) => Number(sharePercent) || 0)
  const largest = shares.indexOf(Math.max(...shares))
  const freed = Number(drafts[place]!.sharePercent) || 0
  return left.map((draft, i) =>
    i === largest ? { ...draft, sharePercent: String(Math.min(100, shares[i]! + freed)) } : draft,
  )
}

/**
 * Colours brought by a device or a file, put with those already entered: into the first empty one, else as further
 * parts, up to the most a keeper has. Shares of what is new are taken from the largest.
 */
export function withBrought(
  drafts: readonly ColourDraft[],
  brought: Partial<ColourDraft>,
  most: number,
): readonly ColourDraft[] {
  const empty = drafts.findIndex(isEmpty)
  if (empty >= 0) return drafts.map((draft, i) => (i === empty ? { ...draft, ...brought } : draft))
  return drafts.length < most
    ? withAnother(drafts).map((draft, i) =>
        i === drafts.length ? { ...draft, ...brought } : draft,
      )
    : drafts
}

const NEW_SHARE_PERCENT = 10

/** One more colour, its share taken from the largest where there is enough. */
export function withAnother(drafts: readonly ColourDraft[]): readonly ColourDraft[] {
  const shares = drafts.map(({ sharePercent }) => Number(sharePercent) || 0)
  const largest = shares.indexOf(Math.max(...shares))
  const free = 100 - shares.reduce((sum, share) => sum + share, 0)
  const taken = Math.max(
    0,
    Math.min(NEW_SHARE_PERCENT - free, shares[largest]! - NEW_SHARE_PERCENT),
  )
  return [
    ...drafts.map((draft, i) =>
      i === largest ? { ...draft, sharePercent: String(shares[i]! - taken) } : draft,
    ),
    emptyDraft(
      drafts.length,
      Math.max(1, Math.min(NEW_SHARE_PERCENT, free + taken)),
      drafts.at(-1)!.by,
    ),
  ]
}

/** A finish has so many colours that count. */
export const MOST_COLOURS = 5
