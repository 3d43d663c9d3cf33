/** One to three notches: how well founded a verdict is. */
export function Notches({ count }: { readonly count: 1 | 2 | 3 }) {
  return (
    <svg aria-hidden="true" viewBox="0 0 17 12" className="h-3 w-4 shrink-0">
      {[0, 1, 2].map((i) => (
        <rect
          key={i}
          x={i * 6}
          y={i < count ? 0 : 9}
          width="3"
          height={i < count ? 12 : 3}
          fill="currentColor"
        />
      ))}
    </svg>
  )
}
