import type { LightMoment } from '../core/light/room-light'
import type { Place } from '../core/light/sun-position'
import type { RoomPaints, RoomToFurnish } from '../core/room/furnish'
import { askThread } from './server-thread'

/** Pictures of a room to be drawn; cloneable. */
export interface RoomPicturesRequest {
  readonly room: RoomToFurnish
  readonly paints: RoomPaints
  readonly place: Place
  readonly moments: readonly LightMoment[]
  readonly width: number
  readonly height: number
}

const MOST_MS = 120_000

/** JPEGs of a room, drawn in a thread of its own while other pages answer. */
export const picturesOfRoom = (request: RoomPicturesRequest): Promise<readonly Uint8Array[]> =>
  askThread('./room-picture.worker.ts', request, MOST_MS)
