'use client'

import { useChange } from '../record/use-change'

/** What stands in a room of one kind, each with a way out. */
export function FittingList({
  visitId,
  what,
  fittings,
}: {
  readonly visitId: string
  readonly what: 'window' | 'lamp'
  readonly fittings: readonly { readonly id: string; readonly words: string }[]
}) {
  const { change, busy, message } = useChange()
  return (
    <>
      <ul className="my-2">
        {fittings.map(({ id, words }) => (
          <li
            key={id}
            className="flex items-center justify-between border-b border-rule text-small"
          >
            {words}
            <button
              type="button"
              disabled={busy}
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Take out the ${what}: ${words}`}
              onClick={() => void change('remove-fitting', { visitId, fittingId: id, what })}
            >
              Take out
            </button>
          </li>
        ))}
      </ul>
      {message && (
        <p role="status" className="text-small font-semibold">
          {message}
        </p>
      )}
    </>
  )
}
