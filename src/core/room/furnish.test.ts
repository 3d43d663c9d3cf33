import { flatReflectance } from '../colour/spectrum'
import { PLAIN_WINDOW, type LitRoom } from '../light/room'
import { doorsOf } from './doors'
import { furnish, type RoomPaints } from './furnish'
import type { StandingKeeper } from './usual-places'
import { latticesOf } from './lattice'
import type { RoomModel } from './model'
import { openingOf, pointOn, ROOM_FACES, sceneOf, type Scene } from './scene'
import { mapOf } from './view'
import { viewpointsOf } from './viewpoints'

const GREY = flatReflectance(0.5)
const PAINTS: RoomPaints = { walls: GREY, oneWall: null, ceiling: GREY, trim: GREY, doors: GREY }
const ROOM: LitRoom = {
  ...{ northSouthMm: 4000, eastWestMm: 3600, heightMm: 2500, lamps: [] },
  windows: [{ ...PLAIN_WINDOW, bearingDeg: 180 }],
}
const keeper = (id: string, change: Partial<StandingKeeper>): StandingKeeper => ({
  ...{ id, name: id, kind: 'cabinets', walls: [], placing: null },
  parts: [{ sharePercent: 100, reflectance: GREY }],
  ...change,
})
const KEEPERS = [
  keeper('boards', { kind: 'floor' }),
  keeper('cabinets', { walls: ['north'] }),
  keeper('slab', { kind: 'counter' }),
  keeper('tiles', { kind: 'tile', walls: ['north'] }),
  keeper('sofa', { kind: 'upholstery' }),
  keeper('rug', { kind: 'rug' }),
  keeper('rail', { kind: 'metal' }),
]
const built = (keepers = KEEPERS, paints = PAINTS, opensTo: readonly string[] = []) =>
  furnish({ room: ROOM, keepers, doors: doorsOf(ROOM, [], opensTo), featureWall: null }, paints)

test('things stand at their walls, clear of windows and doors, and on what they lie on', () => {
  const { furnished, standing } = built(KEEPERS, PAINTS, ['hall'])
  const body = (name: string) => furnished.bodies.find((each) => each.name === name)!
  expect(body('cabinets').hi[1]).toBe(2000)
  expect(body('slab').lo[2]).toBe(body('cabinets').hi[2])
  expect([body('slab').lo[0], body('slab').hi[0]]).toEqual([
    body('cabinets').lo[0],
    body('cabinets').hi[0],
  ])
  const { lo, hi, face } = openingOf(ROOM, ROOM.windows[0]!)
  expect(face).toBe('south')
  for (const { lo: from, hi: to } of furnished.bodies)
    if (from[1] <= -1999 && to[2] > lo[1]) expect(to[0] <= lo[0] || from[0] >= hi[0]).toBe(true)
  const [door] = furnished.doorways
  for (const { lo: from, hi: to } of furnished.bodies)
    if (door!.face === 'north' && to[1] >= 1999)
      expect(to[0] <= door!.lo[0] || from[0] >= door!.hi[0]).toBe(true)
  expect(standing.map(({ id }) => id).sort()).toEqual(['cabinets', 'rug', 'slab', 'sofa'])
})

test('what somebody has put somewhere stands there, cut to the room', () => {
  const placing = {
    ...{ eastMm: 1700, northMm: 0, widthMm: 800, depthMm: 500 },
    ...{ heightMm: 700, fromMm: 0 },
  }
  const { furnished } = built([keeper('chest', { kind: 'other', placing })])
  const scene = sceneOf(ROOM, furnished)
  expect(scene.bodies[0]).toMatchObject({ lo: [1300, -250, 0], hi: [1800, 250, 700] })
  // Its side at the wall does not show, nor what it stands on.
  expect(scene.surfaces.filter(({ of }) => of === 'body')).toHaveLength(4)
})

test('whatever the paints, materials have the same numbers; nothing is in it that is not in the room', () => {
  const white = flatReflectance(0.9)
  const other = built(KEEPERS, { ...PAINTS, walls: white, oneWall: white, floor: white })
  const names = (of: typeof other) => of.materials.map(({ name }) => name)
  expect(names(other)).toEqual(names(built()))
  expect(names(other)).toEqual([
    ...['walls', 'one wall', 'ceiling', 'trim', 'doors'],
    ...KEEPERS.map(({ name }) => name),
  ])
  expect(other.materials[names(other).indexOf('boards')]!.reflectance[0]).toBe(0.9)
})

test('a view shows each thing where it is, and the next room through an open door', () => {
  const { furnished, materials } = built(KEEPERS, PAINTS, ['hall'])
  // Of a model a view asks for no more than this.
  const drawn = (scene: Scene) => ({ scene, ...latticesOf(scene) }) as unknown as RoomModel
  const model = drawn(sceneOf(ROOM, furnished))
  const hall = drawn(sceneOf({ ...ROOM, windows: [] }, { ...built([]).furnished, doorways: [] }))
  const patterns = materials.map(({ pattern }) => pattern)
  const door = model.scene.openings.findIndex(({ window }) => window === null)
  const rooms = [
    {
      ...{ model, offset: [0, 0, 0] as const, patterns },
      beyond: model.scene.openings.map((_, o) => (o === door ? 1 : null)),
    },
    { model: hall, offset: [0, 4000, 0] as const, beyond: [], patterns: [] },
  ]
  const { face, lo, hi } = model.scene.openings[door]!
  const wall = model.scene.surfaces[ROOM_FACES.indexOf(face)]!
  const to = pointOn(wall, (lo[0] + hi[0]) / 2, 1000)
  const map = mapOf(rooms, { name: 'at the door', at: [0, 0, 1600], to }, 120, 80)
  expect(new Set(map.room)).toEqual(new Set([0, 1]))
  const seen = new Set(
    [...viewpointsOf(model.scene)].flatMap((each) => {
      const view = mapOf(rooms, each, 60, 40)
      return [...view.surface]
        .filter((_, pixel) => view.room[pixel] === 0)
        .map((s) => model.scene.surfaces[s]?.name)
    }),
  )
  for (const name of ['floor', 'ceiling', 'cabinets', 'slab', 'tiles']) expect(seen).toContain(name)
})
