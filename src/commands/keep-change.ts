import { isConnection } from '../db/db'
import { diskWords } from '../store/disk'
import type { Store } from '../store/store'
import { apply } from './apply'
import type { Answer } from './kinds'

/** A change cannot be kept just now, and may be later; says why. It is not refused: sent again, it is the same change. */
export class NotNowError extends Error {
  override name = 'NotNowError'
}

/**
 * Makes a change and returns once it is safe from a power cut.
 *
 * @throws NotNowError when the disk does not take it
 */
export async function keepChange(store: Store, sent: unknown, receivedAt: string): Promise<Answer> {
  const why = await store.refusesNow(JSON.stringify(sent)?.length ?? 0)
  if (why !== null) throw new NotNowError(why)
  const answer = await apply(store.db, sent, receivedAt).catch((error: unknown) => {
    if (isConnection(error)) throw new NotNowError('The database server does not answer.')
    throw error
  })
  try {
    if (answer.ok) await store.settle()
  } catch (error) {
    throw new NotNowError(diskWords(error))
  }
  return answer
}
