import type { RankedDeck, RankReply, RankRequest } from './rank-protocol'

let worker: Worker | null = null
let latest = 0

/**
 * Ranks in the worker. Aborting ends the worker at once; the next ranking begins another.
 *
 * @returns null when it was cancelled, or a later request has made it out of date
 */
export function rankInWorker(
  request: Omit<RankRequest, 'id'>,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<RankedDeck | null> {
  worker ??= new Worker(new URL('./rank.worker.ts', import.meta.url), { type: 'module' })
  const id = ++latest
  const own = worker
  return new Promise((resolve, reject) => {
    const done = new AbortController()
    function end(): void {
      own.terminate()
      if (worker === own) worker = null
      done.abort()
    }
    own.addEventListener(
      'message',
      ({ data }: MessageEvent<RankReply>) => {
        if (data.id !== id) return
        if ('done' in data) return onProgress(data.done)
        done.abort()
        resolve(id === latest ? data : null)
      },
      { signal: done.signal },
    )
    own.addEventListener(
      'error',
      () => {
        end()
        reject(new Error('the ranking stopped'))
      },
      { signal: done.signal },
    )
    signal.addEventListener(
      'abort',
      () => {
        end()
        resolve(null)
      },
      { signal: done.signal },
    )
    own.postMessage({ ...request, id })
  })
}
