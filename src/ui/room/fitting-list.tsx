'use client'

import type { FormAction } from '../form/action-result'
import { useActionForm } from '../form/use-action-form'

/** What stands in a room of one kind, each with a way out. */
export function FittingList({
  what,
  fittings,
  action,
}: {
  readonly what: 'window' | 'lamp'
  readonly fittings: readonly { readonly id: string; readonly words: string }[]
  readonly action: FormAction
}) {
  const { onSubmit, pending } = useActionForm(action)
  return (
    <ul className="my-2">
      {fittings.map(({ id, words }) => (
        <li key={id} className="flex items-center justify-between border-b border-rule text-small">
          {words}
          <form onSubmit={onSubmit}>
            <input type="hidden" name="id" value={id} />
            <input type="hidden" name="what" value={what} />
            <button
              type="submit"
              disabled={pending}
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Take out the ${what}: ${words}`}
            >
              Take out
            </button>
          </form>
        </li>
      ))}
    </ul>
  )
}
