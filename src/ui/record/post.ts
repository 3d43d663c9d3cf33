import type { Answer, Command } from '@/commands/kinds'
import { answerOf } from './answer-of'
import type { Post, Unanswered } from './outbox'
import type { Shelf } from './shelf'

/** Said wherever no answer came. */
export const NO_ANSWER =
  'The server is not answering. This waits on this device and is sent as soon as it does.'

// Nobody is let in, another origin, too many at once, no room: none of it is a word on the change itself.
const WAITS = [401, 403, 404, 407, 408, 425, 429]

/** Whether a status says nothing of what was sent: then it waits. */
const isOfTheWay = (status: number): boolean => WAITS.includes(status) || status > 500

/** Sends changes, their photos first. */
export function postWith(shelf: Shelf, fetchIt: typeof fetch): Post {
  return async (command) => {
    const sent = await withPhotos(command)
    if ('unanswered' in sent) return sent
    const response = await fetchIt('/api/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(sent),
    }).catch(() => null)
    // An answer without words of ours is a server that is going down or coming up.
    const answer = (await response?.json().catch(() => null)) as Answer | null
    if (!response || typeof answer?.ok !== 'boolean') return { unanswered: NO_ANSWER }
    if (response.ok) return answer
    const unanswered: Unanswered = { unanswered: answer.ok ? NO_ANSWER : answer.message }
    return isOfTheWay(response.status) ? unanswered : { ...unanswered, failed: true }
  }

  /** The change with its photos by what they go by in the store, sent there first; or why they are not. */
  async function withPhotos(command: Command): Promise<Command | Unanswered> {
    let text = JSON.stringify(command)
    for (const [whole, name] of text.matchAll(WAITING_PHOTO)) {
      // A photo that this device cannot read just now is not gone.
      const photo = await shelf.photo(name!)
      const kept = photo instanceof Blob ? await sendPhoto(photo, fetchIt) : { hash: photo ?? null }
      if ('unanswered' in kept) return kept
      const { hash } = kept
      // A photo that is refused, or gone from this device, does not hold up what was seen. One that is sent and cannot be noted
      // is sent again with the next change that names it.
      if (photo instanceof Blob && hash !== null)
        await shelf.photoKept(name!, hash).catch(() => undefined)
      text = text.replaceAll(whole, JSON.stringify(hash))
    }
    return JSON.parse(text) as Command
  }
}

const WAITING_PHOTO = /"waiting:([0-9a-f-]{36})"/g

/** The photo's hash, null where it is refused; or why no answer came. */
export async function sendPhoto(
  jpeg: Blob,
  fetchIt: typeof fetch,
): Promise<{ readonly hash: string | null } | Unanswered> {
  const response = await fetchIt('/api/photos', { method: 'POST', body: jpeg }).catch(() => null)
  const answer = await answerOf('PhotoAnswer', response)
  if (!answer || !response || isOfTheWay(response.status)) return { unanswered: NO_ANSWER }
  if (!answer.ok && response.status === 500) return { unanswered: answer.message, failed: true }
  return { hash: answer.ok ? answer.hash : null }
}
