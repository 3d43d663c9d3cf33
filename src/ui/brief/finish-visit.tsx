'use client'

import type { FormAction } from '../form/action-result'
import { useActionForm } from '../form/use-action-form'

/** Marks a visit finished, or opens it again. */
export function FinishVisit({
  id,
  finished,
  action,
}: {
  readonly id: string
  readonly finished: boolean
  readonly action: FormAction
}) {
  const { onSubmit, pending } = useActionForm(action)
  return (
    <form onSubmit={onSubmit}>
      <input type="hidden" name="id" value={id} />
      <input type="hidden" name="finished" value={finished ? 'no' : 'yes'} />
      <button type="submit" className="key" disabled={pending}>
        {finished ? 'Open the visit again' : 'Mark the visit finished'}
      </button>
    </form>
  )
}
