import type { PhotoReply, PhotoRequest } from './photo-protocol'

/** Decodes a photo and scales it down, off the main thread; null where it is no photo that can be decoded. */
export function drawInWorker(request: PhotoRequest): Promise<PhotoReply> {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' })
  return new Promise((resolve) => {
    const end = (reply: PhotoReply): void => {
      worker.terminate()
      resolve(reply)
    }
    worker.addEventListener('error', () => end(null))
    worker.addEventListener('message', ({ data }: MessageEvent<PhotoReply>) => end(data))
    worker.postMessage(request)
  })
}
