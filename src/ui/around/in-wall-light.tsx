'use client'

import { useMemo, type ReactNode } from 'react'
import { prepareLight, type PreparedLight } from '@/core/colour/appearance'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import type { WallName } from '@/core/light/walls'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { InLight } from '../swatch/in-light'

function preparedAt(roomDay: RoomDay, choice: LightChoice, wall: WallName): PreparedLight | null {
  const light = lightOf(roomDay, { ...choice, spot: `${wall}-middle` })
  return light && prepareLight(light.spectrum, light.illuminanceLux)
}

/** The light of the page as it falls on one wall, at rest. */
export function useWallLight(wall: WallName): PreparedLight | null {
  const { roomDay, choice } = useLight()
  return useMemo(() => preparedAt(roomDay, choice, wall), [roomDay, choice, wall])
}

/** Swatches in here stand in the light that falls on one wall, frame by frame. */
export function InWallLight({
  wall,
  children,
}: {
  readonly wall: WallName
  readonly children: ReactNode
}) {
  const { roomDay } = useLight()
  const { choice } = useMovingLight()
  const prepared = useMemo(() => preparedAt(roomDay, choice, wall), [roomDay, choice, wall])
  return <InLight light={prepared}>{children}</InLight>
}
