import type { Blocks } from '@/core/ranking/what-blocks'
import type { BestOfColours } from '@/core/ranking/whole-ranking'
import type {
  FirstRanked,
  FoundColour,
  LikeRequest,
  NextRequest,
  RankRequest,
  StopRequest,
  WorkReply,
} from './rank-protocol'

/** Hears of a ranking as it comes; nothing any more once it was stopped, or a later one was asked for. */
export interface RankListener {
  /** How much is done, 0 to 1. */
  readonly onProgress: (done: number) => void
  readonly onFirst: (first: FirstRanked) => void
  readonly onWhole: (whole: BestOfColours) => void
  /** What blocks, where nothing works with all that stays. */
  readonly onBlocks: (blocks: Blocks) => void
  readonly onFailure: () => void
}

let worker: Worker | null = null
let lastId = 0
let ranking = 0

/** Answers to one request, until the answer says that there are no more; the answer ends the listening. */
function listen(
  id: number,
  onReply: (reply: Exclude<WorkReply, { failed: string }>) => 'more' | 'last',
  onFailure: () => void,
): { readonly own: Worker; readonly stop: () => void } {
  worker ??= new Worker(new URL('./rank.worker.ts', import.meta.url), { type: 'module' })
  const own = worker
  const listening = new AbortController()
  const { signal } = listening
  const stop = (): void => listening.abort()
  own.addEventListener(
    'message',
    ({ data }: MessageEvent<WorkReply>) => {
      if (data.id !== id) return
      if ('failed' in data) {
        stop()
        onFailure()
      } else if (onReply(data) === 'last') stop()
    },
    { signal },
  )
  own.addEventListener(
    'error',
    () => {
      stop()
      own.terminate()
      if (worker === own) worker = null
      onFailure()
    },
    { signal },
  )
  return { own, stop }
}

/** Ranks in the worker, which keeps the decks it has; the answer stops it. */
export function rankInWorker(
  request: Omit<RankRequest, 'id' | 'task'>,
  { onProgress, onFirst, onWhole, onBlocks, onFailure }: RankListener,
): () => void {
  const id = ++lastId
  ranking = id
  const { own, stop } = listen(
    id,
    (reply) => {
      if ('done' in reply) onProgress(reply.done)
      else if ('first' in reply) onFirst(reply.first)
      else if ('blocks' in reply) onBlocks(reply.blocks)
      else if ('whole' in reply) {
        onWhole(reply.whole)
        return 'last'
      }
      return 'more'
    },
    onFailure,
  )
  own.postMessage({ ...request, id, task: 'rank' } satisfies RankRequest)
  return () => {
    stop()
    if (ranking === id) own.postMessage({ task: 'stop' } satisfies StopRequest)
  }
}

/** Colours like one but for a wish, or to be fetched next; null where the worker failed. */
export function findInWorker(
  request: Omit<LikeRequest, 'id'> | Omit<NextRequest, 'id'>,
): Promise<readonly FoundColour[] | null> {
  const id = ++lastId
  return new Promise((resolve) => {
    const { own } = listen(
      id,
      (reply) => {
        if ('found' in reply) resolve(reply.found)
        return 'last'
      },
      () => resolve(null),
    )
    own.postMessage({ ...request, id })
  })
}
