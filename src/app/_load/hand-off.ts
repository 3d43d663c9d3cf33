import { longDate } from '@/core/light/calendar-date'
import { dayParts, type DayPart } from '@/core/light/day-parts'
import { screenColour } from '@/core/colour/appearance'
import { lrvPercent } from '@/core/paint/lrv'
import { reflectanceOfReading } from '@/core/paint/reading'
import { surfaceM2 } from '@/core/quantity/areas'
import { productFor, type PaintWays } from '@/core/quantity/products'
import {
  coatsOver,
  ordered,
  overOld,
  OVER_OLD_WHITE,
  OVER_UNSAID,
  quantityOf,
  type Coats,
  type OldCoat,
} from '@/core/quantity/quantity'
import { cellSays } from '@/core/record/cell'
import { isUnderLamps } from '@/core/record/look'
import { lookSaid, seenSaid } from '@/core/record/look-words'
import type { Surface } from '@/core/record/proposal'
import type {
  HandedPaint,
  HandedRoom,
  HandOff,
  RuledSurface,
  SeenWell,
} from '@/core/sheet/hand-off'
import type { SheetSwatch } from '@/core/sheet/sheet-document'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { drawnUndertone } from '@/core/undertone/drawn'
import type { Candidate } from '@/db/candidates'
import type { Deck } from '@/db/decks'
import { USUAL_ROOM_PAINT, type RoomPaint } from '@/db/room-paint'
import type { Room } from '@/db/rooms'
import type { KeptRuling } from '@/db/rulings'
import { dateAt } from '@/time/local-day'
import type { BenchCandidate } from '@/ui/bench/bench-model'
import { looksOf, lookWordsOf, whyOut } from './house-grid'
import { candidatePaint, whiteBaseOf } from './paints'
import { standingRulings, surfacesOfRoom } from './rulings'
import { loadPaintWays, loadSettings } from './settings'
import {
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadLooksThatCount,
  loadRoomDays,
  loadRoomPaint,
  loadRulings,
  loadVisit,
} from './visit-page'

/** A paint as an order names it. */
export function handedPaint(candidate: Candidate, decks: readonly Deck[]): HandedPaint {
  const deck = decks.find(({ id }) => id === candidate.deckId)!
  const { id, code, name, strengthPercent, base, mayBeRefused } = candidate
  return {
    ...{ id, code, name, strengthPercent, base, mayBeRefused },
    maker: deck.maker,
    deck: deck.name,
    lrvPercent: lrvPercent(candidatePaint(candidate, decks).reflectance),
  }
}

/** A paint in the parts of a room's day, or by plain daylight. */
export const sheetSwatch = (
  { code, reflectance }: Pick<BenchCandidate, 'code' | 'reflectance'>,
  parts: readonly DayPart[],
): SheetSwatch => ({
  code,
  bands:
    parts.length === 0
      ? [{ light: 'by daylight', hex: screenColour(DAYLIGHT, reflectance).hex }]
      : parts.map(({ name, prepared }) => ({
          light: name,
          hex: screenColour(prepared, reflectance).hex,
        })),
})

/** What a whole house is handed over with: every ruling with its coats and quantities, what is open, what was ruled out. */
export async function loadHandOff(visitId: string): Promise<HandOff> {
  const page = await loadVisit(visitId)
  const { visit, rooms } = page
  const ways = await loadPaintWays()
  const { who, lengths, volumes, words } = await loadSettings()
  const decks = await loadDecks()
  const candidates = await loadCandidates(visit.id)
  const rulings = standingRulings(await loadRulings(visit.id))
  const roomDays = await loadRoomDays(page)
  const said = await loadRoomPaint(visit.id)
  const handed = await Promise.all(rooms.map(handedRoom))
  const parts = handed.flatMap(({ ruled }) => ruled)

  return {
    head: {
      household: visit.household,
      placeName: visit.placeName,
      date: longDate(visit.visitDate),
      consultant: who,
    },
    rules: visit.houseRules,
    oldPaint: visit.oldPaint,
    leadBannedYear: ways.leadBannedYear,
    rooms: handed,
    orders: ordered(
      parts.flatMap(({ paint, sheen, quantity }) =>
        quantity ? [{ key: `${paint.id} ${sheen} ${quantity.use}`, quantity }] : [],
      ),
      ways,
    ).map((order) => {
      const { paint, sheen } = parts.find(
        (each) => `${each.paint.id} ${each.sheen} ${each.quantity?.use}` === order.key,
      )!
      return { ...order, paint, sheen }
    }),
    undercoats: ordered(
      parts.flatMap(({ coats, undercoat }) =>
        undercoat ? [{ key: undercoatWords(coats), quantity: undercoat }] : [],
      ),
      ways,
    ).map((order) => ({ ...order, what: order.key })),
    lengths,
    volumes,
    words,
    currency: ways.currency,
  }

  async function handedRoom(room: Room): Promise<HandedRoom> {
    const keepers = await loadKeepersInRoom(visit.id, room.id)
    const own = rulings.filter(({ roomId }) => roomId === room.id)
    const surfaces = surfacesOfRoom(candidates, rulings, room.id)
    const lights = dayParts(roomDays.get(room.id)!)
    const looks = await loadLooksThatCount(visit.id)
    const words = await lookWordsOf(visit)
    const paint = said.get(room.id) ?? USUAL_ROOM_PAINT
    return {
      id: room.id,
      name: room.name,
      heightMm: room.heightMm,
      keepers: keepers.map(({ name, state }) => ({ name, state })),
      open: surfaces.filter((surface) => !own.some((each) => each.surface === surface)),
      hasOldWalls: paint.oldWalls !== null,
      ruled: own.flatMap((ruling) => ruledSurface(ruling)),
      ruledOut: candidates.flatMap((candidate) => {
        const says = cellSays(looksOf(looks, candidate.id, room.id))
        const out = whyOut(candidate, room.id)
        const isHere =
          candidate.proposals.some(({ roomId }) => roomId === room.id) || says.verdict !== null
        if (!isHere || (out === null && says.verdict !== 'no')) return []
        if (own.some(({ candidateId }) => candidateId === candidate.id)) return []
        const why = out ?? `${lookSaid(says.look!)}, beside ${words.against(says.look!)}`
        return [
          {
            called: `${candidate.name} (${candidate.code}) at ${candidate.strengthPercent} %`,
            why: why.replace(/\.$/, ''),
          },
        ]
      }),
    }

    function ruledSurface(ruling: KeptRuling): RuledSurface[] {
      const candidate = candidates.find(({ id }) => id === ruling.candidateId)
      if (!candidate) return []
      const colour = candidatePaint(candidate, decks)
      const mine = cellSays(looksOf(looks, candidate.id, room.id)).counted
      const { coats, quantity, undercoat } = takes(
        ...([candidate, decks, ruling.surface, room, paint, ways] as const),
        own.map(({ surface }) => surface),
      )
      return [
        {
          surface: ruling.surface,
          paint: handedPaint(candidate, decks),
          sheen: ruling.sheen,
          swatch: sheetSwatch(colour, lights),
          sights: lights.map(({ name, isMidday, prepared }) => ({
            // A clock's hour says less here than the part of the day.
            when: name.replace(/, \d\d:\d\d$/, ''),
            isMidday,
            undertone: drawnUndertone(prepared, colour.reflectance),
          })),
          seenWell: seenWellOf(mine),
          compromise: ruling.compromise,
          gaps: ruling.gaps,
          ruledBy: ruling.by,
          ruledOn: longDate(dateAt(ruling.madeAt, visit.timeZone)),
          ...{ coats, quantity, undercoat },
        },
      ]
    }

    /** The last few looks that found that it works, as it is. */
    function seenWellOf(counted: ReturnType<typeof cellSays>['counted']): SeenWell[] {
      return counted
        .filter(({ verdict }) => verdict === 'works')
        .slice(-MOST_REASONS)
        .map((look) => ({
          seen: seenSaid(look),
          beside: words.against(look),
          light: isUnderLamps(look) ? 'under the lamps' : 'by day',
        }))
    }
  }
}

const MOST_REASONS = 3

const undercoatWords = ({ undercoat, undercoatLrvPercent }: Coats): string =>
  undercoatLrvPercent === null ? undercoat! : `${undercoat!}, LRV ${undercoatLrvPercent} %`

const ON_WALLS: readonly Surface[] = ['walls', 'one wall', 'upper half', 'lower half']

/** What a colour takes on a surface of a room: coats over what is there, area, litres. */
export function takes(
  candidate: Candidate,
  decks: readonly Deck[],
  surface: Surface,
  room: Room,
  paint: RoomPaint,
  ways: PaintWays,
  painted: readonly Surface[],
): Pick<RuledSurface, 'coats' | 'quantity' | 'undercoat'> {
  const deck = decks.find(({ id }) => id === candidate.deckId)!
  const coats = coatsOver(
    {
      full: reflectanceOfReading(candidate.reading),
      whiteBase: whiteBaseOf(deck),
      base: candidate.base,
      strengthPercent: candidate.strengthPercent,
    },
    oldCoat(surface, paint),
  )
  const areaM2 = surfaceM2(room, paint, surface, painted)
  if (areaM2 === null) return { coats, quantity: null, undercoat: null }
  return {
    coats,
    quantity: quantityOf(productFor(surface), areaM2, coats.coats, room.treatment, ways),
    undercoat: coats.undercoat ? quantityOf('undercoat', areaM2, 1, room.treatment, ways) : null,
  }
}

/** What a surface of a room is painted over. */
export function oldCoat(surface: Surface, { oldWalls }: RoomPaint): OldCoat {
  if (!ON_WALLS.includes(surface)) return OVER_OLD_WHITE
  return oldWalls ? overOld(reflectanceOfReading(oldWalls)) : OVER_UNSAID
}
