import type { ScreenColour } from '@/core/colour/appearance'

/** One flat computed colour that fills its box; touching patches touch. */
export function Patch({
  colour,
  label,
  className = '',
}: {
  readonly colour: ScreenColour
  readonly label: string
  readonly className?: string
}) {
  return (
    <svg
      role="img"
      aria-label={colour.inGamut ? label : `${label} (stronger than this screen can show)`}
      data-hex={colour.hex}
      className={`block ${className}`}
      preserveAspectRatio="none"
      shapeRendering="crispEdges"
    >
      <rect width="100%" height="100%" fill={colour.hex} />
    </svg>
  )
}

/** The mark beside a swatch that a screen cannot show. */
export function GamutMark({ colour }: { readonly colour: ScreenColour }) {
  return colour.inGamut ? null : (
    <span className="text-fine text-lead">stronger than this screen can show</span>
  )
}
