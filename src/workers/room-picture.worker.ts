import sharp from 'sharp'
import { bandsOfReflectance } from '../core/room/bands'
import { drawView } from '../core/room/draw'
import { furnish } from '../core/room/furnish'
import { modelOf } from '../core/room/model'
import { lightRoom, painted } from '../core/room/moment'
import { sceneOf } from '../core/room/scene'
import { mapOf } from '../core/room/view'
import { viewpointsOf } from '../core/room/viewpoints'
import { answerInThread } from './answer-in-thread'
import type { RoomPicturesRequest } from './room-picture-client'

// Drawn at twice the size and drawn together, its edges are smooth.
const FINER = 2
const QUALITY = 82

/** Pictures of one room at several moments, from where there is most to see. */
answerInThread(async ({ room, paints, place, moments, width, height }: RoomPicturesRequest) => {
  const { furnished, materials } = furnish(room, paints)
  const model = modelOf(sceneOf(room.room, furnished))
  const of = painted(
    model,
    materials.map(({ reflectance }) => reflectance),
  )
  const parts = materials.map((each) =>
    each.parts.length > 0 ? each.parts.map(bandsOfReflectance) : null,
  )
  const patterns = materials.map(({ pattern }) => pattern)
  const [view] = viewpointsOf(model.scene)
  const map = mapOf(
    [{ model, offset: [0, 0, 0], beyond: [], patterns }],
    view!,
    width * FINER,
    height * FINER,
  )
  const pictures: Uint8Array[] = []
  for (const moment of moments) {
    const lit = lightRoom(of, place, moment)
    const { pixels } = drawView(map, [{ lit, materials: of.materials, parts }])
    pictures.push(
      await sharp(Buffer.from(pixels.buffer), {
        raw: { width: map.width, height: map.height, channels: 4 },
      })
        .resize(width, height)
        .flatten()
        .jpeg({ quality: QUALITY })
        .toBuffer(),
    )
  }
  return pictures
})
