'use client'

import { useSyncExternalStore } from 'react'
import { megabytesSaid } from '@/core/words'
import type { Answer, Command, KindName, PayloadOf } from '@/commands/kinds'
import { newId } from './new-id'
import { NOTHING_WAITS, Outbox, type OutboxState } from './outbox'
import { tellOtherPages } from './other-pages'
import { postWith, sendPhoto } from './post'
import { browserShelf, type OwnChange } from './shelf'

const shelf = browserShelf()
// Places of the changes that this very page made, and shows.
const shownHere = new Set<number>()

/** Whether this page made a change, by its place: other pages of the same browser made the others. */
export const isShownHere = (seq: number): boolean => shownHere.has(seq)
const outbox = new Outbox(
  postWith(shelf, (...asked) => fetch(...asked)),
  shelf,
  undefined,
  ({ payload }, seq, isTold) => {
    if (isTold) shownHere.add(seq)
    const { visitId } = payload as { readonly visitId?: unknown }
    if (typeof visitId === 'string') tellOtherPages(visitId)
  },
)

/**
 * Keeps a photo for the store.
 *
 * @returns what changes name it by: its hash, or, while no server answers, a name that is put right when they are sent;
 *   null where it is refused
 */
export async function keepPhoto(jpeg: Blob): Promise<string | null> {
  const sent = await sendPhoto(jpeg, fetch)
  if ('hash' in sent) return sent.hash
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

export const { dismiss: dismissRefused, tryAgain, letGo } = outbox

/** Whether a change of this page has no answer yet. */
export const isSending = (): boolean => outbox.now().waiting.length > 0

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
