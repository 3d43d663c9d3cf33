'use client'

import { useLayoutEffect, useState, type ReactNode } from 'react'
import { Painter } from '../swatch/painter'
import {
  LightContext,
  MovingLightContext,
  PainterContext,
  useLight,
  useMovingLight,
} from './light-context'

/** While it is held, what is in here keeps the light that it had: nobody sees it, and no frame is spent on it. */
export function HeldLight({
  held,
  children,
}: {
  readonly held: boolean
  readonly children: ReactNode
}) {
  const now = { state: useLight(), moving: useMovingLight() }
  const [kept, setKept] = useState(now)
  if (!held && (kept.state !== now.state || kept.moving !== now.moving)) setKept(now)
  const { state, moving } = held ? kept : now
  const [painter] = useState(() => new Painter(moving.prepared))
  useLayoutEffect(() => painter.show(moving.prepared), [painter, moving])
  return (
    <PainterContext value={painter}>
      <LightContext value={state}>
        <MovingLightContext value={moving}>{children}</MovingLightContext>
      </LightContext>
    </PainterContext>
  )
}
