'use client'

import { useLayoutEffect, useState, type ReactNode } from 'react'
import type { PreparedLight } from '@/core/colour/appearance'
import { PainterContext } from '../light-bar/light-context'
import { Painter } from '../swatch/painter'

/** Swatches in here stand in a light of their own, whatever the page's is. */
export function InLight({
  light,
  children,
}: {
  readonly light: PreparedLight | null
  readonly children: ReactNode
}) {
  const [painter] = useState(() => new Painter(light))
  useLayoutEffect(() => painter.show(light), [painter, light])
  return <PainterContext value={painter}>{children}</PainterContext>
}
