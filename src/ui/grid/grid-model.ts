import type { ScreenColour } from '@/core/colour/appearance'
import type { Judgement } from '@/core/pairing/chance'
import type { Sheen } from '@/core/paint/sheen'
import type { CellSays } from '@/core/record/cell'
import type { Founded } from '@/core/record/founded'
import { SURFACES, type Surface } from '@/core/record/proposal'
import type { BenchCandidate } from '../bench/bench-model'

export interface GridColumn {
  readonly id: string
  readonly name: string
  /** "midday, 19:20, lamps": what the bands of its cells are. */
  readonly lights: readonly string[]
}

/** How a candidate stands in a room. */
export interface GridCell {
  readonly roomId: string
  readonly bands: readonly ScreenColour[]
  readonly says: CellSays
  readonly founded: Founded
  /** Surfaces of the room that it is the pick for. */
  readonly pickFor: readonly Surface[]
  /** "beside the stone, 21 December 2026, 19:10, …" of the look that names it. */
  readonly namedBy: string
  /** Whether it is proposed here at all. */
  readonly isUp: boolean
  /** Why it is out; null where it is not. */
  readonly ruledOut: string | null
  /** What it is proposed for here, and in which sheen. */
  readonly proposedFor: readonly { readonly surface: Surface; readonly sheen: Sheen }[]
  /** What the model expects where nothing was seen, where that is asked for; else null. */
  readonly guess: Judgement | null
  /** Whether its lean is out of this room. */
  readonly isLeanOut: boolean
}

export interface GridRow {
  readonly paint: BenchCandidate
  readonly lrvPercent: number
  readonly cells: readonly GridCell[]
  /** "works in 3 of 5, stronger in the Snug". */
  readonly sum: string
  readonly worksIn: number
}

export const SHOWN = ['all', 'works', 'open', 'out'] as const
/** Which rows of a grid are shown: every one, what works somewhere, what is open somewhere, what is up nowhere. */
export type Shown = (typeof SHOWN)[number]

/** What of a grid is asked for, as its address has it. */
export interface GridAsked {
  /** The day of its lights. */
  readonly day: string | null
  /** What else the address says of the light: it goes along. */
  readonly light: Readonly<Record<string, string>>
  readonly byWork: boolean
  /** One surface alone; null for all. */
  readonly surface: Surface | null
  readonly show: Shown
  /** Whether the model says what it expects of what was not seen. */
  readonly guess: boolean
}

/** Rows as they are asked for. */
export function rowsShown(
  rows: readonly GridRow[],
  { show, byWork }: GridAsked,
): readonly GridRow[] {
  const shown = rows.filter((row) => {
    const up = row.cells.filter(({ isUp, ruledOut }) => isUp && ruledOut === null)
    switch (show) {
      case 'all':
        return true
      case 'works':
        return row.worksIn > 0
      case 'open':
        return up.some(({ says: { verdict } }) => verdict === null || verdict === 'unsure')
      case 'out':
        return up.every(({ says: { verdict } }) => verdict === 'no')
    }
  })
  return byWork ? shown.toSorted((p, q) => q.worksIn - p.worksIn) : shown
}

const LIGHT_PARAMETERS = ['light', 'at', 'sky', 'lamps', 'spot']

/** What the parameters of an address ask of a grid; what they do not know is as if it was not asked. */
export function askedOfGrid(parameters: Readonly<Record<string, string | undefined>>): GridAsked {
  const { day = null, sort, surface, show, guess } = parameters
  return {
    day,
    byWork: sort === 'works',
    surface: SURFACES.find((each) => each === surface) ?? null,
    show: SHOWN.find((each) => each === show) ?? 'all',
    guess: guess === 'yes',
    light: Object.fromEntries(
      LIGHT_PARAMETERS.flatMap((name) =>
        typeof parameters[name] === 'string' ? [[name, parameters[name]]] : [],
      ),
    ),
  }
}

/** The parameters that ask for it. */
export function gridParameters({ day, light, byWork, surface, show, guess }: GridAsked): string {
  const asked = new URLSearchParams({
    ...light,
    ...(day && { day }),
    ...(byWork && { sort: 'works' }),
    ...(surface && { surface }),
    ...(show !== 'all' && { show }),
    ...(guess && { guess: 'yes' }),
  })
  return `?${asked}`
}
