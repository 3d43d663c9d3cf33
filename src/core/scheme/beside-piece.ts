import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import type { FinishColour } from '../pairing/keeper-parts'
import { modelReading, type ModelReading } from '../pairing/pair-reading'
import type { SeenColour } from '../ranking/next-try'
import type { Pairing } from '../pairing/pairing'
import type { Verdict } from '../record/verdict'

/** A deck colour at a strength, ready to be put on a wall. */
export interface Paint extends SeenColour {
  readonly strengthPercent: number
  readonly reflectance: Reflectance
}

/** A piece or another finish that the walls are judged against. */
export interface JudgedPiece {
  readonly name: string
  readonly colours: readonly FinishColour[]
  /** See `mayBeSetOff`. */
  readonly mayBeSetOff: boolean
}

/** A wall colour of a scheme and how it sits. */
export interface SchemeWall {
  readonly paint: Paint
  /** Beside the piece that leads. */
  readonly beside: BesidePiece
  /** What of the rest it is weakest against; null where nothing else stays. */
  readonly weakest: { readonly name: string; readonly verdict: Verdict } | null
}

/** How a wall sits with the piece that it was drawn from. */
export interface BesidePiece {
  readonly verdict: Verdict
  readonly sentence: string
}

const SEVERITY: readonly Verdict[] = ['works', 'unsure', 'no']

/** A piece, and the part of it that a scheme takes up. */
export interface DrawnFrom {
  readonly piece: JudgedPiece
  readonly source: FinishColour
}

/** A paint beside the piece that leads, and beside what else stays. */
export function judgedWall(
  light: PreparedLight,
  paint: Paint,
  drawn: DrawnFrom,
  others: readonly JudgedPiece[],
): SchemeWall {
  const weakest = others
    .map((other) => ({ name: other.name, verdict: besideFinish(light, paint, other).verdict }))
    .reduce<SchemeWall['weakest']>(
      (p, q) => (p && SEVERITY.indexOf(p.verdict) >= SEVERITY.indexOf(q.verdict) ? p : q),
      null,
    )
  return { paint, beside: besidePiece(light, paint, drawn), weakest }
}

/** A paint beside any finish, as the bench reads it. */
export const besideFinish = (
  light: PreparedLight,
  paint: Paint,
  { colours, mayBeSetOff }: JudgedPiece,
): ModelReading => modelReading(light, { ...paint, source: 'maker' }, colours, [], mayBeSetOff)

// A wall and a part that quarrel by their leans do so in the piece as well, where its maker made them sit. One that looks a
// poor copy of the other no piece excuses.
const NOT_EXCUSED: readonly Pairing[] = ['near miss', 'dirties', 'washes out']

/** To come close to the part that it takes up is what the wall is for. */
const taken = (own: ModelReading): BesidePiece & Pick<ModelReading, 'pairing'> =>
  own.pairing === 'near miss'
    ? {
        pairing: own.pairing,
        verdict: 'works',
        sentence: `Takes up the ${own.part}: across the room the two read as one colour.`,
      }
    : own

/**
 * A wall drawn from one part of a piece is held to that part as to any finish; of the other parts only to those that
 * it would look a poor copy of.
 */
function besidePiece(
  light: PreparedLight,
  paint: Paint,
  { piece, source }: DrawnFrom,
): BesidePiece {
  const beside = (colour: FinishColour): ModelReading =>
    besideFinish(light, paint, { ...piece, colours: [colour], mayBeSetOff: true })
  const own = taken(beside(source))
  const others = piece.colours.filter(({ part }) => part !== source.part).map(beside)
  const poor = others.find(
    ({ verdict, pairing }) => verdict === 'no' && NOT_EXCUSED.includes(pairing),
  )
  if (own.verdict !== 'no' && poor) return poor
  const quarrels = others.find(({ verdict }) => verdict !== 'works')
  const excuse =
    own.verdict === 'works' && quarrels
      ? ` By itself it is ${quarrels.reason} for the ${quarrels.part}, as the ${source.part} is within the piece.`
      : ''
  return { verdict: own.verdict, sentence: own.sentence + excuse }
}
