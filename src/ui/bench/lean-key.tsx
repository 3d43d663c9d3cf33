'use client'

import { isLeanOut, leanWords, type Lean } from '@/core/undertone/lean'
import { useChange } from '../record/use-change'

/** Takes the lean of the colour at hand out of the room, or in again; a colour without a lean has no such key. */
export function LeanKey({
  visitId,
  roomId,
  without,
  lean,
}: {
  readonly visitId: string
  readonly roomId: string
  /** Leans that are out of the room. */
  readonly without: readonly Lean[]
  readonly lean: Lean | null
}) {
  const { change, message } = useChange()
  if (!lean) return null
  const isOut = isLeanOut(without, lean)
  return (
    <span>
      {isOut && <span className="font-medium text-ink">No {leanWords(lean)} in this room. </span>}
      <button
        type="button"
        className="min-h-6 underline underline-offset-4 pointer-coarse:min-h-11"
        onClick={() =>
          void change(
            'rule-out-lean',
            { visitId, roomId, ...lean, out: !isOut },
            `${isOut ? 'Again' : 'No'} ${leanWords(lean)} in this room.`,
          )
        }
      >
        {isOut ? 'Bring back' : `No ${leanWords(lean)}`}
      </button>
      <span role="status" className="sr-only">
        {message}
      </span>
    </span>
  )
}
