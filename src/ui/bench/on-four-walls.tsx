'use client'

import { useLayoutEffect, useMemo, useState, type ReactNode } from 'react'
import { inViewOf } from '@/core/colour/appearance'
import { fourWalls } from '@/core/colour/four-walls'
import type { Reflectance } from '@/core/colour/spectrum'
import { wallShare } from '@/core/light/room'
import { reflectancesOf } from '@/core/light/room-reflectance'
import { PainterContext, useLight, useMovingLight } from '../light-bar/light-context'
import { Painter } from '../swatch/painter'

/** What is under it, as it is once a colour is on all four walls: they light each other, and what stands before them, for an eye that stays with the window. */
export function OnFourWalls({
  reflectance,
  children,
}: {
  readonly reflectance: Reflectance
  readonly children: ReactNode
}) {
  const { roomDay } = useLight()
  const { light, prepared } = useMovingLight()
  const painted = useMemo(() => {
    if (!light || !prepared) return null
    const { room } = roomDay
    const { spectrum } = fourWalls(
      light.spectrum,
      light.illuminanceLux,
      reflectance,
      wallShare(room),
      reflectancesOf(room),
    )
    return inViewOf(prepared, spectrum)
  }, [light, prepared, roomDay, reflectance])
  const [painter] = useState(() => new Painter(painted))
  useLayoutEffect(() => painter.show(painted), [painter, painted])
  return <PainterContext value={painter}>{children}</PainterContext>
}
