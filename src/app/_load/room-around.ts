import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { packsSaid } from '@/core/quantity/packs'
import { productWords, productFor } from '@/core/quantity/products'
import { cellSays } from '@/core/record/cell'
import { SURFACES, type ProposalStatus, type Surface } from '@/core/record/proposal'
import { areaWords, volumeWords } from '@/core/units'
import type { Candidate } from '@/db/candidates'
import { USUAL_ROOM_PAINT } from '@/db/room-paint'
import { takes } from './hand-off'
import { looksOf } from './house-grid'
import { wearOf } from './other-rooms'
import { candidatePaint, deckName, keeperFinish, loadRoomBrief } from './paints'
import { loadPaintWays, loadSettings } from './settings'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadLooksThatCount,
  loadRoom,
  loadRoomPaint,
} from './visit-page'

const NEAREST_FIRST: readonly ProposalStatus[] = [
  'picked',
  'going to board',
  'proposed',
  'to fetch',
]

/** What stands for a surface of a room: its pick, else what goes to board, else what is proposed; null of none. */
export function standsFor(
  candidates: readonly Candidate[],
  roomId: string,
  surface: Surface,
): Candidate | null {
  const of = (status: ProposalStatus): Candidate | undefined =>
    candidates.find(
      ({ ruledOut, proposals }) =>
        ruledOut === null &&
        proposals.some(
          (each) => each.roomId === roomId && each.surface === surface && each.status === status,
        ),
    )
  return NEAREST_FIRST.map(of).find((each) => each !== undefined) ?? null
}

/** What goes around the walls of a room: what is proposed for its surfaces, what stands at each wall, and how much paint it takes. */
export async function loadRoomAround(visitId: string, roomId: string) {
  const { visit, room } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  const ways = await loadPaintWays()
  const { lengths, volumes, words } = await loadSettings()
  const candidates = await loadCandidates(visit.id)
  const keepers = await loadKeepersInRoom(visit.id, room.id)
  const looks = await loadLooksThatCount(visit.id)
  const paint = (await loadRoomPaint(visit.id)).get(room.id) ?? USUAL_ROOM_PAINT
  const painted = SURFACES.filter((surface) => standsFor(candidates, room.id, surface) !== null)
  const walls = standsFor(candidates, room.id, 'walls')

  return {
    visit,
    room,
    decks: decks.map(deckName),
    brief: await loadRoomBrief(visit, room),
    wear: await wearOf(visit.id, room.id),
    paint,
    walls: walls && candidatePaint(walls, decks),
    /** Others that could stand on the walls. */
    onWalls: candidates
      .filter((candidate) => isUpIn(candidate, room.id))
      .filter(({ proposals }) =>
        proposals.some((each) => each.roomId === room.id && each.surface === 'walls'),
      )
      .map((candidate) => candidatePaint(candidate, decks)),
    runnersUp: candidates
      .filter(
        (candidate) =>
          candidate.id !== walls?.id &&
          isUpIn(candidate, room.id) &&
          cellSays(looksOf(looks, candidate.id, room.id)).verdict === 'works',
      )
      .map((candidate) => candidatePaint(candidate, decks)),
    keepers: keepers
      .filter(({ state }) => isJudgedAgainst(state))
      .map((keeper) => ({
        ...keeperFinish(keeper, visit.houseRules),
        kind: keeper.kind,
        viewShare: keeper.viewShare,
        texture: keeper.texture,
        walls: keeper.roomId === room.id ? keeper.walls : [],
        leads: keeper.id === room.leadKeeperId,
      })),
    proposed: painted.map((surface) => {
      const candidate = standsFor(candidates, room.id, surface)!
      const { sheen, status } = candidate.proposals.find(
        (each) => each.roomId === room.id && each.surface === surface,
      )!
      const { coats, quantity, undercoat } = takes(
        ...([candidate, decks, surface, room, paint, ways, painted] as const),
      )
      return {
        surface,
        sheen,
        status,
        paint: candidatePaint(candidate, decks),
        product: productWords(productFor(surface), words),
        said: coats.said,
        coats: coats.coats,
        area: quantity && areaWords(quantity.areaM2, lengths),
        litres: quantity && volumeWords(quantity.litres, volumes),
        tins: quantity && packsSaid(quantity.packs),
        undercoat:
          undercoat &&
          `${coats.undercoat}: ${volumeWords(undercoat.litres, volumes)}, ${packsSaid(undercoat.packs)}`,
        price:
          quantity?.price != null ? `${quantity.price.toFixed(2)} ${ways.currency}`.trim() : null,
      }
    }),
  }
}
