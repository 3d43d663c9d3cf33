import { doorsOf } from '@/core/room/doors'
import { PLAIN_WHITE, type RoomPaints } from '@/core/room/furnish'
import { reflectanceOfReading } from '@/core/paint/reading'
import { isJudgedAgainst } from '@/core/pairing/keeper-kind'
import type { Surface } from '@/core/record/proposal'
import { PLAIN_SURFACES } from '@/core/light/room'
import type { Candidate } from '@/db/candidates'
import { USUAL_ROOM_PAINT } from '@/db/room-paint'
import type { Room } from '@/db/rooms'
import type { Visit } from '@/db/visits'
import type { Inside, InsideOption, InsideRoom, RoomBeyond } from '@/ui/inside/inside-room'
import { candidatePaint, keeperFinish } from './paints'
import { standsFor } from './room-around'
import { loadTradeWords } from './settings'
import {
  isUpIn,
  loadCandidates,
  loadDecks,
  loadKeepersInRoom,
  loadPlacings,
  loadRoom,
  loadRoomPaint,
  loadSchemes,
  loadVisit,
  loadWhatIfs,
} from './visit-page'

/** A room, and those it opens to, to be looked at from within. */
export async function loadInside(visitId: string, roomId: string): Promise<Inside> {
  const { visit, room } = await loadRoom(visitId, roomId)
  const { rooms } = await loadVisit(visit.id)
  const beyond: RoomBeyond[] = []
  for (const next of rooms.filter(({ id }) => room.seenFrom.includes(id)))
    beyond.push({ ...(await insideOf(visit, next)), room: next })
  return { ...(await insideOf(visit, room)), visitId: visit.id, beyond }
}

async function insideOf(visit: Visit, room: Room): Promise<InsideRoom> {
  const visitId = visit.id
  const inWords = await loadTradeWords()
  const decks = await loadDecks()
  const candidates = await loadCandidates(visitId)
  const paint = (await loadRoomPaint(visitId)).get(room.id) ?? USUAL_ROOM_PAINT
  const keepers = (await loadKeepersInRoom(visitId, room.id)).filter(({ state }) =>
    isJudgedAgainst(state),
  )
  const placings = (await loadPlacings(visitId)).filter((each) => each.roomId === room.id)
  const placingOf = (thingId: string) => placings.find((each) => each.thingId === thingId) ?? null
  const on = (surface: Surface) => {
    const candidate = standsFor(candidates, room.id, surface)
    return candidate && candidatePaint(candidate, decks).reflectance
  }
  const [ceiling, trim, door, oneWall] = [
    on('ceiling'),
    on('trim'),
    on('door inside'),
    on('one wall'),
  ]
  const trimStays = keepers.some(({ kind }) => kind === 'trim')
  const around = {
    ceiling: ceiling ?? PLAIN_WHITE,
    trim: trim ?? PLAIN_WHITE,
    doors: door ?? trim ?? PLAIN_WHITE,
  }
  const old = paint.oldWalls && reflectanceOfReading(paint.oldWalls)
  const withWalls = (walls: RoomPaints['walls']): RoomPaints => ({
    ...around,
    walls,
    oneWall,
  })
  const schemes = (await loadSchemes(visitId)).filter((each) => each.roomId === room.id)
  return {
    roomId: room.id,
    name: room.name,
    keepers: keepers.map((keeper) => ({
      ...{ id: keeper.id, name: keeper.name, kind: keeper.kind },
      placing: placingOf(keeper.id),
      walls: keeper.roomId === room.id ? keeper.walls : [],
      parts: keeperFinish(keeper, visit.houseRules).colours,
    })),
    lampsAt: room.lamps.map(({ id }) => {
      const at = placingOf(id)
      return at && [at.eastMm, at.northMm, at.fromMm]
    }),
    lampIds: room.lamps.map(({ id }) => id),
    whatIfs: (await loadWhatIfs(visitId)).filter((each) => each.roomId === room.id),
    featureWall: oneWall ? paint.featureWall : null,
    doors: doorsOf(room, room.doors, room.seenFrom),
    options: [
      ...ordered(candidates, room.id).map((candidate): InsideOption => {
        const { id, code, name, strengthPercent, reflectance } = candidatePaint(candidate, decks)
        return {
          ...{ id, kind: 'candidate', paints: withWalls(reflectance) },
          words: `${name} ${code} at ${strengthPercent} %`,
        }
      }),
      ...schemes.map(({ id, name, parts }): InsideOption => {
        const of = (surface: Surface) => {
          const part = parts.find((each) => each.surface === surface)
          const candidate = part && candidates.find((each) => each.id === part.candidateId)
          return candidate ? candidatePaint(candidate, decks).reflectance : null
        }
        const walls = of('walls') ?? of('upper half') ?? old ?? PLAIN_SURFACES.walls
        return {
          ...{ id, kind: 'scheme', words: `Scheme: ${name}` },
          paints: {
            ...withWalls(walls),
            ceiling: of('ceiling') ?? around.ceiling,
            trim: of('trim') ?? around.trim,
            doors: of('door inside') ?? of('trim') ?? around.doors,
          },
        }
      }),
      {
        ...{ id: 'now', kind: 'now', paints: withWalls(old ?? PLAIN_SURFACES.walls) },
        words: old ? 'As it is painted now' : 'A plain mid grey, as nobody has said what is there',
      },
    ],
    taken: [
      ...(ceiling ? [] : ['the ceiling is taken as white']),
      ...(trim || trimStays ? [] : [inWords('trim is taken as white')]),
      ...(keepers.some(({ kind }) => kind === 'floor' || kind === 'carpet')
        ? []
        : ['the floor is taken as a mid grey']),
    ],
  }
}

/** What is up on the walls, what stands for them first. */
function ordered(candidates: readonly Candidate[], roomId: string): Candidate[] {
  const first = standsFor(candidates, roomId, 'walls')
  const up = candidates.filter(
    (candidate) =>
      isUpIn(candidate, roomId) &&
      candidate.proposals.some((each) => each.roomId === roomId && each.surface === 'walls'),
  )
  return first ? [first, ...up.filter(({ id }) => id !== first.id)] : up
}
