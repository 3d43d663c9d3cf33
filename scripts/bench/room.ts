import { bandsOfReflectance } from '../../src/core/room/bands'
import { drawView } from '../../src/core/room/draw'
import { BRITAIN, GREYS, ROOMS } from '../../src/core/room/room-checks.fixture'
import { modelOf } from '../../src/core/room/model'
import { lightRoom, painted } from '../../src/core/room/moment'
import { sceneOf } from '../../src/core/room/scene'
import { mapOf } from '../../src/core/room/view'
import { viewpointsOf } from '../../src/core/room/viewpoints'
import { flatReflectance } from '../../src/core/colour/spectrum'

// What the room itself costs: solved once, solved anew for another paint, and a moment of a drag, as its worker does them.

const MOMENTS = 200
const MINUTES_APART = 4
const [WIDTH, HEIGHT] = [960, 560]
const COARSE = 4
const FROM = Date.UTC(2026, 5, 18, 4)

const at = (times: readonly number[], share: number): string =>
  times.toSorted((p, q) => p - q)[Math.floor(times.length * share)]!.toFixed(1)

function timed<T>(work: () => T): [value: T, ms: number] {
  const start = performance.now()
  const value = work()
  return [value, performance.now() - start]
}

for (const name of ['a furnished one', 'one with five windows', 'one of 3 by 20 m']) {
  const [room, furnished] = ROOMS[name]!
  const [model, solving] = timed(() => modelOf(sceneOf(room, furnished)))
  const [of, first] = timed(() => painted(model, GREYS))
  const again = [0.2, 0.4, 0.6, 0.7, 0.8].map(
    (share) => timed(() => painted(model, [flatReflectance(share), ...GREYS.slice(1)]))[1],
  )
  const rooms = [
    {
      ...{ model, offset: [0, 0, 0] as const, beyond: [] },
      patterns: GREYS.map(() => null),
    },
  ]
  const [map, mapping] = timed(() => mapOf(rooms, viewpointsOf(model.scene)[0]!, WIDTH, HEIGHT))
  const materials = GREYS.map(bandsOfReflectance)
  const lights: number[] = []
  const drags: number[] = []
  for (let n = 0; n < MOMENTS; n++) {
    const utcMs = FROM + n * MINUTES_APART * 60_000
    const [lit, ms] = timed(() =>
      lightRoom(of, BRITAIN, { utcMs, sky: 'clear', lampsOn: n % 2 === 0 }),
    )
    lights.push(ms)
    drags.push(
      ms +
        timed(() => drawView(map, [{ lit, materials, parts: GREYS.map(() => null) }], COARSE))[1],
    )
  }
  console.log(
    `${name} (${model.tiles.tiles.length} tiles, ${model.points.length} points): solved in ${solving.toFixed(0)} ms, painted in ${first.toFixed(0)} ms, ` +
      `another paint ${at(again, 0.5)} ms; a view ${mapping.toFixed(0)} ms; a moment ${at(lights, 0.5)} / ${at(lights, 0.95)} ms, ` +
      `with its picture while dragged ${at(drags, 0.5)} / ${at(drags, 0.95)} ms (median / 95th percentile, in the worker)`,
  )
}
