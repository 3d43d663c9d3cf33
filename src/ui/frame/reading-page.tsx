import type { ReactNode } from 'react'

/** A page to read or fill in: scrolls by itself, one measure wide, or as wide as a form in columns needs. */
export function ReadingPage({
  wide = false,
  children,
}: {
  readonly wide?: boolean
  readonly children: ReactNode
}) {
  return (
    <main className="relative min-h-0 flex-1 overflow-y-auto print:overflow-visible">
      <div
        className={`mx-auto px-6 py-6 print:max-w-none print:p-0 ${wide ? 'max-w-6xl' : 'max-w-4xl'}`}
      >
        {children}
      </div>
    </main>
  )
}
