import type {
  OpenRequest,
  PracticeReply,
  PracticeScore,
  QuestionRequest,
  ScoreRequest,
} from './practice-protocol'
import type { Question } from '@/core/practice/question'

type Told<K extends string> = Extract<PracticeReply, { readonly [key in K]: unknown }>

/** Makes questions and counts answers off the main thread, until it is ended. */
export class PracticeWorker {
  private readonly worker = new Worker(new URL('./practice.worker.ts', import.meta.url), {
    type: 'module',
  })
  private readonly waiting = new Map<
    number,
    { readonly resolve: (reply: never) => void; readonly reject: (error: Error) => void }
  >()
  private last = 0

  constructor() {
    this.worker.addEventListener('message', ({ data }: MessageEvent<PracticeReply>) => {
      const asked = this.waiting.get(data.id)
      this.waiting.delete(data.id)
      if ('failed' in data) asked?.reject(new Error(data.failed))
      else asked?.resolve(data as never)
    })
    this.worker.addEventListener('error', () => {
      for (const { reject } of this.waiting.values()) reject(new Error('the worker failed'))
      this.waiting.clear()
    })
  }

  /** @returns whether questions are of one's own paints, which may be too few */
  async open(request: Omit<OpenRequest, 'id' | 'task'>): Promise<boolean> {
    return (await this.ask<Told<'opened'>>({ ...request, task: 'open' })).opened.isOwn
  }

  async question(
    request: Omit<QuestionRequest, 'id' | 'task'>,
  ): Promise<{ readonly question: Question | null; readonly isAgain: boolean }> {
    return this.ask<Told<'question'>>({ ...request, task: 'question' })
  }

  async score(request: Omit<ScoreRequest, 'id' | 'task'>): Promise<PracticeScore> {
    return (await this.ask<Told<'score'>>({ ...request, task: 'score' })).score
  }

  end(): void {
    this.worker.terminate()
  }

  private ask<T>(
    request: Omit<OpenRequest, 'id'> | Omit<QuestionRequest, 'id'> | Omit<ScoreRequest, 'id'>,
  ): Promise<T> {
    const id = ++this.last
    return new Promise<T>((resolve, reject) => {
      this.waiting.set(id, { resolve, reject })
      this.worker.postMessage({ ...request, id })
    })
  }
}
