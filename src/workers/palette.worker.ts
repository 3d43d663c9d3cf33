import { paletteOf } from '@/core/photo/palette'
import type { PaletteReply, PaletteRequest } from './palette-protocol'

addEventListener('message', ({ data: { id, pixels } }: MessageEvent<PaletteRequest>) => {
  const say = (reply: PaletteReply): void => postMessage(reply)
  say({ id, colours: paletteOf(pixels, (done) => say({ id, done })) })
})
