import { paletteOf } from '@/core/photo/palette'
import { usablePixels } from '@/core/photo/pixels'
import type { PaletteReply, PaletteRequest } from './palette-protocol'

addEventListener('message', ({ data: { photo, card } }: MessageEvent<PaletteRequest>) => {
  const say = (reply: PaletteReply): void => postMessage(reply)
  const { pixels, ...unused } = usablePixels(photo, card)
  say({ colours: paletteOf(pixels, (done) => say({ done })), ...unused })
})
