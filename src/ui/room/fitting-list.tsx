'use client'

import { useChange } from '../record/use-change'

/** What stands in a room of one kind, each with a way to change it and a way out. */
export function FittingList({
  visitId,
  what,
  fittings,
  edited,
  onEdit,
}: {
  readonly visitId: string
  readonly what: 'window' | 'lamp'
  readonly fittings: readonly { readonly id: string; readonly words: string }[]
  readonly edited: string | null
  readonly onEdit: (id: string) => void
}) {
  const { change, busy, message } = useChange()
  return (
    <>
      <ul className="my-2">
        {fittings.map(({ id, words }) => (
          <li
            key={id}
            className={`flex items-center border-b border-rule text-small ${id === edited ? 'font-semibold' : ''}`}
          >
            <span className="flex-1 py-1">{words}</span>
            <button
              type="button"
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Change: ${words}`}
              aria-pressed={id === edited}
              onClick={() => onEdit(id)}
            >
              Change
            </button>
            <button
              type="button"
              disabled={busy}
              className="min-h-11 px-2 whitespace-nowrap underline underline-offset-4"
              aria-label={`Remove the ${what}: ${words}`}
              onClick={() => void change('remove-fitting', { visitId, fittingId: id, what })}
            >
              Remove
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
