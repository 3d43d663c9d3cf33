'use client'

import { useRouter } from 'next/navigation'
import type { StepGroup } from './steps'

/** The steps of the work in one chooser, where there is no room for the spine. */
export function StepChooser({
  groups,
  next,
}: {
  readonly groups: readonly StepGroup[]
  /** The next useful step; null where one is at it. */
  readonly next: { readonly href: string; readonly words: string } | null
}) {
  const router = useRouter()
  const here = groups.flatMap(({ steps }) => steps).find((step) => step.here)
  return (
    <select
      aria-label="Step"
      className="min-w-0 flex-1 overflow-hidden border-l border-rule bg-paper px-2 text-ellipsis text-small font-medium sm:hidden"
      value={here?.href ?? ''}
      onChange={(event) => router.push(event.target.value)}
    >
      {!here && <option value="">Steps</option>}
      {next && <option value={next.href}>Next: {next.words}</option>}
      {groups.map(({ heading, steps }) => (
        <optgroup key={heading} label={heading}>
          {steps.map(({ href, word, done }) => (
            <option key={word} value={href}>
              {done ? `${word}: ${done}` : word}
            </option>
          ))}
        </optgroup>
      ))}
    </select>
  )
}
