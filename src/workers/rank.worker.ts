import { prepareLight } from '@/core/colour/appearance'
import { happyMedium } from '@/core/ranking/best-compromise'
import { bestFirst, fitToRoom } from '@/core/ranking/rank'
import { heldBack } from '@/core/advice/room-advice'
import { lightOf } from '@/core/light/light-choice'
import type { RankReply, RankRequest } from './rank-protocol'

addEventListener('message', ({ data }: MessageEvent<RankRequest>) => {
  const lights = data.lights.flatMap((choice) => {
    const light = lightOf(data.roomDay, choice)
    return light ? [{ light: prepareLight(light.spectrum, light.illuminanceLux), weight: 1 }] : []
  })
  const fit = fitToRoom(data.rows, lights, data.finishes)
  const against = heldBack(data.rows, data.room, data.rules)
  const reply: RankReply = {
    id: data.id,
    order: bestFirst(fit, against),
    worst: fit.worst,
    worstFinish: fit.worstFinish,
    worstLight: fit.worstLight,
    against,
    happyMedium: happyMedium(data.rows, lights, data.finishes, fit, against),
  }
  postMessage(reply)
})
