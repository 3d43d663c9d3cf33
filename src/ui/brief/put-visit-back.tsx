'use client'

import { useRouter } from 'next/navigation'
import { useChange } from '../record/use-change'

/** Offers a visit that was taken out back. */
export function PutVisitBack({
  visitId,
  words = 'The visit is out of the list; its record stays.',
}: {
  readonly visitId: string
  readonly words?: string
}) {
  const router = useRouter()
  const { change, busy, message } = useChange()
  async function putBack(): Promise<void> {
    const answer = await change('remove-visit', { visitId, removed: false })
    if (answer?.ok) router.replace('/')
  }
  return (
    <p role="status" className="flex items-center gap-4 text-small font-semibold">
      {message || words}
      <button
        type="button"
        className="min-h-11 underline underline-offset-4"
        disabled={busy}
        onClick={() => void putBack()}
      >
        Bring it back
      </button>
    </p>
  )
}
