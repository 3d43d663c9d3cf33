import type { ScreenColour } from '@/core/colour/appearance'

const FILL = { width: 'calc(100% + 1px)', height: 'calc(100% + 1px)' }

/** One flat computed colour that fills its box; touching patches touch. */
export function Patch({
  colour,
  label,
  className = '',
}: {
  readonly colour: ScreenColour
  /** What a screen reader calls it; without one it is part of a control that has a name. */
  readonly label?: string | undefined
  readonly className?: string | undefined
}) {
  return (
    <span
      {...(label === undefined
        ? { 'aria-hidden': true }
        : {
            role: 'img',
            'aria-label': colour.inGamut ? label : `${label} (stronger than this screen can show)`,
          })}
      data-hex={colour.hex}
      className={`relative block ${className}`}
    >
      {/* A pixel over the edge: neighbours on fractions of a pixel would show the page between. */}
      <svg aria-hidden="true" className="absolute top-0 left-0" style={FILL}>
        <rect width="100%" height="100%" fill={colour.hex} />
        {colour.p3 && (
          <rect className="not-wide:hidden" width="100%" height="100%" fill={colour.p3} />
        )}
      </svg>
    </span>
  )
}

/** The mark beside a swatch that a screen cannot show. */
export function GamutMark({ colour }: { readonly colour: ScreenColour }) {
  return colour.inGamut ? null : (
    <span className={`text-fine text-dim ${colour.p3 ? 'wide:hidden' : ''}`}>
      stronger than this screen can show
    </span>
  )
}
