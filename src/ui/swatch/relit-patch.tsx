'use client'

import { memo, useLayoutEffect, useRef } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { usePainter } from '../light-bar/light-context'
import { colourIn } from './painter'
import { Patch, repaint } from './patch'

/** A surface in the light of the page. It is repainted by the page's painter, frame by frame, not rendered. */
export const RelitPatch = memo(function RelitPatch({
  reflectance,
  label,
  className,
}: {
  readonly reflectance: Reflectance
  readonly label?: string
  readonly className?: string
}) {
  const painter = usePainter()
  const patch = useRef<HTMLSpanElement>(null)
  // After every render, for what is on the page may be of another light than what was rendered.
  useLayoutEffect(() =>
    painter.watch((light) => repaint(patch.current!, colourIn(light, reflectance), label)),
  )
  return (
    <Patch ref={patch} colour={painter.colourOf(reflectance)} label={label} className={className} />
  )
})
