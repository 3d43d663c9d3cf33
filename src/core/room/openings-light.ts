import { CURTAINS, OPPOSITES } from '../light/fittings'
import { windowTransmittance, type LitRoom, type RoomWindow } from '../light/room'
import { profileDeg } from '../light/sky-vault'
import type { Vector } from '../light/spot'
import { viewOf } from '../light/window-light'
import { addTo, type Row } from './sparse'
import { pointOn, type Opening, type Scene } from './scene'
import { sees } from './rays'

/**
 * What of the daylight outside reaches a point of the room, before the hour is known: a share for each part of the sky and
 * for each thing that a window shows. Light at an hour is then a sum of products.
 */
export interface Daylit {
  /** Directions of the sky that are seen from somewhere in the room, by their part of the vault. */
  readonly directions: readonly SkyDirection[]
  /** A point's share of each direction: illuminance per luminance, steradians × cosine × glass. */
  readonly sky: readonly Row[]
  /** A point's share of what each opening shows besides the sky: as SHOWN, three an opening. */
  readonly shown: readonly Row[]
}

export interface SkyDirection {
  readonly altitudeDeg: number
  readonly azimuthDeg: number
}

/** Of an opening: the ground, the front opposite, and all of it where a curtain spreads the light. */
export const SHOWN = ['ground', 'opposite', 'glow'] as const

const RAD = Math.PI / 180
const RINGS = 9
const SECTORS = 36
const PANES = 4
// A pane nearer than so many of its own widths is cut again.
const CUT_WITHIN = 1.5
const MOST_CUTS = 3

/** A point that light falls on, and which way it faces. */
export interface Receiver {
  readonly at: Vector
  readonly normal: Vector
}

/** Follows every line from points of the room through its openings. */
export function daylitAt(scene: Scene, receivers: readonly Receiver[]): Daylit {
  const sky = receivers.map((): Row => new Map())
  const shown = receivers.map((): Row => new Map())
  scene.openings.forEach((opening, o) => {
    const { window } = opening
    if (!window) return
    const panes = panesOf(opening)
    receivers.forEach((receiver, r) => {
      const into = { sky: sky[r]!, shown: shown[r]!, first: o * SHOWN.length }
      for (const pane of panes) addPane(scene, { opening, window, receiver, pane }, MOST_CUTS, into)
    })
  })
  const used = [...new Set(sky.flatMap((row) => [...row.keys()]))].sort((p, q) => p - q)
  const numberOf = new Map(used.map((cell, n) => [cell, n]))
  return {
    shown,
    sky: sky.map((row) => new Map([...row].map(([cell, value]) => [numberOf.get(cell)!, value]))),
    directions: used.map((i) => ({
      altitudeDeg: ((Math.floor(i / SECTORS) + 0.5) * 90) / RINGS,
      azimuthDeg: ((i % SECTORS) + 0.5) * (360 / SECTORS),
    })),
  }
}

interface Into {
  readonly sky: Row
  readonly shown: Row
  /** Place of the opening's first among what is shown. */
  readonly first: number
}

/** A rectangle of an opening. */
interface Pane {
  readonly a: number
  readonly b: number
  readonly width: number
  readonly height: number
}

function panesOf({ lo, hi }: Opening): Pane[] {
  const [width, height] = [(hi[0] - lo[0]) / PANES, (hi[1] - lo[1]) / PANES]
  return Array.from({ length: PANES ** 2 }, (_pane, n) => ({
    ...{ width, height },
    a: lo[0] + width * ((n % PANES) + 0.5),
    b: lo[1] + height * (Math.floor(n / PANES) + 0.5),
  }))
}

interface Line {
  readonly opening: Opening
  readonly window: RoomWindow
  readonly receiver: Receiver
  readonly pane: Pane
}

function addPane(scene: Scene, line: Line, cuts: number, into: Into): void {
  const { opening, window, receiver, pane } = line
  const face = scene.surfaces.find(({ name, of }) => of === 'room' && name === opening.face)!
  const to = pointOn(face, pane.a, pane.b)
  const [x, y, z] = receiver.at
  const ray: Vector = [to[0] - x, to[1] - y, to[2] - z]
  const square = ray[0] ** 2 + ray[1] ** 2 + ray[2] ** 2
  const size = Math.max(pane.width, pane.height)
  if (cuts > 0 && square < (CUT_WITHIN * size) ** 2) {
    const half = { width: pane.width / 2, height: pane.height / 2 }
    for (const [u, v] of QUARTERS)
      addPane(
        scene,
        {
          ...line,
          pane: { ...half, a: pane.a + (u * pane.width) / 4, b: pane.b + (v * pane.height) / 4 },
        },
        cuts - 1,
        into,
      )
    return
  }
  const distance = Math.sqrt(square)
  const [nx, ny, nz] = receiver.normal
  const cosine = (ray[0] * nx + ray[1] * ny + ray[2] * nz) / distance
  const out = (-face.facing * ray[face.axis]) / distance
  if (cosine <= 0 || out <= 0 || !sees(scene, receiver.at, to)) return
  const weight =
    (cosine * out * pane.width * pane.height * windowTransmittance(window)) /
    Math.max(square, pane.width * pane.height)
  if (CURTAINS[window.curtain].diffuses) {
    addTo(into.shown, into.first + 2, weight / Math.PI)
    return
  }
  const altitudeDeg = Math.asin(ray[2] / distance) / RAD
  const azimuthDeg = (Math.atan2(ray[0], ray[1]) / RAD + (scene.room.northDeg ?? 0) + 360) % 360
  const { hiddenBelowDeg, hiddenAboveDeg } = viewOf(window)
  const profile = profileDeg(altitudeDeg, azimuthDeg, window.bearingDeg)
  // A pane that an edge goes through shows some of either side: no stripes of panes on the wall opposite.
  const heightDeg = Math.max(0.5, (pane.height / distance) * (out / RAD))
  const above = (edgeDeg: number, atDeg: number): number =>
    Math.min(1, Math.max(0, (atDeg - edgeDeg) / heightDeg + 0.5))
  const upwards = above(0, altitudeDeg)
  const isHidden = hiddenBelowDeg > 0 && OPPOSITES[window.opposite].lab !== null
  const over = isHidden ? Math.min(upwards, above(hiddenBelowDeg, profile)) : upwards
  const under =
    hiddenAboveDeg < 90 && window.pitchDeg === 90 ? 1 - above(hiddenAboveDeg, profile) : 1
  const ground = 1 - upwards
  if (ground > 0) addTo(into.shown, into.first, (ground * weight) / Math.PI)
  if (upwards > over) addTo(into.shown, into.first + 1, ((upwards - over) * weight) / Math.PI)
  const sky = Math.min(over, under) * weight
  if (sky > 0)
    addTo(
      into.sky,
      cellOf(Math.max(0, altitudeDeg), azimuthDeg),
      sky * tilted(scene.room, window, ray, distance),
    )
}

const QUARTERS = [
  [-1, -1],
  [1, -1],
  [-1, 1],
  [1, 1],
] as const

const cellOf = (altitudeDeg: number, azimuthDeg: number): number =>
  Math.min(RINGS - 1, Math.floor((altitudeDeg * RINGS) / 90)) * SECTORS +
  (Math.floor((azimuthDeg * SECTORS) / 360) % SECTORS)

const MOST_TILTED = 3

/**
 * A roof window is drawn flat in the ceiling; pitched, it takes in more of the light that comes flat on it, and less of
 * what comes from behind.
 */
export function tilted(
  { northDeg = 0 }: LitRoom,
  { pitchDeg, bearingDeg }: RoomWindow,
  [x, y, z]: Vector,
  length: number,
): number {
  if (pitchDeg >= 90) return 1
  const turn = (bearingDeg - northDeg) * RAD
  const out = (x * Math.sin(turn) + y * Math.cos(turn)) / length
  const on = (z / length) * Math.cos(pitchDeg * RAD) + out * Math.sin(pitchDeg * RAD)
  return Math.min(MOST_TILTED, Math.max(0, on / Math.max(0.05, z / length)))
}
