'use client'

import { useRouter } from 'next/navigation'
import { useChange } from '../record/use-change'

/** Marks a visit finished, or opens it again; takes it out of the list. */
export function FinishVisit({
  visitId,
  finished,
}: {
  readonly visitId: string
  readonly finished: boolean
}) {
  const router = useRouter()
  const { change, busy, message } = useChange()
  async function takeOut(): Promise<void> {
    const answer = await change('remove-visit', { visitId, removed: true })
    if (answer?.ok) router.push(`/?out=${visitId}`)
  }
  return (
    <div className="flex flex-wrap items-center gap-3">
      <span role="status" className="text-small font-semibold">
        {message}
      </span>
      <button
        type="button"
        className="key"
        disabled={busy}
        onClick={() => void change('finish-visit', { visitId, finished: !finished })}
      >
        {finished ? 'Open the visit again' : 'Mark the visit finished'}
      </button>
      <button
        type="button"
        className="min-h-11 px-2 text-small underline underline-offset-4"
        disabled={busy}
        onClick={() => void takeOut()}
      >
        Remove the visit
      </button>
    </div>
  )
}
