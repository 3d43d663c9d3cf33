import type { DeckMapping } from '@/core/deck/deck-mapping'
import type { LineError } from '@/core/deck/deck-file'
import type { Mended } from '@/core/deck/deck-file'
import type { DeckColour } from '@/formats/read-deck'
import type { DeckFileReply, DeckFileRequest, OpenedFile, ReadFile } from './deck-file-protocol'

type Answer = Exclude<DeckFileReply, { done: number }>
type AskFor<R> = R extends { readonly id: number } ? Omit<R, 'id'> : never

/** One file of colours in a worker of its own, off the main thread; ended, it is gone with whatever it was doing. */
export class DeckFile {
  private readonly worker = new Worker(new URL('./deck-file.worker.ts', import.meta.url), {
    type: 'module',
  })
  private lastId = 0

  end(): void {
    this.worker.terminate()
  }

  /** @returns the file as it is, or what is wrong with it as a whole */
  async open(
    bytes: Uint8Array<ArrayBuffer>,
  ): Promise<{ readonly opened: OpenedFile } | { readonly refused: readonly LineError[] }> {
    const answer = await this.ask({ open: bytes }, [bytes.buffer])
    if ('opened' in answer || 'refused' in answer) return answer
    throw new Error('the file was not opened')
  }

  /** Reads every line; a later reading makes this one out of date, and it never answers. */
  async read(
    mapping: DeckMapping,
    { lines, leftOut }: Mended,
    onProgress: (done: number) => void,
  ): Promise<ReadFile> {
    const answer = await this.ask(
      { read: mapping, mended: [...lines], leftOut: [...leftOut] },
      [],
      onProgress,
    )
    if ('readFile' in answer) return answer.readFile
    throw new Error('the file was not read')
  }

  /** Colours of the last reading. */
  async colours(from: number, count: number): Promise<readonly DeckColour[]> {
    const answer = await this.ask({ from, count })
    if ('colours' in answer) return answer.colours
    throw new Error('the colours were not had')
  }

  private ask(
    request: AskFor<DeckFileRequest>,
    transfer: Transferable[] = [],
    onProgress: (done: number) => void = () => undefined,
  ): Promise<Answer> {
    const id = ++this.lastId
    return new Promise((resolve, reject) => {
      const listening = new AbortController()
      const { signal } = listening
      this.worker.addEventListener(
        'message',
        ({ data }: MessageEvent<DeckFileReply>) => {
          if (data.id !== id) return
          if ('done' in data) return onProgress(data.done)
          listening.abort()
          resolve(data)
        },
        { signal },
      )
      this.worker.addEventListener(
        'error',
        () => {
          listening.abort()
          reject(new Error('the file could not be read'))
        },
        { signal },
      )
      this.worker.postMessage({ ...request, id }, { transfer })
    })
  }
}
