import type { Ref } from 'react'
import type { ScreenColour } from '@/core/colour/appearance'
import { changeAttribute } from './painter'

const FILL = { width: 'calc(100% + 1px)', height: 'calc(100% + 1px)' }

/** What a screen reader hears of a colour that the screen cannot show. */
export const patchLabel = (label: string, { inGamut }: ScreenColour): string =>
  inGamut ? label : `${label} (stronger than this screen can show)`

/** One flat computed colour that fills its box; touching patches touch. */
export function Patch({
  colour,
  label,
  className = '',
  ref,
}: {
  readonly colour: ScreenColour
  /** What a screen reader calls it; without one it is part of a control that has a name. */
  readonly label?: string | undefined
  readonly className?: string | undefined
  readonly ref?: Ref<HTMLSpanElement>
}) {
  return (
    <span
      ref={ref}
      {...(label === undefined
        ? { 'aria-hidden': true }
        : { role: 'img', 'aria-label': patchLabel(label, colour) })}
      data-hex={colour.hex}
      className={`relative block ${className}`}
    >
      {/* A pixel over the edge: neighbours on fractions of a pixel would show the page between. */}
      <svg aria-hidden="true" className="absolute top-0 left-0" style={FILL}>
        <rect width="100%" height="100%" fill={colour.hex} />
        <rect className="not-wide:hidden" width="100%" height="100%" fill={colour.p3 ?? 'none'} />
      </svg>
    </span>
  )
}

/** Shows another colour in a patch that is on the page, without rendering it anew. */
export function repaint(patch: HTMLElement, colour: ScreenColour, label: string | undefined): void {
  const [screen, wide] = patch.firstElementChild!.children
  changeAttribute(patch, 'data-hex', colour.hex)
  changeAttribute(screen!, 'fill', colour.hex)
  changeAttribute(wide!, 'fill', colour.p3 ?? 'none')
  if (label !== undefined) changeAttribute(patch, 'aria-label', patchLabel(label, colour))
}

/** The mark beside a swatch that a screen cannot show. */
export function GamutMark({ colour }: { readonly colour: ScreenColour }) {
  return colour.inGamut ? null : (
    <span className={`text-fine text-dim ${colour.p3 ? 'wide:hidden' : ''}`}>
      stronger than this screen can show
    </span>
  )
}
