import { multiplied } from '../colour/cat16'
import { encodedByte, linearRgbFromXyzMatrix } from '../colour/srgb'
import { finiteAll } from '../check'
import { checkedPhoto, type PhotoBytes } from './pixels'
import type { ReadablePhoto } from './read-photo'
import { linearBehind } from './tone-curve'

/** The picture as daylight and a screen would show it: the camera's curve and balance taken out, the card as white as it is. */
export function correctedPicture(
  photo: PhotoBytes,
  { ways, tone }: Pick<ReadablePhoto, 'ways' | 'tone'>,
): PhotoBytes {
  const { bytes, width, height } = checkedPhoto(photo)
  const mean = Array.from(
    { length: 9 },
    (_, i) => ways.reduce((sum, { toXyz }) => sum + toXyz[i]!, 0) / ways.length,
  )
  const m = multiplied(linearRgbFromXyzMatrix(), mean)
  const linear = Float64Array.from({ length: 256 }, (_, byte) => linearBehind(tone, byte / 255))
  finiteAll(m, 'ways to read a photo')
  finiteAll(linear, 'a tone curve')
  const corrected = new Uint8ClampedArray(bytes.length)
  for (let at = 0; at < bytes.length; at += 4) {
    const [r, g, b] = [linear[bytes[at]!]!, linear[bytes[at + 1]!]!, linear[bytes[at + 2]!]!]
    for (let k = 0; k < 3; k++)
      corrected[at + k] = encodedByte(m[k * 3]! * r + m[k * 3 + 1]! * g + m[k * 3 + 2]! * b)
    corrected[at + 3] = bytes[at + 3]!
  }
  return { bytes: corrected, width, height }
}
