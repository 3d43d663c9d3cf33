'use client'

import { useRouter } from 'next/navigation'
import type { Step } from './steps'

/** The steps of the work in one chooser, where there is no room for the spine. */
export function StepChooser({
  steps,
  next,
}: {
  readonly steps: readonly Step[]
  /** The next useful step; null where one is at it. */
  readonly next: { readonly href: string; readonly words: string } | null
}) {
  const router = useRouter()
  return (
    <select
      aria-label="Step"
      className="min-w-0 flex-1 overflow-hidden border-l border-rule bg-paper px-2 text-ellipsis text-small font-medium sm:hidden"
      value={steps.find(({ here }) => here)?.href ?? ''}
      onChange={(event) => router.push(event.target.value)}
    >
      {!steps.some(({ here }) => here) && <option value="">Steps</option>}
      {next && <option value={next.href}>Next: {next.words}</option>}
      {steps.map(({ href, word, done }) => (
        <option key={word} value={href}>
          {done ? `${word}: ${done}` : word}
        </option>
      ))}
    </select>
  )
}
