import type { PreparedLight } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { roomAdvice, SAID_FROM } from '@/core/advice/room-advice'
import type { WallName } from '@/core/light/walls'
import type { KeeperKind, ViewShare } from '@/core/pairing/keeper-kind'
import { pairReading, type PairReading } from '@/core/pairing/pair-reading'
import { isSmooth, type Texture } from '@/core/pairing/role'
import { lrvPercent } from '@/core/paint/lrv'
import type { Sheen } from '@/core/paint/sheen'
import { sheenForSurface, sheenSays } from '@/core/paint/surface-sheen'
import { eyeOf, refusalOf, type EyeSaid } from '@/core/record/eye-said'
import type { Surface } from '@/core/record/proposal'
import {
  ceilingsFor,
  featureColoursFor,
  joineryFor,
  lowerHalfFor,
  type AroundOption,
  type AroundRoom,
} from '@/core/scheme/around'
import { accentsFrom } from '@/core/scheme/accents'
import { closeTones, fabricsFor } from '@/core/scheme/fabrics'
import { trimsFor, type DeckColour, type TrimKind } from '@/core/scheme/trim'
import { undertoneOf } from '@/core/undertone/undertone'
import type { BenchCandidate, BenchKeeper } from '../bench/bench-model'
import type { ListedDecks } from '../deck/listed-decks'
import type { RankedFor } from '../shortlist/ranked-for'
import { deckIn } from '../trial/trial-model'

/** Something that stays, with where it stands. */
export interface AroundKeeper extends BenchKeeper {
  readonly kind: KeeperKind
  readonly viewShare: ViewShare
  readonly texture: Texture | null
  readonly walls: readonly WallName[]
  readonly leads: boolean
}

/** What stands for a surface of the room by now, and what it takes. */
export interface ProposedSurface {
  readonly surface: Surface
  readonly sheen: Sheen
  readonly status: string
  readonly paint: BenchCandidate
  readonly product: string
  readonly said: string
  readonly coats: number
  readonly area: string | null
  readonly litres: string | null
  readonly tins: string | null
  readonly undercoat: string | null
  readonly price: string | null
}

export const TRIM_WORDS: Readonly<Record<TrimKind, string>> = {
  same: 'the same colour in a higher sheen, in the product made for trim',
  'clean-white': 'a clean white',
  'soft-white': 'a softened white',
  relative: 'a relative two strip steps away',
  complement: 'a deep complement',
}

/** A colour that could go on a surface, ready to be shown and proposed. */
export interface ShownOption extends AroundOption {
  readonly reflectance: Reflectance
  readonly strengthPercent: number
  readonly deckColourId: string
  readonly called: string
  /** What the eye said of it beside things at this wall, before what is computed. */
  readonly eye: readonly { readonly name: string; readonly said: EyeSaid }[]
  /** The thing at this wall, not looked at beside it, that it is least likely to sit with; null where nothing stands there. */
  readonly weakest: { readonly name: string; readonly reading: PairReading } | null
  /** What speaks for its sheen. */
  readonly sheenWhy: string
}

/** What stands at a wall that a colour is least likely to sit with. */
function weakestAt(
  light: PreparedLight,
  colour: Pick<BenchCandidate, 'reflectance' | 'source'>,
  at: readonly AroundKeeper[],
): ShownOption['weakest'] {
  return at
    .map((keeper) => ({
      name: keeper.name,
      reading: pairReading(light, { ...colour, strengthPercent: 100 }, keeper),
    }))
    .reduce<ShownOption['weakest']>(
      (p, q) => (p && p.reading.chance <= q.reading.chance ? p : q),
      null,
    )
}

const leastOf = ({ chance, weakest }: ShownOption): number =>
  Math.min(chance, weakest?.reading.chance ?? 1)

// A complement is for those who ask for it.
const isAsked = ({ name }: ShownOption): boolean => name === TRIM_WORDS.complement

const inOrder = (options: readonly ShownOption[], byChance: boolean): ShownOption[] =>
  byChance
    ? options.toSorted((p, q) => Number(isAsked(p)) - Number(isAsked(q)) || leastOf(q) - leastOf(p))
    : [...options]

/** A wall colour as the deck's colours are held to it in a light. */
export function wallIn(light: PreparedLight, wall: BenchCandidate, decks: ListedDecks): DeckColour {
  return {
    // A colour of a deck that is not in use has no place on it.
    place: decks.placeOf(wall.deckColourId) ?? -1,
    lrvPercent: lrvPercent(wall.reflectance),
    undertone: undertoneOf(light, wall.reflectance),
    source: wall.source,
  }
}

/**
 * Everything that could go around a wall, in its own light: trim, ceiling, half, doors, cabinets, island. Each is held to the
 * wall and to what stands at this wall; what quarrels least comes first, unless the house rule has a trim of its own.
 *
 * @param at what stays and touches this wall
 */
export function aroundWall(
  light: PreparedLight,
  wall: BenchCandidate,
  decks: ListedDecks,
  asked: RankedFor,
  room: AroundRoom,
  at: readonly AroundKeeper[],
): readonly { readonly surface: Surface; readonly options: readonly ShownOption[] }[] {
  const deck = deckIn(light, decks)
  const own = wallIn(light, wall, decks)
  const strip = own.place < 0 ? [] : decks.stripOf(own.place).places
  const washesOut = roomAdvice(wall.reflectance, asked.character, room.rules).some(
    ({ kind, strength }) => kind === 'washes out' && strength >= SAID_FROM,
  )
  const trims = trimsFor(own, deck, strip, room.rules, washesOut).map(
    ({ kind, place, sheen, judgement, chance, words }): AroundOption => ({
      surface: 'trim',
      name: TRIM_WORDS[kind],
      ...{ place, sheen, judgement, chance, words },
    }),
  )
  const shown = (option: AroundOption): ShownOption => {
    const isOwn = option.place === own.place
    const listed = isOwn ? null : decks.colours[option.place]!
    const reflectance = isOwn ? wall.reflectance : decks.reflectanceOf(option.place)
    const paint = {
      strengthPercent: isOwn ? wall.strengthPercent : 100,
      deckColourId: listed?.id ?? wall.deckColourId,
    }
    const eye = at.flatMap(({ id, name }) => {
      const said = eyeOf(asked.eye, paint, id)
      return said ? [{ name, said }] : []
    })
    const unseen = at.filter(({ id }) => eye.every(({ said }) => said.keeperId !== id))
    const source = listed?.source ?? wall.source
    return {
      ...option,
      ...paint,
      eye,
      weakest: weakestAt(light, { reflectance, source }, unseen),
      sheenWhy: sheenSays(option.surface, option.sheen, room.wear),
      reflectance,
      called: listed ? `${listed.code}, ${listed.name}` : `${wall.code}, ${wall.name}`,
    }
  }
  const outside = trims.map((option): AroundOption => ({
    ...option,
    surface: 'door outside',
    sheen: sheenForSurface('door outside', room.treatment, room.wear),
  }))
  return [
    { surface: 'trim' as const, options: trims },
    { surface: 'ceiling' as const, options: ceilingsFor(own, deck, strip, room) },
    { surface: 'lower half' as const, options: lowerHalfFor(own, deck, strip, room) },
    { surface: 'one wall' as const, options: featureColoursFor(own, deck, strip, room) },
    { surface: 'door inside' as const, options: joineryFor('door inside', own, deck, strip, room) },
    { surface: 'door outside' as const, options: outside.slice(0, 2) },
    { surface: 'cabinets' as const, options: joineryFor('cabinets', own, deck, strip, room) },
    { surface: 'island' as const, options: joineryFor('island', own, deck, strip, room) },
  ]
    .map(({ surface, options }) => ({
      surface,
      // What the eye refused in this room is offered no more.
      options: inOrder(
        options.map(shown).filter((option) => refusalOf(asked.eye, option) === null),
        surface !== 'trim' || room.rules.trim === 'table',
      ),
    }))
    .filter(({ options }) => options.length > 0)
}

/** Accents, fabrics and near tones of a wall in a light. */
export function besides(
  light: PreparedLight,
  wall: BenchCandidate,
  decks: ListedDecks,
  runnersUp: readonly BenchCandidate[],
  keepers: readonly AroundKeeper[],
  room: AroundRoom,
) {
  const own = wallIn(light, wall, decks)
  const near = closeTones(
    own.undertone,
    keepers.flatMap((keeper) =>
      keeper.colours.map(({ part, reflectance }) => ({
        name: keeper.colours.length > 1 ? `${keeper.name} (${part})` : keeper.name,
        texture: keeper.texture,
        smooth: isSmooth(keeper.role),
        undertone: undertoneOf(light, reflectance),
      })),
    ),
  )
  const nearlyChosen = runnersUp.map((paint) => ({
    ...{ ...wallIn(light, paint, decks), reflectance: paint.reflectance },
    ...{ called: `${paint.code}, ${paint.name}`, isKnown: true },
    paint,
  }))
  const ofDecks = deckIn(light, decks).map((colour) => ({
    ...{ ...colour, reflectance: decks.reflectanceOf(colour.place), isKnown: false },
    called: `${decks.colours[colour.place]!.code}, ${decks.colours[colour.place]!.name}`,
  }))
  return {
    accents: accentsFrom(own, nearlyChosen, room.rules),
    fabrics: fabricsFor(own, [...nearlyChosen, ...ofDecks], ({ isKnown }) => isKnown, room.rules),
    near: near.map(({ name, smooth }) =>
      smooth
        ? `${name} comes close to the wall and both are smooth: they run together. Give one a texture, or take a step away.`
        : `${name} comes close to the wall; its texture keeps them apart.`,
    ),
  }
}

/** "wall 61 %, door 9 %": what of a wall is seen, largest first. */
export const sharesSaid = (
  shares: ReadonlyMap<string, number>,
  nameOf: (key: string) => string,
): string =>
  [...shares]
    .filter(([, share]) => share >= 0.01)
    .sort(([, p], [, q]) => q - p)
    .map(([key, share]) => `${nameOf(key)} ${Math.round(100 * share)} %`)
    .join(', ')
