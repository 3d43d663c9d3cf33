import { ucsDifference, type Ucs } from '@/core/colour/cam16'
import { flatReflectance } from '@/core/colour/spectrum'
import { bandsOfReflectance } from '@/core/room/bands'
import { drawView, type LitInView } from '@/core/room/draw'
import {
  furnish,
  type FurnishedRoom,
  type RoomPaints,
  type RoomToFurnish,
} from '@/core/room/furnish'
import { modelOf, type RoomModel } from '@/core/room/model'
import {
  lightRoom,
  meanOnWalls,
  painted,
  type PaintedModel,
  type RoomAtMoment,
} from '@/core/room/moment'
import { sceneOf } from '@/core/room/scene'
import { surfacesSeen, wallsSeen } from '@/core/room/seen-table'
import { mapOf, type PictureMap, type RoomInView } from '@/core/room/view'
import { viewpointsOf } from '@/core/room/viewpoints'
import type { BuildRequest, RoomReply, ShowRequest } from './room-protocol'

/** A room that was built, and what was solved of it. */
interface Built {
  readonly id: string
  readonly given: RoomToFurnish
  readonly furnished: FurnishedRoom
  readonly model: RoomModel
  /** By the name of a set of paints; the last few. */
  readonly solved: Map<
    string,
    { readonly painted: PaintedModel; readonly parts: LitInView['parts'] }
  >
}

let built: Built[] = []
/** The last views, by where from and how large. */
const maps = new Map<string, PictureMap>()
const MOST_MAPS = 4
const MOST_SOLVED = 24

// Geometry asks for no paints: they come with each showing.
const GREY = flatReflectance(0.5)
const NO_PAINTS: RoomPaints = {
  ...{ walls: GREY, oneWall: null, ceiling: GREY },
  ...{ trim: GREY, doors: GREY },
}

function build({ id, rooms }: BuildRequest): void {
  maps.clear()
  given.clear()
  built = rooms.map((given, n) => {
    const furnished = furnish(given, NO_PAINTS)
    const scene = sceneOf(given.room, furnished.furnished)
    const model = modelOf(scene, undefined, (share) =>
      reply({ id, done: (n + share) / rooms.length }),
    )
    return { id: given.id, given, furnished, model, solved: new Map() }
  })
  reply({
    id,
    built: {
      views: viewpointsOf(built[0]!.model.scene).map(({ name }) => name),
      leftOut: built[0]!.furnished.leftOut,
      standing: built[0]!.furnished.standing,
    },
  })
}

/** Every set of paints that was given, by its room and name. */
const given = new Map<string, RoomPaints>()

function solvedWith(of: Built, id: string, paints: RoomPaints | null) {
  const name = `${of.id} ${id}`
  if (paints) given.set(name, paints)
  const known = of.solved.get(id)
  if (known) return known
  const { materials } = furnish(of.given, given.get(name)!)
  const made = {
    painted: painted(
      of.model,
      materials.map(({ reflectance }) => reflectance),
    ),
    parts: materials.map(({ parts }) => (parts.length > 0 ? parts.map(bandsOfReflectance) : null)),
  }
  if (of.solved.size >= MOST_SOLVED) of.solved.delete(of.solved.keys().next().value!)
  of.solved.set(id, made)
  return made
}

function mapFor({ view, width, height }: ShowRequest): PictureMap {
  const key = `${view} ${width} ${height}`
  const known = maps.get(key)
  if (known) return known
  const inView = built.map((each): RoomInView => {
    const doors = each.given.doors.filter(({ opensTo }) => opensTo !== null)
    const windows = each.given.room.windows.length
    return {
      model: each.model,
      offset: each === built[0] ? [0, 0, 0] : offsetOf(built[0]!, each),
      beyond: each.model.scene.openings.map((_, o) => {
        if (o < windows || each !== built[0]) return null
        const next = built.findIndex(({ id }) => id === doors[o - windows]?.opensTo)
        return next > 0 ? next : null
      }),
      patterns: each.furnished.materials.map(({ pattern }) => pattern),
    }
  })
  const views = viewpointsOf(built[0]!.model.scene)
  const made = mapOf(inView, views[view % views.length]!, width, height)
  if (maps.size >= MOST_MAPS) maps.delete(maps.keys().next().value!)
  maps.set(key, made)
  return made
}

/** Where the middle of a room beyond a doorway lies: the doorway of one is that of the other. */
function offsetOf(here: Built, there: Built): readonly [number, number, number] {
  const middleOf = (of: Built, to: Built) => {
    const doorway = of.given.doors.find(({ opensTo }) => opensTo === to.id)
    if (!doorway) return null
    const middle = (doorway.lo[0] + doorway.hi[0]) / 2
    const [x, y] = [of.given.room.eastWestMm / 2, of.given.room.northSouthMm / 2]
    return {
      wall: doorway.wall,
      at: {
        east: [x, middle],
        west: [-x, middle],
        north: [middle, y],
        south: [middle, -y],
      }[doorway.wall] as [number, number],
    }
  }
  const own = middleOf(here, there)
  if (!own) return [0, 0, 0]
  // The room beyond lies on the other side of the wall, whichever of its own walls its door is said to be in.
  const [x, y] = [there.given.room.eastWestMm / 2, there.given.room.northSouthMm / 2]
  const out = { east: [x, 0], west: [-x, 0], north: [0, y], south: [0, -y] }[own.wall]
  return [own.at[0] + out[0]!, own.at[1] + out[1]!, 0]
}

function show(request: ShowRequest): void {
  const { id, paints, place, moment, step, withTable, over } = request
  const started = performance.now()
  const solved = built.map((each, n) => solvedWith(each, paints[n]!.id, paints[n]!.paints))
  const solvedAt = performance.now()
  // The rooms beyond first: what they send through the door is part of this one's light.
  const lights: RoomAtMoment[] = solved.map((each) => lightRoom(each.painted, place, moment))
  const here = built[0]!
  const doors = here.given.doors.filter(({ opensTo }) => opensTo !== null)
  const windows = here.given.room.windows.length
  const beyond = here.model.scene.openings.map((_, o) => {
    const next = built.findIndex((each) => o >= windows && each.id === doors[o - windows]?.opensTo)
    return next > 0 ? sentTowards(built[next]!.model, lights[next]!) : null
  })
  if (beyond.some((bands) => bands !== null))
    lights[0] = lightRoom(solved[0]!.painted, place, moment, beyond)
  const litAt = performance.now()
  const picture = drawView(
    mapFor(request),
    lights.map((lit, n) => ({
      lit,
      materials: solved[n]!.painted.materials,
      parts: solved[n]!.parts,
    })),
    step,
  )
  const [lit] = lights as [RoomAtMoment]
  const shown = {
    id,
    shown: {
      picture,
      lux: lit.white[1],
      table: withTable ? surfacesSeen(here.model, lit) : null,
      walls: {
        ...wallsSeen(here.model, lit),
        swing: furthestApart(
          over.map((each) => wallsSeen(here.model, lightRoom(solved[0]!.painted, place, each)).ucs),
        ),
      },
      took: [solvedAt - started, litAt - solvedAt, performance.now() - litAt],
    },
  } satisfies RoomReply
  self.postMessage(shown, { transfer: [picture.pixels.buffer] })
}

const furthestApart = (colours: readonly Ucs[]): number =>
  Math.max(0, ...colours.flatMap((p, n) => colours.slice(n + 1).map((q) => ucsDifference(p, q))))

/** What a room sends through a door on the whole: as its walls send back what falls on them. */
const sentTowards = (model: RoomModel, { sent }: RoomAtMoment): Float64Array =>
  meanOnWalls(model, sent)

const reply = (message: RoomReply): void => self.postMessage(message)

self.addEventListener('message', ({ data }: MessageEvent<BuildRequest | ShowRequest>) => {
  try {
    if (data.task === 'build') build(data)
    else show(data)
  } catch (error) {
    reply({ id: data.id, failed: String(error) })
  }
})
