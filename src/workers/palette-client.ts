import type { Palette, PaletteReply, PaletteRequest } from './palette-protocol'

/**
 * The colours of a photo, found off the main thread. Aborting ends the worker at once.
 *
 * @returns null when it was cancelled
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
      resolve(data)
    })
    worker.postMessage(request)
  })
}
