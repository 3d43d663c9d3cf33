import { eyeAdaptedTo, UCS_VIEWING } from '../colour/appearance'
import { cam16, ucsOf, type Ucs } from '../colour/cam16'
import { multiply } from '../colour/cat16'
import type { Xyz } from '../colour/spectrum'
import { isWallName } from '../light/walls'
import { undertoneWords } from '../undertone/hue-name'
import { leaning } from '../undertone/undertone'
import { EVEN_BANDS, ROOM_BANDS, xyzReflected } from './bands'
import { meanOnWalls, type RoomAtMoment } from './moment'
import type { RoomModel } from './model'

/** A surface of a room as it is seen at a moment, in words and figures. */
export interface SurfaceSeen {
  readonly name: string
  readonly lux: number
  /** "light; leans yellow, towards green". */
  readonly words: string
}

/** Lightnesses J′ from which a surface is called so. */
const LIGHT_FROM: readonly (readonly [from: number, words: string])[] = [
  [92, 'very light'],
  [78, 'light'],
  [55, 'of middle depth'],
  [35, 'dark'],
]

/** CAM16-UCS of an X, Y, Z in lux to an eye adapted to a room's white. */
function seenInRoom(xyz: Xyz, white: Xyz): Ucs {
  const scale = 100 / Math.max(0.1, white[1])
  const relative = (v: Xyz): Xyz => [v[0] * scale, v[1] * scale, v[2] * scale]
  const { toD65 } = eyeAdaptedTo(relative(white), Math.max(0.1, white[1]))
  return ucsOf(cam16(multiply(toD65, relative(xyz)), UCS_VIEWING))
}

function colourWords(xyz: Xyz, white: Xyz): string {
  const [j, a, b] = seenInRoom(xyz, white)
  const share = xyz[1] / Math.max(0.1, white[1])
  const [, a0, b0] = seenInRoom([white[0] * share, white[1] * share, white[2] * share], white)
  const light = LIGHT_FROM.find(([from]) => j >= from)?.[1] ?? 'very dark'
  return `${light}; ${undertoneWords(leaning(j, a - a0, b - b0))}`
}

/** The painted walls of a room on the whole. */
export interface WallsSeen {
  readonly lux: number
  readonly words: string
  /** CAM16-UCS to an eye adapted to the room. */
  readonly ucs: Ucs
}

/** How the walls look on the whole, where the sun's own patch is not. */
export function wallsSeen(model: RoomModel, { sent, white }: RoomAtMoment): WallsSeen {
  const xyz = xyzReflected(EVEN_BANDS, meanOnWalls(model, sent))
  return { lux: white[1], words: colourWords(xyz, white), ucs: seenInRoom(xyz, white) }
}

/** Every surface of a room with what falls on it and how it looks on the whole, the room's own first. */
export function surfacesSeen(
  { scene, tiles }: RoomModel,
  { fallen, sent, white }: RoomAtMoment,
): SurfaceSeen[] {
  const names = new Set(scene.surfaces.filter(({ of }) => of !== 'zone').map(({ name }) => name))
  return [...names].map((name) => {
    const [light, back] = [new Float64Array(ROOM_BANDS), new Float64Array(ROOM_BANDS)]
    let area = 0
    tiles.tiles.forEach(({ surface, areaM2 }, i) => {
      if (scene.surfaces[surface]!.name !== name) return
      area += areaM2
      for (let b = 0; b < ROOM_BANDS; b++) {
        light[b]! += areaM2 * fallen[i * ROOM_BANDS + b]!
        back[b]! += areaM2 * sent[i * ROOM_BANDS + b]!
      }
    })
    const mean = (sums: Float64Array): Xyz =>
      xyzReflected(
        EVEN_BANDS,
        sums.map((sum) => (area > 0 ? sum / area : 0)),
      )
    return {
      name: isWallName(name) ? `${name} wall` : name,
      lux: mean(light)[1],
      words: colourWords(mean(back), white),
    }
  })
}
