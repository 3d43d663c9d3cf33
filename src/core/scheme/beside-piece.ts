import { REASON_WORDS } from '../record/verdict'
import type { PreparedLight } from '../colour/appearance'
import type { Reflectance } from '../colour/spectrum'
import type { ReadingSource } from '../paint/reading'
import { isBad, isGood, judgementOf, type Judgement } from '../pairing/chance'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import { pairReading, type PairReading } from '../pairing/pair-reading'
import type { Pairing } from '../pairing/said-of-pair'
import type { FinishColour } from '../pairing/parts'
import type { SeenColour } from '../ranking/next-try'

/** A deck colour at a strength, ready to be put on a wall. */
export interface Paint extends SeenColour {
  readonly strengthPercent: number
  readonly reflectance: Reflectance
  readonly source: ReadingSource
}

/** A wall colour of a scheme and how it sits. */
export interface SchemeWall {
  readonly paint: Paint
  /** Beside the piece that leads. */
  readonly beside: BesidePiece
  /** What of the rest it is weakest against; null where nothing else stays. */
  readonly weakest: (BesidePiece & { readonly name: string }) | null
}

/** How a wall sits with the piece that it was drawn from. */
export interface BesidePiece {
  readonly judgement: Judgement
  readonly chance: number
  readonly sentence: string
}

/** A piece, and the part of it that a scheme takes up. */
export interface DrawnFrom {
  readonly piece: JudgedKeeper
  readonly source: FinishColour
}

/** A paint beside the piece that leads, and beside what else stays. */
export function judgedWall(
  light: PreparedLight,
  paint: Paint,
  drawn: DrawnFrom,
  others: readonly JudgedKeeper[],
): SchemeWall {
  const weakest = others
    .map((other) => ({ name: other.name, ...pairReading(light, paint, other) }))
    .reduce<SchemeWall['weakest']>((p, q) => (p && p.chance <= q.chance ? p : q), null)
  return { paint, beside: besidePiece(light, paint, drawn), weakest }
}

// A wall and a part that quarrel by their leans do so in the piece as well, where its maker made them sit. One that looks a
// poor copy of the other no piece excuses.
const NOT_EXCUSED: readonly Pairing[] = ['almost the same', 'one looks dirty']
// A wall that comes close to the part it takes up is what it is for.
const COMES_CLOSE: readonly Pairing[] = ['almost the same', 'no relief', 'carried through']
const TAKEN_UP = 0.9

/** To come close to the part that it takes up is what the wall is for. */
function taken(own: PairReading): BesidePiece {
  if (!COMES_CLOSE.includes(own.pairing)) return own
  return {
    judgement: judgementOf(TAKEN_UP),
    chance: TAKEN_UP,
    sentence: `Takes up the ${own.part}: across the room the two read as one colour.`,
  }
}

/**
 * A wall drawn from one part of a piece is held to that part as to any finish; of the other parts only to those that
 * it would look a poor copy of.
 */
function besidePiece(
  light: PreparedLight,
  paint: Paint,
  { piece, source }: DrawnFrom,
): BesidePiece {
  const beside = (colour: FinishColour): PairReading =>
    pairReading(light, paint, { ...piece, colours: [colour] })
  const own = taken(beside(source))
  const others = piece.colours.filter(({ part }) => part !== source.part).map(beside)
  const poor = others.find(({ chance, pairing }) => isBad(chance) && NOT_EXCUSED.includes(pairing))
  if (!isBad(own.chance) && poor) return poor
  const quarrels = others.find(({ chance }) => isBad(chance))
  const excuse =
    isGood(own.chance) && quarrels
      ? ` By itself it is ${REASON_WORDS[quarrels.reason]} for the ${quarrels.part}, as the ${source.part} is within the piece.`
      : ''
  return { ...own, sentence: own.sentence + excuse }
}
