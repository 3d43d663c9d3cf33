import { usableBlocks } from '@/core/photo/blocks'
import { CardError } from '@/core/photo/card'
import { paletteOf } from '@/core/photo/palette'
import { tappedSpot } from '@/core/photo/pixels'
import { colourOfShown, readablePhoto, shownOf } from '@/core/photo/read-photo'
import type { PaletteReply, PaletteRequest } from './palette-protocol'

const say = (reply: PaletteReply): void => postMessage(reply)

addEventListener('message', ({ data }: MessageEvent<PaletteRequest>) => {
  try {
    read(data)
  } catch (error) {
    if (!(error instanceof CardError)) throw error
    say({ refused: error.message })
  }
})

function read({ photo, light, card, shown, squares, unevenness }: PaletteRequest): void {
  const readable = readablePhoto(light, card, shown, unevenness)
  const white = squares[0]
  const { pixels, grain, ...lost } = usableBlocks(
    photo,
    white ? { squares, mean: tappedSpot(photo, white).mean } : null,
  )
  const colours = paletteOf(pixels, grain, (done) => say({ done })).map((colour) => ({
    ...colour,
    ...colourOfShown(readable, shownOf(colour.rgb)),
  }))
  say({ colours, readable, ...lost })
}
