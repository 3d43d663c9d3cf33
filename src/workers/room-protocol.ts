import type { LightMoment } from '../core/light/room-light'
import type { Place } from '../core/light/sun-position'
import type { FurnishedRoom, RoomPaints, RoomToFurnish } from '../core/room/furnish'
import type { WallsOverDay } from '../core/room/what-if'
import type { Picture } from '../core/room/draw'
import type { SurfaceSeen } from '../core/room/seen-table'

/** The rooms that are in view, the one that is looked at first; `opensTo` of their doors names another by `id`. */
export interface BuildRequest {
  readonly task: 'build'
  readonly id: number
  readonly rooms: readonly (RoomToFurnish & { readonly id: string })[]
}

/** What is to be shown of the rooms that were built last. */
export interface ShowRequest {
  readonly task: 'show'
  readonly id: number
  /** By room; null for a set that the worker was given before, which is not solved again. */
  readonly paints: readonly { readonly id: string; readonly paints: RoomPaints | null }[]
  readonly place: Place
  readonly moment: LightMoment
  readonly view: number
  readonly width: number
  readonly height: number
  /** Takes every so many pixels: more while the light is dragged. */
  readonly step: number
  /** Whether the table is wanted too. */
  readonly withTable: boolean
  /** Moments of the day over which the walls' colour is followed; none where nobody asks. */
  readonly over: readonly LightMoment[]
}

export type RoomReply =
  | { readonly id: number; readonly done: number }
  | {
      readonly id: number
      readonly built: {
        readonly views: readonly string[]
        readonly leftOut: readonly string[]
        readonly standing: FurnishedRoom['standing']
      }
    }
  | {
      readonly id: number
      readonly shown: {
        readonly picture: Picture
        readonly lux: number
        readonly table: readonly SurfaceSeen[] | null
        readonly walls: WallsOverDay
        /** What it took, milliseconds: paints, light, picture. */
        readonly took: readonly [paints: number, light: number, picture: number]
      }
    }
  | { readonly id: number; readonly failed: string }
