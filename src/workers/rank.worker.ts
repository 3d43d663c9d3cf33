import { prepareLight } from '@/core/colour/appearance'
import { fitToRoom } from '@/core/judge/rank'
import { lightOf } from '@/core/light/light-choice'
import type { RankReply, RankRequest } from './rank-protocol'

addEventListener('message', ({ data }: MessageEvent<RankRequest>) => {
  const lights = data.lights.flatMap((choice) => {
    const light = lightOf(data.roomDay, choice)
    return light ? [{ light: prepareLight(light.spectrum, light.illuminanceLux), weight: 1 }] : []
  })
  const { order, worst, worstFinish, worstLight } = fitToRoom(data.rows, lights, data.finishes)
  const reply: RankReply = { id: data.id, order, worst, worstFinish, worstLight }
  postMessage(reply)
})
