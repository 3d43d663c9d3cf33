import sharp from 'sharp'
import { cleanPhoto } from './photo'

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#b99a82' } })

test('a photo is scaled down, turned upright and stripped of place and camera', async () => {
  const taken = await picture(3000, 1500)
    .withExif({
      IFD0: { Make: 'Invented camera', Orientation: '6' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '52/1 24/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer()
  const clean = await cleanPhoto(taken)
  if (!clean.ok) throw new Error(clean.message)
  expect([clean.photo.widthPx, clean.photo.heightPx]).toEqual([1024, 2048])
  const { exif, xmp, icc, orientation, format } = await sharp(clean.photo.jpeg).metadata()
  expect([exif, xmp, icc, orientation]).toEqual([undefined, undefined, undefined, undefined])
  expect(format).toBe('jpeg')
  const { channels } = await sharp(clean.photo.jpeg).stats()
  // The colour itself stays, as far as JPEG keeps one: #b99a82.
  channels.forEach(({ mean }, i) => expect(Math.abs(mean - [185, 154, 130][i]!)).toBeLessThan(1.5))
})

test.each([
  ['not an image', async () => Buffer.from('hello'), /whole JPEG, PNG or WebP/],
  [
    'an SVG',
    async () => Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'),
    /got svg/,
  ],
  ['a GIF', () => picture(9, 9).gif().toBuffer(), /got gif/],
  [
    'a truncated JPEG',
    async () => (await picture(900, 900).jpeg().toBuffer()).subarray(0, 900),
    /whole JPEG/,
  ],
  [
    'a header that says 200 megapixels',
    async () => {
      const png = await picture(9, 9).png().toBuffer()
      png.writeUInt32BE(20_000, 16)
      png.writeUInt32BE(10_000, 20)
      return png
    },
    /at most 60 megapixels|whole JPEG/,
  ],
])('%s is refused in words', async (_, bytes, message) => {
  const clean = await cleanPhoto(await bytes())
  expect(clean.ok).toBe(false)
  expect(!clean.ok && clean.message).toMatch(message)
})
