import { parentPort } from 'node:worker_threads'
import type { Answered, Asked } from './server-thread'

/** Answers what is asked of this thread (`askThread`). */
export function answerInThread<Request, Answer>(
  answer: (request: Request) => Answer | Promise<Answer>,
): void {
  const say = (said: Answered<Answer>): void => parentPort!.postMessage(said)
  parentPort!.on('message', ({ id, request }: Asked<Request>) => {
    // From a promise on: what is thrown at once is told as well.
    Promise.resolve(request)
      .then(answer)
      .then(
        (given) => say({ id, answer: given }),
        (error: unknown) => say({ id, error: String(error) }),
      )
  })
}
