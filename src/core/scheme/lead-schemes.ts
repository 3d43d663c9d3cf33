import type { PreparedLight } from '../colour/appearance'
import { judgedWall, type DrawnFrom, type Paint, type SchemeWall } from './beside-piece'
import { isBad } from '../pairing/chance'
import type { JudgedKeeper } from '../pairing/judged-keeper'
import type { FinishColour } from '../pairing/parts'
import { hueApartDeg, leaning, undertoneOf, type Undertone } from '../undertone/undertone'

/** From the colour that the piece has most of, or from a lesser one. */
export type SchemeKind = 'dominant' | 'lesser'

export interface Scheme {
  readonly kind: SchemeKind
  /** The part of the piece that the walls take up. */
  readonly source: FinishColour
  /** What the scheme does to the piece. */
  readonly words: string
  /** Nearest to what is wanted first; empty where the deck has nothing that sits. */
  readonly walls: readonly SchemeWall[]
  /** Parts that stay free to return in small things, the clearest first. */
  readonly free: readonly FinishColour[]
}

const MOST_WALLS = 3
// Nearer than a step on a strip two walls are one.
const STEP = 4
// So many of the nearest are held to all that stays.
const TRIED = 120

// The wall of a calm scheme: the piece's own lean at under half its strength, light enough to step back. Common practice:
// the piece recedes where the wall is its softer, lighter relative.
const CALM = { share: 0.45, least: 2, most: 10, lighter: 6, fromJ: 82, toJ: 93 } as const
// The wall of a contrasting scheme keeps most of the lesser colour's strength, well away in lightness from what the
// piece has most of.
const CLEAR = { share: 0.8, most: 18, apart: 15, fromJ: 22, toJ: 92 } as const

/**
 * Two schemes from a piece that leads: the walls from its dominant colour (same family, calm; the piece recedes) and
 * from a lesser one (contrast; the piece stands out), each with the nearest paints that nothing which stays rejects.
 *
 * @param paints what there is to choose from, as seen in the light
 * @param others what else stays in the room
 * @returns the dominant first; one only for a piece of one colour
 */
export function leadSchemes(
  light: PreparedLight,
  piece: JudgedKeeper,
  paints: readonly Paint[],
  others: readonly JudgedKeeper[],
): Scheme[] {
  const parts = seenParts(light, piece)
  const dominant = parts[0]
  if (!dominant) throw new RangeError('a piece that leads needs at least one colour')
  const lesser = lesserOf(parts)
  const walls = (source: FinishColour, target: Undertone): SchemeWall[] =>
    wallsNear(target, light, { piece, source }, paints, others)
  return [
    {
      kind: 'dominant',
      source: dominant,
      words: `The wall is a softer relative of the ${dominant.part}: calm, and the ${piece.name.toLowerCase()} steps back.`,
      walls: walls(dominant, calmTarget(dominant.undertone)),
      free: freeParts(parts, dominant),
    },
    ...(lesser
      ? [
          {
            kind: 'lesser' as const,
            source: lesser,
            words: `The wall takes the ${lesser.part}: contrast, and the ${piece.name.toLowerCase()} stands out.`,
            walls: walls(lesser, clearTarget(lesser.undertone, dominant.undertone)),
            free: freeParts(parts, lesser),
          },
        ]
      : []),
  ]
}

type SeenPart = FinishColour & { readonly undertone: Undertone }

/** Parts by share, the largest first. */
const seenParts = (light: PreparedLight, { colours }: JudgedKeeper): SeenPart[] =>
  colours
    .map((colour) => ({ ...colour, undertone: undertoneOf(light, colour.reflectance) }))
    .sort((p, q) => q.sharePercent - p.sharePercent)

const away = (p: Undertone, q: Undertone): number => Math.hypot(p.j - q.j, p.a - q.a, p.b - q.b)

/** Of the smaller parts the one that differs most from the dominant: what the eye finds second. */
function lesserOf([dominant, ...rest]: readonly SeenPart[]): SeenPart | null {
  return rest.reduce<SeenPart | null>(
    (p, q) =>
      p && away(p.undertone, dominant!.undertone) >= away(q.undertone, dominant!.undertone) ? p : q,
    null,
  )
}

const freeParts = (parts: readonly SeenPart[], used: SeenPart): FinishColour[] =>
  parts.filter((part) => part !== used).sort((p, q) => q.undertone.c - p.undertone.c)

const within = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value))

const leaningAs = ({ hueDeg }: Undertone, c: number, j: number): Undertone => {
  const angle = (hueDeg * Math.PI) / 180
  return leaning(j, c * Math.cos(angle), c * Math.sin(angle))
}

function calmTarget(dominant: Undertone): Undertone {
  const c = Math.min(dominant.c, within(CALM.share * dominant.c, CALM.least, CALM.most))
  return leaningAs(dominant, c, within(dominant.j + CALM.lighter, CALM.fromJ, CALM.toJ))
}

function clearTarget(lesser: Undertone, dominant: Undertone): Undertone {
  const j =
    lesser.j >= dominant.j
      ? Math.max(lesser.j, dominant.j + CLEAR.apart)
      : Math.min(lesser.j, dominant.j - CLEAR.apart)
  return leaningAs(
    lesser,
    Math.min(CLEAR.most, CLEAR.share * lesser.c),
    within(j, CLEAR.fromJ, CLEAR.toJ),
  )
}

// A wall of another hue is another scheme, however near it lies; a wall without a lean has no hue.
const SAME_FAMILY_DEG = 40
const HAS_HUE_FROM = 2

function wallsNear(
  target: Undertone,
  light: PreparedLight,
  drawn: DrawnFrom,
  paints: readonly Paint[],
  others: readonly JudgedKeeper[],
): SchemeWall[] {
  const family = paints.filter(
    ({ undertone }) =>
      target.c < HAS_HUE_FROM || hueApartDeg(undertone.hueDeg, target.hueDeg) <= SAME_FAMILY_DEG,
  )
  const nearest = family
    .map((paint) => ({ paint, apart: away(paint.undertone, target) }))
    .sort((p, q) => p.apart - q.apart)
    .slice(0, TRIED)
  const chosen: SchemeWall[] = []
  for (const { paint } of nearest) {
    if (chosen.length === MOST_WALLS) break
    const isNew = chosen.every(
      ({ paint: other }) =>
        other.place !== paint.place && away(other.undertone, paint.undertone) >= STEP,
    )
    if (!isNew) continue
    const wall = judgedWall(light, paint, drawn, others)
    if (!isBad(wall.beside.chance) && !(wall.weakest && isBad(wall.weakest.chance)))
      chosen.push(wall)
  }
  return chosen
}

/** How a room's walls may share a scheme: all alike, one that takes the stage, or a lower and an upper half. */
export const WALL_PLANS = ['all walls', 'a focal wall', 'two halves'] as const
export type WallPlan = (typeof WALL_PLANS)[number]

export interface PlannedSurface {
  readonly surface: string
  readonly paint: Paint
}

/**
 * Which paint goes where: the focal wall and the lower half take the deeper of the two. Without a relative on the strip
 * the plan cannot be had.
 */
export function surfacesOf(
  plan: WallPlan,
  wall: Paint,
  relative: Paint | null,
): readonly PlannedSurface[] {
  if (plan === 'all walls') return [{ surface: 'all walls', paint: wall }]
  if (!relative) return []
  const [lighter, deeper] =
    wall.undertone.j >= relative.undertone.j ? [wall, relative] : [relative, wall]
  return plan === 'a focal wall'
    ? [
        { surface: 'focal wall', paint: deeper },
        { surface: 'other walls', paint: lighter },
      ]
    : [
        { surface: 'upper half', paint: lighter },
        { surface: 'lower half', paint: deeper },
      ]
}

/** The paint nearest to a colour of the piece, for small things that take it up again. */
export function nearestPaint(
  light: PreparedLight,
  { reflectance }: FinishColour,
  paints: readonly Paint[],
): Paint | null {
  const wanted = undertoneOf(light, reflectance)
  return paints.reduce<Paint | null>(
    (p, q) => (p && away(p.undertone, wanted) <= away(q.undertone, wanted) ? p : q),
    null,
  )
}
