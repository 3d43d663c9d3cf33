import type { Palette, PaletteReply, PaletteRequest } from './palette-protocol'

/** The card of a photo is none; the message says why. */
export class RefusedCard extends Error {
  override name = 'RefusedCard'
}

/**
 * The colours of a photo, found and read off the main thread. Aborting ends the worker at once.
 *
 * @returns null when it was cancelled
 * @throws RefusedCard where the card is none
 */
export function paletteInWorker(
  request: PaletteRequest,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<Palette | null> {
  const worker = new Worker(new URL('./palette.worker.ts', import.meta.url), { type: 'module' })
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
      if ('refused' in data) reject(new RefusedCard(data.refused))
      else resolve(data)
    })
    worker.postMessage(request)
  })
}
