import { lrvPercent } from '@/core/paint/lrv'
import { reflectanceOfReading } from '@/core/paint/reading'
import { packsSaid } from '@/core/quantity/packs'
import { ordered } from '@/core/quantity/quantity'
import { SURFACES } from '@/core/record/proposal'
import { brighterBy, brighterSaid } from '@/core/scheme/light-effect'
import { volumeWords } from '@/core/units'
import { isFixed, isJudgedAgainst } from '@/core/pairing/keeper-kind'
import { listDeckColoursById } from '@/db/decks'
import { USUAL_ROOM_PAINT } from '@/db/room-paint'
import { openDb } from '@/store/store'
import { takes } from './hand-off'
import { candidatePaint, keeperFinish, loadRoomBrief } from './paints'
import { standsFor } from './room-around'
import { loadPaintWays, loadSettings } from './settings'
import {
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadRoom,
  loadRoomPaint,
  loadSchemes,
} from './visit-page'

/** The whole schemes of a room side by side: what each does to the piece that leads, to the light, to the cost. */
export async function loadRoomSchemes(visitId: string, roomId: string) {
  const { visit, room, roomDay } = await loadRoom(visitId, roomId)
  const decks = await loadDecks()
  const ways = await loadPaintWays()
  const { volumes } = await loadSettings()
  const candidates = await loadCandidates(visit.id)
  const paint = (await loadRoomPaint(visit.id)).get(room.id) ?? USUAL_ROOM_PAINT
  const keepers = (await loadKeepersInRoom(visit.id, room.id)).filter(({ state }) =>
    isJudgedAgainst(state),
  )
  const own = (await loadSchemes(visit.id)).filter((each) => each.roomId === room.id)
  const accents = await listDeckColoursById(
    await openDb(),
    own.flatMap((scheme) => scheme.accents),
  )
  const old = paint.oldWalls && reflectanceOfReading(paint.oldWalls)

  return {
    visit,
    room,
    keepers: keepers.map((keeper) => ({
      ...keeperFinish(keeper, visit.houseRules),
      leads: keeper.id === room.leadKeeperId,
      mayCome: keeper.state === 'arriving' && !isFixed(keeper.kind),
    })),
    eye: (await loadRoomBrief(visit, room)).eye,
    /** What is proposed now, surface by surface, to be kept as a scheme. */
    stands: SURFACES.flatMap((surface) => {
      const candidate = standsFor(candidates, room.id, surface)
      if (!candidate) return []
      const { sheen } = candidate.proposals.find(
        (each) => each.roomId === room.id && each.surface === surface,
      )!
      const { deckColourId, strengthPercent } = candidate
      return [{ surface, sheen, deckColourId, strengthPercent }]
    }),
    schemes: own.map((scheme) => {
      const parts = scheme.parts.flatMap((part) => {
        const candidate = candidates.find(({ id }) => id === part.candidateId)
        return candidate ? [{ ...part, candidate, paint: candidatePaint(candidate, decks) }] : []
      })
      const walls = parts.find(({ surface }) => surface === 'walls' || surface === 'upper half')
      const painted = parts.map(({ surface }) => surface)
      const orders = ordered(
        parts.flatMap(({ candidate, surface, sheen }) => {
          const { quantity } = takes(
            ...([candidate, decks, surface, room, paint, ways, painted] as const),
          )
          return quantity ? [{ key: `${candidate.id} ${sheen} ${quantity.use}`, quantity }] : []
        }),
        ways,
      )
      const prices = orders.map(({ price }) => price)
      const litres = orders.reduce((sum, each) => sum + each.litres, 0)
      return {
        id: scheme.id,
        name: scheme.name,
        origin: scheme.origin,
        isChosen: scheme.isChosen,
        comes: scheme.comes,
        parts: parts.map(({ surface, sheen, paint: colour }) => ({
          ...{ surface, sheen, paint: colour },
          lrvPercent: lrvPercent(colour.reflectance),
        })),
        accents: accents
          .filter(({ deckColourId }) => scheme.accents.includes(deckColourId))
          .map(({ deckColourId, code, name, reading }) => ({
            ...{ id: deckColourId, code, name },
            reflectance: reflectanceOfReading(reading),
          })),
        light: walls
          ? brighterSaid(brighterBy(roomDay.room, old, walls.paint.reflectance), old !== null)
          : null,
        cost: [
          `${volumeWords(litres, volumes)} of paint: ${orders.map(({ packs }) => packsSaid(packs)).join('; ')}`,
          ...(prices.length > 0 && prices.every((price) => price !== null)
            ? [
                `${prices.reduce<number>((sum, price) => sum + price!, 0).toFixed(2)} ${ways.currency}`.trim(),
              ]
            : []),
        ].join(', '),
      }
    }),
  }
}
