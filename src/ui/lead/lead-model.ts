import { REASON_WORDS } from '@/core/record/verdict'
import type { EyeSaid } from '@/core/record/eye-said'
import type { PreparedLight } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import type { Sheen } from '@/core/paint/sheen'
import type { Surface } from '@/core/record/proposal'
import type { HouseRules } from '@/core/advice/house-rules'
import { isBad, JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { pairReading } from '@/core/pairing/pair-reading'
import type { FinishColour } from '@/core/pairing/parts'
import { judgedWall, type Paint, type SchemeWall } from '@/core/scheme/beside-piece'
import {
  leadSchemes,
  nearestPaint,
  surfacesOf,
  type Scheme,
  type SchemeKind,
  type WallPlan,
} from '@/core/scheme/lead-schemes'
import { trimsFor, type TrimOption } from '@/core/scheme/trim'
import { lrvPercent } from '@/core/paint/lrv'
import type { BenchKeeper } from '../bench/bench-model'
import type { ListedDecks } from '../deck/listed-decks'
import { reflectanceOfRow, seenRows, type DeckRows } from '@/core/ranking/deck-rows'

/** A keeper that could lead. */
export interface LeadKeeper extends BenchKeeper {
  /** A piece to draw a scheme from, not a finish to live with. */
  readonly inspires: boolean
}

/** The piece that leads until one is chosen: one that inspires, else the dearest to change. */
export const suggestedLead = (keepers: readonly LeadKeeper[]): LeadKeeper | undefined =>
  keepers.find(({ inspires }) => inspires) ?? keepers[0]

/** Decks as a scheme is drawn from them, in one light. */
export interface SeenDecks {
  readonly decks: ListedDecks
  /** Every colour at every strength. */
  readonly paints: readonly Paint[]
  /** Every colour at its full strength, by place. */
  readonly full: readonly Paint[]
}

/**
 * @param rows of all their colours at their strengths
 * @param eye what was said in the room: what was refused there is not drawn on
 */
export function seenDecks(
  light: PreparedLight,
  decks: ListedDecks,
  rows: DeckRows,
  eye: readonly EyeSaid[] = [],
): SeenDecks {
  const refused = new Set(
    eye.flatMap(({ verdict, deckColourId, strengthPercent }) =>
      verdict === 'no' ? [`${decks.placeOf(deckColourId)} ${strengthPercent}`] : [],
    ),
  )
  const seen = seenRows(light, rows).filter(
    ({ place, row }) => !refused.has(`${place} ${rows.strengthsPercent[row]}`),
  )
  const paints = seen.map(({ place, undertone, row }): Paint => {
    let made: Reflectance | null = null
    return {
      place,
      undertone,
      strengthPercent: rows.strengthsPercent[row]!,
      // Of a hundred thousand a few hundred are asked for it.
      get reflectance() {
        return (made ??= reflectanceOfRow(rows.rows, row))
      },
      source: rows.sources[row]!,
    }
  })
  const full = paints.filter(({ strengthPercent }) => strengthPercent === 100)
  return { decks, paints, full }
}

/** What keepers of a room say to a piece that leads. */
export interface LedRoom {
  readonly piece: LeadKeeper
  /** What else stays. */
  readonly staying: readonly LeadKeeper[]
  /** What may come: each is kept or left out scheme by scheme. */
  readonly arriving: readonly LeadKeeper[]
}

export function ledBy(piece: LeadKeeper, keepers: readonly LeadKeeper[]): LedRoom {
  const others = keepers.filter(({ id }) => id !== piece.id)
  return {
    piece,
    // A paintable finish gives way where it must, so it rules no wall out.
    staying: others.filter(({ state }) => state === 'staying'),
    arriving: others.filter(({ state }) => state === 'arriving'),
  }
}

/** The schemes of a room, the house rule's own first. */
export function schemesOf(
  light: PreparedLight,
  { piece, staying }: LedRoom,
  deck: SeenDecks,
  rules: HouseRules,
): Scheme[] {
  const schemes = leadSchemes(light, piece, deck.paints, staying)
  return rules.inspiration === 'lesser' ? schemes.reverse() : schemes
}

const STRIP_STEPS = 2

// A wall this deep has its relative above it.
const DEEP_BELOW_LRV = 25

/** A relative of the wall two steps down its own strip, up if the wall is deep; null where the strip ends. */
function relativeOf({ decks, full }: SeenDecks, wall: Paint): Paint | null {
  const strip = decks.stripOf(wall.place).places
  const at = strip.indexOf(wall.place)
  const by = lrvPercent(wall.reflectance) < DEEP_BELOW_LRV ? -STRIP_STEPS : STRIP_STEPS
  const place = strip[at + by] ?? strip[at + Math.sign(by)]
  return full.find((paint) => paint.place === place) ?? null
}

/** A surface of a wall plan with its paint, held to the piece. */
export interface JudgedSurface extends SchemeWall {
  readonly surface: string
}

/** Each surface of a plan judged against the piece; empty where the strip has nothing deeper. */
export function judgedSurfaces(
  light: PreparedLight,
  plan: WallPlan,
  wall: Paint,
  source: FinishColour,
  { piece, staying }: LedRoom,
  deck: SeenDecks,
): JudgedSurface[] {
  return surfacesOf(plan, wall, relativeOf(deck, wall)).map(({ surface, paint }) => ({
    surface,
    ...judgedWall(light, paint, { piece, source }, staying),
  }))
}

export function trimOf(
  wall: Paint,
  { decks, full }: SeenDecks,
  rules: HouseRules,
): TrimOption | undefined {
  const deckColour = ({ place, undertone, source }: Paint, lrv: number) => ({
    place,
    source,
    lrvPercent: lrv,
    undertone,
  })
  return trimsFor(
    deckColour(wall, lrvPercent(wall.reflectance)),
    full.map((paint) => deckColour(paint, decks.lrvs[paint.place]!)),
    decks.stripOf(wall.place).places,
    rules,
  ).find(
    // The wall's own colour is no answer to what comes from the rest of the piece.
    ({ kind }) => kind !== 'same',
  )
}

export interface Accent {
  readonly part: FinishColour
  readonly paint: Paint
  readonly words: string
}

const ACCENT_USES = ['a lampshade or one chair', 'the inside of a bookcase or a door', 'a cushion']
const MOST_ACCENTS = 2

/** Colours of the piece that no wall takes, back in small things: sparingly, a tenth of the view (common practice). */
export function accentsOf(light: PreparedLight, { free }: Scheme, { full }: SeenDecks): Accent[] {
  return free.slice(0, MOST_ACCENTS).flatMap((part, i) => {
    const paint = nearestPaint(light, part, full)
    return paint ? [{ part, paint, words: ACCENT_USES[i] ?? ACCENT_USES[2]! }] : []
  })
}

/** What comes, scheme by scheme: ordered, or left out, and what to look for where nothing comes. */
export function swapWords(
  light: PreparedLight,
  wall: Paint,
  { arriving }: LedRoom,
  { free }: Scheme,
): string[] {
  const said = arriving.map((piece) => {
    const { judgement, chance, reason } = pairReading(light, wall, piece)
    const end = isBad(chance) ? '; another for this scheme.' : '.'
    return `${piece.name}, arriving: ${JUDGEMENT_WORDS[judgement]}, ${REASON_WORDS[reason]}${end}`
  })
  const [clearest] = free
  if (!clearest) return said
  return arriving.length > 0
    ? said
    : [`To bring in: a blind, a rug or chairs that take up its ${clearest.part}.`]
}

/** A scheme as it is kept: a paint a surface, and its accents. */
export interface KeptScheme {
  readonly name: string
  readonly origin: SchemeKind
  readonly parts: readonly {
    readonly surface: Surface
    readonly deckColourId: string
    readonly strengthPercent: number
    readonly sheen: Sheen
  }[]
  /** Deck colours. */
  readonly accents: readonly string[]
}

const SURFACE_OF: Readonly<Record<string, Surface>> = {
  'all walls': 'walls',
  'other walls': 'walls',
  'focal wall': 'one wall',
  'upper half': 'upper half',
  'lower half': 'lower half',
}

/** What is on the screen of a scheme, whole. */
export function keptScheme(
  scheme: Scheme,
  light: PreparedLight,
  seen: SeenDecks,
  surfaces: readonly JudgedSurface[],
  trim: { readonly paint: Paint; readonly sheen: Sheen } | null,
): KeptScheme {
  const idOf = ({ place }: Paint): string => seen.decks.colours[place]!.id
  return {
    name: `From its ${scheme.source.part}`,
    origin: scheme.kind,
    parts: [
      ...surfaces.map(({ surface, paint }) => ({
        surface: SURFACE_OF[surface]!,
        deckColourId: idOf(paint),
        strengthPercent: paint.strengthPercent,
        sheen: 'matt' as const,
      })),
      ...(trim
        ? [
            {
              surface: 'trim' as const,
              deckColourId: idOf(trim.paint),
              strengthPercent: trim.paint.strengthPercent,
              sheen: trim.sheen,
            },
          ]
        : []),
    ],
    accents: accentsOf(light, scheme, seen).map(({ paint }) => idOf(paint)),
  }
}
