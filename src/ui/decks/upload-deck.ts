import type { Answer } from '@/commands/kinds'
import type { DeckFile } from '@/workers/deck-file-client'
import { newId } from '../record/new-id'
import { send } from '../record/send'

/** Who made a deck, what it is called, and the untinted white base. */
export interface DeckHead {
  readonly maker: string
  readonly name: string
  readonly baseL: string
  readonly baseA: string
  readonly baseB: string
}

export interface UploadAnswer {
  readonly ok: boolean
  readonly fields?: Readonly<Record<string, string>>
  readonly message?: string
}

// So many colours go at a time: a second's work for the server, and a step of the bar.
const AT_A_TIME = 1000

const NOTHING_CAME: UploadAnswer = {
  ok: false,
  message: 'The server did not answer; nothing was imported. Send it again.',
}
export const STOPPED: UploadAnswer = { ok: false, message: 'Stopped; nothing was imported.' }

async function post(address: string, body: unknown, signal: AbortSignal): Promise<UploadAnswer> {
  const response = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    signal,
  }).catch(() => null)
  return ((await response?.json().catch(() => null)) as UploadAnswer | null) ?? NOTHING_CAME
}

/** Sends a file's colours some at a time, then opens the deck; stopped or refused, nothing of it stays. */
export async function uploadDeck(
  head: DeckHead,
  file: DeckFile,
  count: number,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<UploadAnswer> {
  const deckId = newId()
  const discard = (): Promise<unknown> =>
    fetch(`/api/decks/import/${deckId}`, { method: 'DELETE', keepalive: true }).catch(() => null)
  const giveUp = async (answer: UploadAnswer): Promise<UploadAnswer> => {
    await discard()
    return signal.aborted ? STOPPED : answer
  }
  // A page that is closed sends no more: what it sent makes way.
  const closed = new AbortController()
  addEventListener('pagehide', () => void discard(), { signal: closed.signal })
  try {
    return await sendAll()
  } finally {
    closed.abort()
  }

  async function sendAll(): Promise<UploadAnswer> {
    const begun = await post('/api/decks/import', { deckId, ...head }, signal)
    // Where no answer came it may have begun all the same: a page that is left loses its requests before it hears that it is.
    if (!begun.ok) return begun === NOTHING_CAME || signal.aborted ? giveUp(begun) : begun
    for (let from = 0; from < count; from += AT_A_TIME) {
      onProgress(from / count)
      const colours = (await file.colours(from, AT_A_TIME)).map((colour) => ({
        code: colour.code,
        name: colour.name,
        strip: colour.strip,
        base: colour.base,
        reading: colour.reading,
        printedLrvPercent: colour.printedLrvPercent,
        sheens: colour.sheens,
        mayBeRefused: colour.mayBeRefused,
      }))
      const added = await post(`/api/decks/import/${deckId}`, { colours }, signal)
      if (!added.ok) return giveUp(added)
    }
    const opened: Answer = await send('open-deck', {
      deckId,
      maker: head.maker.trim(),
      name: head.name.trim(),
      colours: count,
    })
    return opened.ok ? { ok: true } : giveUp(opened)
  }
}
