/** A part of a page that is there when it is asked for. */
export function Fold({
  title,
  children,
}: {
  readonly title: string
  readonly children: React.ReactNode
}) {
  return (
    <details className="border-b border-rule">
      <summary className="min-h-11 content-center text-small">{title}</summary>
      <section aria-label={title} className="pb-3">
        {children}
      </section>
    </details>
  )
}
