import { isRefused, unwantedIn } from '@/core/advice/will-not-have'
import { isGood } from '@/core/pairing/chance'
import { directionOf } from '@/core/pairing/said-of-pair'
import { rankedRoomOf } from '@/core/ranking/asked-room'
import { bestCompromise } from '@/core/ranking/best-compromise'
import {
  prepareDeck,
  reflectanceOfRow,
  rowsOfDecks,
  seenRows,
  type PreparedDeck,
} from '@/core/ranking/deck-rows'
import { likeThis } from '@/core/ranking/like-this'
import { goesAway, nextTries } from '@/core/ranking/next-try'
import { chanceInRoom, rankDeck } from '@/core/ranking/rank-for-room'
import { isRuledOut } from '@/core/undertone/lean'
import { variedFirst } from '@/core/ranking/variety'
import { whatBlocks } from '@/core/ranking/what-blocks'
import { bestOfColours } from '@/core/ranking/whole-ranking'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { undertoneOf } from '@/core/undertone/undertone'
import { undertoneAt } from '@/core/undertone/flat-undertones'
import { deckColours, fetchDeck, type FetchedDeck } from './fetch-deck'
import type {
  AtStrength,
  LikeRequest,
  NextRequest,
  RankRequest,
  StopRequest,
  WorkReply,
  WorkRequest,
} from './rank-protocol'

const say = (reply: WorkReply, transfer: Transferable[] = []): void =>
  postMessage(reply, { transfer })

// Decks never change, so what was prepared of them is kept while the same are asked for.
const fetched = new Map<string, Promise<FetchedDeck>>()
// The last two: another house rule is tried, and taken back.
const prepared = new Map<string, PreparedDeck>()
const KEPT = 2

async function prepare({ decks, weakestPercent }: WorkRequest): Promise<PreparedDeck> {
  const key = `${weakestPercent} ${decks.map(({ id }) => id).join(' ')}`
  const ready = prepared.get(key)
  if (ready) return ready
  const all = await Promise.all(
    decks.map((deck) => {
      const known = fetched.get(deck.id) ?? fetchDeck(deck)
      fetched.set(deck.id, known)
      known.catch(() => fetched.delete(deck.id))
      return known
    }),
  )
  const deck = prepareDeck(rowsOfDecks(all.map(deckColours), weakestPercent))
  prepared.set(key, deck)
  for (const [old] of [...prepared].slice(0, -KEPT)) prepared.delete(old)
  return deck
}

/** The rows that the eye refused beside something of the room: they are offered no more. */
async function refusedRows(
  { decks, room }: RankRequest | NextRequest,
  { places, strengthsPercent }: PreparedDeck,
): Promise<ReadonlySet<number>> {
  const noes = room.eye.filter(({ verdict }) => verdict === 'no')
  const rows = new Set<number>()
  if (noes.length === 0) return rows
  const placeOf = new Map<string, number>()
  for (const { id } of decks)
    for (const colour of (await fetched.get(id)!).colours) placeOf.set(colour.id, placeOf.size)
  const refused = new Set(
    noes.map(
      ({ deckColourId, strengthPercent }) => `${placeOf.get(deckColourId)} ${strengthPercent}`,
    ),
  )
  for (let row = 0; row < places.length; row++)
    if (refused.has(`${places[row]} ${strengthsPercent[row]}`)) rows.add(row)
  return rows
}

const TEN = 10

// Between two breaths whoever asks for something else is heard.
const BREATH_MS = 12
const { port1, port2 } = new MessageChannel()
let wake = (): void => undefined
port1.onmessage = () => wake()
const breathe = (): Promise<void> =>
  new Promise((resolve) => {
    wake = resolve
    port2.postMessage(null)
  })

let latest = 0

addEventListener('message', ({ data }: MessageEvent<WorkRequest | StopRequest>) => {
  if (data.task === 'stop') latest = 0
  else {
    if (data.task === 'rank') latest = data.id
    DOES[data.task](data as never).catch((error: Error) =>
      say({ id: data.id, failed: error.message }),
    )
  }
})

const DOES = { rank, like, next } as const

/** The row of a colour at a strength; a strength that is not ranked goes by its nearest. */
function rowOf({ places, strengthsPercent }: PreparedDeck, { place, strengthPercent }: AtStrength) {
  let nearest = -1
  for (let row = 0; row < places.length; row++) {
    if (places[row] !== place) continue
    const off = Math.abs(strengthsPercent[row]! - strengthPercent)
    if (nearest < 0 || off < Math.abs(strengthsPercent[nearest]! - strengthPercent)) nearest = row
  }
  return nearest
}

async function like(request: LikeRequest): Promise<void> {
  const { id, from, wish, light, most } = request
  const deck = await prepare(request)
  const mayBe = offered(request, deck)
  const own = rowOf(deck, from)
  const rows = seenRows(light, deck)
    .filter(({ row }) => row === own || mayBe(row))
    .map((each) => ({ ...each, lrvPercent: deck.lrvsPercent[each.row]! }))
  const found = likeThis(
    wish,
    rows.find(({ row }) => row === own)!,
    rows,
    most,
  )
  say({
    id,
    found: found.map(({ row: at, besides }) => ({
      place: rows[at]!.place,
      strengthPercent: deck.strengthsPercent[rows[at]!.row]!,
      words: besides,
    })),
  })
}

/** Which rows may be offered at all: of no lean that is out, and nothing that the household will not have. */
function offered(
  { without, willNotHave }: Pick<LikeRequest, 'without' | 'willNotHave'>,
  deck: PreparedDeck,
): (row: number) => boolean {
  const unwanted = unwantedIn(willNotHave)
  return (row) => {
    const { undertone, lrvPercent } = deck.own[row]!
    return !isRuledOut(without, undertone) && !isRefused(unwanted, undertone, lrvPercent)
  }
}

async function next(request: NextRequest): Promise<void> {
  const { id, from, light, room, roomDay, without, most } = request
  const deck = await prepare(request)
  const rows = seenRows(light, deck)
  const lit = rankedRoomOf(room, roomDay)
  const chance = chanceInRoom(lit)
  const refused = await refusedRows(request, deck)
  const mayBe = offered({ without, willNotHave: room.character.willNotHave }, deck)
  const weakest = (row: number) => chance(reflectanceOfRow(deck.rows, row), deck.sources[row]!)
  const works = (row: number): boolean =>
    !refused.has(row) && mayBe(row) && isGood(weakest(row).chance)
  const own = rowOf(deck, from)
  const here = rows[own]!
  // Away from what is wrong where it is weakest.
  const { finish, light: at } = weakest(own)
  const [wall, stays] = [reflectanceOfRow(deck.rows, own), lit.finishes[finish]!.reflectance].map(
    (each) => undertoneOf(lit.lights[at]!.light, each),
  )
  const direction = directionOf(wall!, stays!)
  const away = rows.filter(({ undertone }) => goesAway(direction, here.undertone, undertone))
  const tries = works(own) ? [] : nextTries(here, away, ({ row }) => works(row), most)
  say({
    id,
    found: tries.map(({ row, place, words }) => ({
      place,
      strengthPercent: deck.strengthsPercent[row]!,
      words,
    })),
  })
}

async function rank(request: RankRequest): Promise<void> {
  const { id, room, roomDay, first, laidOut, without } = request
  const deck = await prepare(request)
  const start = performance.now()
  const ranked = rankedRoomOf(room, roomDay)
  const refused = await refusedRows(request, deck)
  const isOut = (row: number): boolean =>
    refused.has(row) || isRuledOut(without, undertoneAt(deck.byDay, row))
  let breath = start
  for (const step of rankDeck(
    ...([deck, ranked, first] as const),
    without.length + refused.size > 0 ? isOut : undefined,
  )) {
    if (latest !== id) return
    const ms = performance.now() - start
    if ('first' in step) {
      const rankOf = new Map(step.first.map((each, at) => [each.row, at]))
      const compromise = bestCompromise(step.first, deck, ranked)
      const named = <Row extends { readonly row: number }>(row: Row) => ({
        ...row,
        place: deck.places[row.row]!,
        strengthPercent: deck.strengthsPercent[row.row]!,
      })
      const chosen = variedFirst(step.first, deck, DAYLIGHT, laidOut)
      say({
        id,
        ms,
        first: {
          laidOut: chosen.map((each) => ({ ...named(each), rank: rankOf.get(each.row)! })),
          compromise: compromise && {
            ...named(compromise),
            softest: compromise.softest && named(compromise.softest),
          },
        },
      })
      // Where few of those that are laid out work, it is said what blocks.
      const good = chosen.slice(0, TEN).filter(({ chance }) => isGood(chance)).length
      if (chosen.length > 0 && 2 * good < Math.min(TEN, chosen.length)) {
        const costs = new Map(room.finishes.map(({ keeperId, costs }) => [keeperId, costs]))
        const counting = whatBlocks(deck, ranked, (keeperId) => costs.get(keeperId)!)
        for (let counted = counting.next(); ; counted = counting.next()) {
          if (counted.done) {
            say({ id, blocks: counted.value })
            break
          }
          if (performance.now() - breath > BREATH_MS) {
            await breathe()
            breath = performance.now()
            if (latest !== id) return
          }
        }
      }
    } else if ('order' in step) {
      const whole = bestOfColours(step, deck)
      say({ id, ms, whole }, [
        whole.strengthsPercent.buffer,
        whole.worths.buffer,
        whole.works.buffer,
      ])
    } else if (performance.now() - breath > BREATH_MS) {
      say({ id, done: step.done })
      await breathe()
      breath = performance.now()
    }
  }
}
