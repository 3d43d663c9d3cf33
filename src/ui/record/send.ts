'use client'

import { useSyncExternalStore } from 'react'
import type { Answer, Command, KindName, PayloadOf } from '@/commands/kinds'
import { newId } from './new-id'
import { Outbox, type OutboxState } from './outbox'

const outbox = new Outbox(async (command) => {
  const answer = await fetch('/api/commands', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(command),
  }).catch(() => null)
  // An answer without words of ours is a server that is going down or coming up.
  return (await answer?.json().catch(() => null)) ?? null
})

if (typeof window !== 'undefined') {
  window.addEventListener('online', outbox.retry)
  // What has no answer yet would be lost with the page.
  window.addEventListener('beforeunload', (event) => {
    if (outbox.now().waiting.length > 0) event.preventDefault()
  })
}

const EMPTY: OutboxState = { waiting: [], trouble: false }

/** What waits for its answer. */
export const useOutbox = (): OutboxState =>
  useSyncExternalStore(outbox.subscribe, outbox.now, () => EMPTY)

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

/** Said wherever no answer came. */
export const NO_ANSWER =
  'The server does not answer. This waits here and is sent again until it does; keep the page open.'
