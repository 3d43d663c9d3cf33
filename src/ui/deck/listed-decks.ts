import type { PreparedLight } from '@/core/colour/appearance'
import { BANDS, type Reflectance } from '@/core/colour/spectrum'
import { lrvsPercent } from '@/core/paint/lrv'
import { labWhiteBase } from '@/core/paint/white-base'
import {
  reflectanceOfRow,
  rowsOfDecks,
  type DeckColours,
  type DeckRows,
} from '@/core/ranking/deck-rows'
import { DAYLIGHT } from '@/core/undertone/daylight'
import {
  emptyUndertones,
  flatUndertones,
  undertoneAt,
  type FlatUndertones,
} from '@/core/undertone/flat-undertones'
import { toneOf, toneOrder, type ToneName } from '@/core/undertone/tone-order'
import type { Undertone } from '@/core/undertone/undertone'
import { deckWords } from './deck-words'
import {
  deckColours,
  type DeckName,
  type FetchedDeck,
  type ListedColour,
} from '@/workers/fetch-deck'

/** A colour among all the decks in use. */
export interface ListedAt extends ListedColour {
  /** Its place in all decks, one after another. */
  readonly place: number
  readonly deck: DeckName
  readonly whiteBase: Reflectance
}

/** Colours of one tone at rising intensity, of one deck. */
export interface ListedStrip {
  readonly deck: DeckName
  readonly strip: string
  /** Lightest first. */
  readonly places: readonly number[]
  readonly tone: ToneName
  readonly mean: Undertone
}

const MOST_FOUND = 6

/** The decks in use as one listing, with what hangs on no room. */
export class ListedDecks {
  readonly colours: readonly ListedAt[]
  readonly lrvs: Float64Array
  /** In tone order. */
  readonly strips: readonly ListedStrip[]
  private readonly rows: Float32Array
  readonly decks: readonly DeckColours[]
  private readonly byDay
  private readonly surfaces = new Map<number, Reflectance>()
  private readonly places = new Map<string, number>()

  constructor(decks: readonly FetchedDeck[]) {
    this.rows = new Float32Array(decks.reduce((sum, { full }) => sum + full.length, 0))
    const colours: ListedAt[] = []
    for (const { full, colours: own, ...deck } of decks) {
      this.rows.set(full, colours.length * BANDS)
      const whiteBase = labWhiteBase(deck.whiteBase)
      for (const colour of own) colours.push({ ...colour, place: colours.length, deck, whiteBase })
    }
    this.colours = colours
    this.decks = decks.map(deckColours)
    for (const { id, place } of colours) this.places.set(id, place)
    this.lrvs = lrvsPercent(this.rows)
    this.byDay = emptyUndertones(colours.length)
    flatUndertones(DAYLIGHT, this.rows, this.byDay)
    this.strips = this.inTones()
  }

  /** Where a colour stands among the decks in use; null where its deck is not. */
  placeOf(colourId: string): number | null {
    return this.places.get(colourId) ?? null
  }

  /** A code, and where it could be of several decks its maker and deck before it. */
  codeOf(place: number): string {
    const { code, deck } = this.colours[place]!
    return this.decks.length > 1 ? `${deckWords(deck)}, ${code}` : code
  }

  /** "Jorrfold E022-4"; among several decks with its maker and deck. */
  nameOf(place: number): string {
    const { name, code, deck } = this.colours[place]!
    return `${name} ${code}${this.decks.length > 1 ? ` (${deckWords(deck)})` : ''}`
  }

  /** A colour at full strength. */
  reflectanceOf(place: number): Reflectance {
    const known = this.surfaces.get(place)
    if (known) return known
    const made = reflectanceOfRow(this.rows, place)
    this.surfaces.set(place, made)
    return made
  }

  /** Its lean by daylight. */
  undertoneOf(place: number): Undertone {
    return undertoneAt(this.byDay, place)
  }

  /** Every colour at full strength as it is seen in a light, by its place. */
  seenIn(light: PreparedLight): FlatUndertones {
    const seen = emptyUndertones(this.colours.length)
    flatUndertones(light, this.rows, seen)
    return seen
  }

  /** Every colour at every strength that its base and the house rule allow. */
  atStrengths(weakestPercent: number): DeckRows {
    return rowsOfDecks(this.decks, weakestPercent)
  }

  /** The first few colours whose code begins with, or whose name holds, what was typed. */
  find(typed: string): number[] {
    const wanted = typed.trim().toLowerCase()
    if (wanted === '') return []
    const found: number[] = []
    for (const { place, code, name } of this.colours) {
      if (found.length === MOST_FOUND) break
      if (code.toLowerCase().startsWith(wanted) || name.toLowerCase().includes(wanted))
        found.push(place)
    }
    return found
  }

  /** The strip a colour is of. */
  stripOf(place: number): ListedStrip {
    return this.strips.find(({ places }) => places.includes(place))!
  }

  private inTones(): ListedStrip[] {
    const strips = new Map<string, number[]>()
    for (const { deck, strip, place } of this.colours) {
      const key = `${deck.id} ${strip}`
      const places = strips.get(key)
      if (places) places.push(place)
      else strips.set(key, [place])
    }
    return [...strips.values()]
      .map((places) => {
        const { deck, strip } = this.colours[places[0]!]!
        const lightestFirst = [...places].sort((p, q) => this.lrvs[q]! - this.lrvs[p]!)
        return {
          deck,
          strip,
          places: lightestFirst,
          ...toneOf(places.map((place) => this.undertoneOf(place))),
        }
      })
      .sort(toneOrder)
  }
}

/** Other colours of the same name in other decks: two paints, whatever they are called. */
export const namesakesOf = (decks: ListedDecks, place: number): readonly ListedAt[] => {
  const { name, deck } = decks.colours[place]!
  const called = name.toLowerCase()
  return decks.colours.filter(
    (other) => other.deck.id !== deck.id && other.name.toLowerCase() === called,
  )
}
