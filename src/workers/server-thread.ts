import { join } from 'node:path'
import type { Worker } from 'node:worker_threads'

/** A request as it is sent to a thread of the server. */
export interface Asked<Request> {
  readonly id: number
  readonly request: Request
}

export type Answered<Answer> =
  { readonly id: number; readonly answer: Answer } | { readonly id: number; readonly error: string }

/** A thread, and who waits for it. */
interface Held {
  readonly worker: Worker
  readonly waiting: Map<
    number,
    { readonly resolve: (answer: unknown) => void; readonly reject: (error: Error) => void }
  >
  next: number
}

// Modules are instantiated more than once in a server; of each thread there is one.
const global = globalThis as typeof globalThis & { elmThreads?: Map<string, Held> }
const threads = (): Map<string, Held> => (global.elmThreads ??= new Map())

function begin(runs: string): Held {
  // Its own file, run as it is. The builder would follow a plain `new Worker` and bundle what it runs.
  const { Worker: Thread } = process.getBuiltinModule('node:worker_threads')
  const worker = new Thread(join(process.cwd(), 'src', 'workers', 'thread-entry.mjs'), {
    workerData: { runs },
  })
  worker.unref()
  const made: Held = { worker, waiting: new Map(), next: 0 }
  worker.on('message', (said: Answered<unknown>) => {
    const asked = made.waiting.get(said.id)
    made.waiting.delete(said.id)
    if ('error' in said) asked?.reject(new Error(said.error))
    else asked?.resolve(said.answer)
  })
  const fail = (error: Error): void => {
    if (threads().get(runs) === made) threads().delete(runs)
    for (const { reject } of made.waiting.values()) reject(error)
    made.waiting.clear()
  }
  worker.on('error', fail)
  worker.on('exit', (code) => fail(new Error(`the thread of ${runs} ended with ${code}`)))
  threads().set(runs, made)
  return made
}

/**
 * Asks a thread of the server, which is begun where there is none; others are served meanwhile. One that takes longer is
 * ended, with all that waits for it.
 *
 * @param runs the file that answers there, beside this one (`answerInThread`)
 * @throws Error that says what the thread threw
 */
export async function askThread<Request, Answer>(
  runs: string,
  request: Request,
  mostMs: number,
): Promise<Answer> {
  const held = threads().get(runs) ?? begin(runs)
  const id = held.next++
  let timer: NodeJS.Timeout | undefined
  try {
    return await new Promise<Answer>((resolve, reject) => {
      held.waiting.set(id, { resolve: resolve as (answer: unknown) => void, reject })
      held.worker.postMessage({ id, request } satisfies Asked<Request>)
      timer = setTimeout(() => void held.worker.terminate(), mostMs)
    })
  } finally {
    clearTimeout(timer)
  }
}
