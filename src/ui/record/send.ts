'use client'

import { useSyncExternalStore } from 'react'
import { megabytesSaid } from '@/core/words'
import type { Answer, Command, KindName, PayloadOf } from '@/commands/kinds'
import { answerOf } from './answer-of'
import { newId } from './new-id'
import { NOTHING_WAITS, Outbox, type OutboxState, type Unanswered } from './outbox'
import { browserShelf, type OwnChange } from './shelf'

const shelf = browserShelf()
const outbox = new Outbox(post, shelf)

/** Said wherever no answer came. */
export const NO_ANSWER =
  'The server does not answer. This waits on this device and is sent again until it does.'

async function post(command: Command): Promise<Answer | Unanswered> {
  const sent = await withPhotos(command)
  if (!sent) return { unanswered: NO_ANSWER }
  const response = await fetch('/api/commands', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(sent),
  }).catch(() => null)
  // An answer without words of ours is a server that is going down or coming up.
  const answer = (await response?.json().catch(() => null)) as Answer | null
  if (!response || !answer) return { unanswered: NO_ANSWER }
  // Not let in any more: it waits until somebody is again.
  if (response.status === 401) return { unanswered: answer.ok ? NO_ANSWER : answer.message }
  if (answer.ok || response.status < 500) return answer
  return { unanswered: answer.message, failed: response.status === 500 }
}

const WAITING_PHOTO = /"waiting:([0-9a-f-]{36})"/g

/** The change with its photos by what they go by in the store, sent there first; null while no server answers. */
async function withPhotos(command: Command): Promise<Command | null> {
  let text = JSON.stringify(command)
  for (const [whole, name] of text.matchAll(WAITING_PHOTO)) {
    const photo = await shelf.photo(name!).catch(() => undefined)
    const hash = photo instanceof Blob ? await sendPhoto(photo) : (photo ?? null)
    if (hash === undefined) return null
    // A photo that is refused, or gone from this device, does not hold up what was seen.
    if (photo instanceof Blob && hash !== null) await shelf.photoKept(name!, hash)
    text = text.replaceAll(whole, JSON.stringify(hash))
  }
  return JSON.parse(text) as Command
}

/** The photo's hash; null where it is refused, undefined where no server answers. */
async function sendPhoto(jpeg: Blob): Promise<string | null | undefined> {
  const response = await fetch('/api/photos', { method: 'POST', body: jpeg }).catch(() => null)
  const answer = await answerOf('PhotoAnswer', response)
  // Not let in, or failed at: it is no refusal of the photo.
  if (!answer || response?.status === 401 || (response?.status ?? 500) >= 500) return undefined
  return answer.ok ? answer.hash : null
}

/**
 * Keeps a photo for the store.
 *
 * @returns what changes name it by: its hash, or, while no server answers, a name that is put right when they are sent;
 *   null where it is refused
 */
export async function keepPhoto(jpeg: Blob): Promise<string | null> {
  const hash = await sendPhoto(jpeg)
  if (hash !== undefined) return hash
  const name = newId()
  return shelf.putPhoto(name, jpeg).then(
    () => `waiting:${name}`,
    () => null,
  )
}

if (typeof window !== 'undefined') {
  void outbox.takeUp()
  void watchRoom()
  window.addEventListener('online', outbox.retry)
  // What this device could not put on its shelf would be lost with the page.
  window.addEventListener('beforeunload', (event) => {
    const { waiting, unsafe } = outbox.now()
    if (waiting.length > 0 && unsafe !== null) event.preventDefault()
  })
}

// Said while there is still room for a visit's worth of photos.
const FULLEST = 0.8

/** Says it when what the browser lets this application keep is nearly used up. */
async function watchRoom(): Promise<void> {
  const { usage = 0, quota = Infinity } = (await navigator.storage?.estimate?.()) ?? {}
  if (usage < FULLEST * quota) return
  outbox.warn(
    `This browser lets Elm Swatch keep ${megabytesSaid(quota)}, and ${megabytesSaid(usage)} are used. Send what waits while there is a server; then let the browser forget other sites.`,
  )
}

/** Changes of a visit that were made with this browser and that a page rendered at a place may not know. */
export const ownChangesSince = (visitId: string, seq: number): Promise<readonly OwnChange[]> =>
  shelf.ownSince(visitId, seq).catch(() => [])

export const dismissRefused = outbox.dismiss

/** What waits for its answer. */
export const useOutbox = (): OutboxState =>
  useSyncExternalStore(outbox.subscribe, outbox.now, () => NOTHING_WAITS)

export const retryNow = outbox.retry

/** A change as this hand makes it now, on this device. */
export const commandOf = <K extends KindName>(kind: K, payload: PayloadOf<K>): Command<K> => ({
  id: newId(),
  kind,
  payload,
  actor: whoRecords(),
  device: thisDevice(),
  madeAt: new Date().toISOString(),
})

/** Makes a change; the answer comes once the store has it, or has refused it. */
export const send = <K extends KindName>(kind: K, payload: PayloadOf<K>): Promise<Answer> =>
  outbox.send(commandOf(kind, payload) as Command)

/** Makes a change that has its id already. */
export const sendCommand = (command: Command): Promise<Answer> => outbox.send(command)

const DEVICE = 'elm.device'

let who = 'Consultant'

/** The name that changes made here are kept under: the settings'. */
export const whoRecords = (): string => who

export function setWhoRecords(name: string): void {
  who = name
}

/** What this browser is told apart by. */
export function thisDevice(): string {
  const known = localStorage.getItem(DEVICE)
  if (known) return known
  const device = `browser ${newId().slice(0, 8)}`
  localStorage.setItem(DEVICE, device)
  return device
}
