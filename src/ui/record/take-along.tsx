'use client'

import { useEffect } from 'react'
import { answerOf } from './answer-of'

/** Whether pages of this address can be opened again without the server; not over plain http in a network. */
export const canBeTakenAlong = (): boolean =>
  typeof navigator !== 'undefined' && 'serviceWorker' in navigator && window.isSecureContext

/** Registers what stands in for the server, and has it take a visit along. */
export function TakeAlong({
  build,
  visitId,
}: {
  readonly build: string
  /** Null where a page is of no visit. */
  readonly visitId: string | null
}) {
  useEffect(() => {
    if (!canBeTakenAlong() || build === 'development') return
    void take(build, visitId)
  }, [build, visitId])
  return null
}

async function take(build: string, visitId: string | null): Promise<void> {
  const { serviceWorker } = navigator
  await serviceWorker.register(`/sw.js?build=${build}`).catch(() => undefined)
  if (!visitId) return
  const { active } = await serviceWorker.ready
  const room = /\/rooms\/([^/]+)/.exec(location.pathname)?.[1]
  const answer = await fetch(`/api/offline/visits/${visitId}${room ? `?room=${room}` : ''}`).catch(
    () => null,
  )
  const bundle = await answerOf('Bundle', answer)
  if (!bundle || !active) return
  const { port1, port2 } = new MessageChannel()
  const done = new Promise<boolean>((resolve) => {
    port1.onmessage = ({ data }: MessageEvent<{ taken: boolean }>) => resolve(data.taken)
  })
  active.postMessage({ visitId, ...bundle }, [port2])
  // What a browser clears when it needs room should not be the record of a visit.
  void navigator.storage.persist().catch(() => false)
  // Tests, and whoever wonders, can see that it is here.
  if (await done) document.documentElement.dataset.along = visitId
}
