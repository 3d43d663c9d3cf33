/** A small circle with a tick where each window faces; north is up. */
export function CompassTick({ bearingsDeg }: { readonly bearingsDeg: readonly number[] }) {
  return (
    <svg
      aria-hidden="true"
      viewBox="-10 -10 20 20"
      className="size-5 shrink-0"
      fill="none"
      stroke="currentColor"
    >
      <circle r="6" strokeWidth="1" />
      {bearingsDeg.map((bearing, i) => (
        <line key={i} y1="-3.5" y2="-9.5" strokeWidth="3" transform={`rotate(${bearing})`} />
      ))}
    </svg>
  )
}
