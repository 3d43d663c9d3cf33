import type { PhotoReply, PhotoRequest } from './photo-protocol'

const say = (reply: PhotoReply, transfer: Transferable[] = []): void =>
  postMessage(reply, { transfer })

addEventListener('message', ({ data }: MessageEvent<PhotoRequest>) => {
  void drawn(data).catch(() => say(null))
})

async function drawn({ file, width, height }: PhotoRequest): Promise<void> {
  const whole = await createImageBitmap(file)
  const canvas = new OffscreenCanvas(width, height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  context.imageSmoothingQuality = 'high'
  context.drawImage(whole, 0, 0, width, height)
  whole.close()
  const { data: bytes } = context.getImageData(0, 0, width, height)
  const image = canvas.transferToImageBitmap()
  say({ image, photo: { bytes, width, height } }, [image, bytes.buffer])
}
