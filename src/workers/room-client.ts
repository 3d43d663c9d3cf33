import type { RoomPaints } from '../core/room/furnish'
import type { BuildRequest, RoomReply, ShowRequest } from './room-protocol'

export type Shown = Extract<RoomReply, { shown: unknown }>['shown']
/** What is to be shown, with the paints of each room. */
export type ToShow = Omit<ShowRequest, 'task' | 'id' | 'paints'> & {
  readonly paints: readonly { readonly id: string; readonly paints: RoomPaints }[]
}
export type BuiltRoom = Extract<RoomReply, { built: unknown }>['built']

/** A room in a worker of its own: built once, then shown as often as asked; of the showings of one slot that wait only the last is made. */
export class RoomInWorker {
  private readonly worker = new Worker(new URL('./room.worker.ts', import.meta.url), {
    type: 'module',
  })
  private lastId = 0
  private busy = false
  /** Paints that the worker has: while the light is dragged they are not sent again. */
  private readonly given = new Map<string, RoomPaints>()
  /** What waits, by its slot. */
  private readonly waiting = new Map<number, () => void>()

  /** @throws Error that says what the worker threw */
  build(rooms: BuildRequest['rooms'], onProgress: (share: number) => void): Promise<BuiltRoom> {
    this.given.clear()
    return this.ask<BuiltRoom>({ task: 'build', id: ++this.lastId, rooms }, (reply) => {
      if ('done' in reply) onProgress(reply.done)
      return 'built' in reply ? reply.built : null
    })
  }

  /** Shows a room once the worker is free; a later request of the same slot takes the place of one that waits. */
  show(slot: number, request: ToShow, onShown: (shown: Shown) => void): void {
    this.waiting.delete(slot)
    this.waiting.set(slot, () => {
      this.busy = true
      const paints = request.paints.map(({ id, paints }, n) => {
        const isKnown = this.given.get(`${n} ${id}`) === paints
        this.given.set(`${n} ${id}`, paints)
        return { id, paints: isKnown ? null : paints }
      })
      void this.ask<Shown>({ ...request, paints, task: 'show', id: ++this.lastId }, (reply) =>
        'shown' in reply ? reply.shown : null,
      )
        .then(onShown, () => undefined)
        .finally(() => {
          this.busy = false
          this.go()
        })
    })
    this.go()
  }

  private go(): void {
    const next = this.waiting.entries().next().value
    if (this.busy || !next) return
    this.waiting.delete(next[0])
    next[1]()
  }

  end(): void {
    this.waiting.clear()
    this.worker.terminate()
  }

  private ask<T>(
    request: BuildRequest | ShowRequest,
    answer: (reply: Exclude<RoomReply, { failed: string }>) => T | null,
  ): Promise<T> {
    return new Promise((resolve, reject) => {
      const listening = new AbortController()
      const { signal } = listening
      this.worker.addEventListener(
        'message',
        ({ data }: MessageEvent<RoomReply>) => {
          if (data.id !== request.id) return
          if ('failed' in data) {
            listening.abort()
            reject(new Error(data.failed))
            return
          }
          const found = answer(data)
          if (found === null) return
          listening.abort()
          resolve(found)
        },
        { signal },
      )
      this.worker.addEventListener(
        'error',
        (event) => {
          listening.abort()
          reject(new Error(event.message))
        },
        { signal },
      )
      this.worker.postMessage(request)
    })
  }
}
