import type { PaletteColour } from '@/core/photo/palette'
import type { PaletteReply } from './palette-protocol'

let latest = 0

/**
 * The colours of a photo, found off the main thread. Aborting ends the worker at once.
 *
 * @returns null when it was cancelled
 */
export function paletteInWorker(
  pixels: Float32Array<ArrayBuffer>,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<readonly PaletteColour[] | null> {
  const worker = new Worker(new URL('./palette.worker.ts', import.meta.url), { type: 'module' })
  const id = ++latest
  return new Promise((resolve, reject) => {
    const end = (): void => worker.terminate()
    signal.addEventListener('abort', () => {
      end()
      resolve(null)
    })
    worker.addEventListener('error', () => {
      end()
      reject(new Error('the colours could not be found'))
    })
    worker.addEventListener('message', ({ data }: MessageEvent<PaletteReply>) => {
      if ('done' in data) return onProgress(data.done)
      end()
      resolve(data.colours)
    })
    worker.postMessage({ id, pixels }, [pixels.buffer])
  })
}
