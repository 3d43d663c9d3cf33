'use client'

import { useSearchParams } from 'next/navigation'
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react'
import { prepareLight, type PreparedLight } from '@/core/colour/appearance'
import { lightFromAddress, lightToAddress, openingChoice } from '@/core/light/light-address'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import type { RoomLight } from '@/core/light/room-light'

interface LightState {
  readonly roomDay: RoomDay
  readonly choice: LightChoice
  /** The light of the choice; null when it is too dark to see a colour. */
  readonly light: RoomLight | null
  readonly prepared: PreparedLight | null
  /** Shows another light at once. */
  readonly show: (change: Partial<LightChoice>) => void
  /** Shows it and writes it into the address, so that it can be linked. */
  readonly settle: (change: Partial<LightChoice>) => void
}

const LightContext = createContext<LightState | null>(null)

/** The one light that every swatch of a page is seen in. */
export function LightProvider({
  roomDay,
  children,
}: {
  readonly roomDay: RoomDay
  readonly children: ReactNode
}) {
  const parameters = useSearchParams()
  // Only what was asked for: the opening light changes when a room gets its first window.
  const [asked, setAsked] = useState(() =>
    lightFromAddress(Object.fromEntries(parameters), roomDay.day),
  )
  const choice = useMemo<LightChoice>(
    () => ({ ...openingChoice(roomDay.day, roomDay.room.windows.length > 0), ...asked }),
    [roomDay, asked],
  )
  const light = useMemo(() => lightOf(roomDay, choice), [roomDay, choice])
  const prepared = useMemo(
    () => (light ? prepareLight(light.spectrum, light.illuminanceLux) : null),
    [light],
  )
  const show = useCallback(
    (change: Partial<LightChoice>) => setAsked((before) => ({ ...before, ...change })),
    [],
  )
  const settle = useCallback(
    (change: Partial<LightChoice>) => {
      setAsked((before) => ({ ...before, ...change }))
      writeAddress(lightToAddress({ ...choice, ...change }, roomDay.day))
    },
    [choice, roomDay.day],
  )
  const state = useMemo(
    () => ({ roomDay, choice, light, prepared, show, settle }),
    [roomDay, choice, light, prepared, show, settle],
  )
  return <LightContext value={state}>{children}</LightContext>
}

export function useLight(): LightState {
  const state = useContext(LightContext)
  if (!state) throw new Error('useLight needs a LightProvider above it')
  return state
}

/** Changes some parameters of the address without a navigation. */
export function writeAddress(changes: Readonly<Record<string, string>>): void {
  const address = new URL(window.location.href)
  for (const [name, value] of Object.entries(changes)) address.searchParams.set(name, value)
  window.history.replaceState(null, '', address)
}
