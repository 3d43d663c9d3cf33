import type { ReactNode } from 'react'

/** The model's inner figures, for who asks. */
export function Figures({
  of,
  children,
}: {
  /** What they are of, where that is not plain. */
  readonly of?: string
  readonly children: ReactNode
}) {
  return (
    <details className="text-fine text-dim">
      <summary className="min-h-6 content-center">Figures{of && `: ${of}`}</summary>
      {children}
    </details>
  )
}
