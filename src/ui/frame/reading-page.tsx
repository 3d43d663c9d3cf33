import type { ReactNode } from 'react'

/** A page to read or fill in: scrolls by itself, one measure wide. */
export function ReadingPage({ children }: { readonly children: ReactNode }) {
  return (
    <main className="min-h-0 flex-1 overflow-y-auto print:overflow-visible">
      <div className="mx-auto max-w-4xl px-6 py-6 print:max-w-none print:p-0">{children}</div>
    </main>
  )
}
