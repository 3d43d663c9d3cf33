import type { RankReply, RankRequest } from './rank-protocol'

let worker: Worker | null = null
let latest = 0

/** Ranks in the worker; resolves to null when a later request has made this one out of date. */
export function rankInWorker(request: Omit<RankRequest, 'id'>): Promise<RankReply | null> {
  worker ??= new Worker(new URL('./rank.worker.ts', import.meta.url), { type: 'module' })
  const id = ++latest
  const own = worker
  return new Promise((resolve, reject) => {
    const done = new AbortController()
    own.addEventListener(
      'message',
      ({ data }: MessageEvent<RankReply>) => {
        if (data.id !== id) return
        done.abort()
        resolve(id === latest ? data : null)
      },
      { signal: done.signal },
    )
    own.addEventListener('error', () => reject(new Error('the ranking stopped')), {
      signal: done.signal,
    })
    own.postMessage({ ...request, id })
  })
}
