'use client'

import { useSearchParams } from 'next/navigation'
import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react'
import { prepareLight, type PreparedLight } from '@/core/colour/appearance'
import { useSteady } from '../frame/use-steady'
import { lightFromAddress, lightToAddress, openingChoice } from '@/core/light/light-address'
import { dayByClock, type ZoneClock } from '@/core/light/zone-clock'
import { lightOf, type LightChoice, type RoomDay } from '@/core/light/light-choice'
import type { RoomLight } from '@/core/light/room-light'
import { Painter } from '../swatch/painter'
import { writeAddress } from '../frame/page-address'

/** The light of one choice. */
interface SeenLight {
  readonly choice: LightChoice
  /** Null when it is too dark to see a colour. */
  readonly light: RoomLight | null
  readonly prepared: PreparedLight | null
}

interface LightState extends SeenLight {
  readonly roomDay: RoomDay
  /** The day of the visit. */
  readonly visitDate: string
  readonly zone: ZoneClock
  /** Shows the room on another day, as 2026-06-21; what is wrong with it, or null. */
  readonly showDay: (date: string) => string | null
  /** Shows another light at once. */
  readonly show: (change: Partial<LightChoice>) => void
  /** Shows it and writes it into the address, so that it can be linked. */
  readonly settle: (change: Partial<LightChoice>) => void
}

// Words and figures wait until the handle has stood still for so long; swatches never wait.
const STILL_MS = 120

export const LightContext = createContext<LightState | null>(null)
export const MovingLightContext = createContext<SeenLight | null>(null)
/** The painter of what is under it; a part of a page may stand in a light of its own. */
export const PainterContext = createContext<Painter | null>(null)

/** The one light that every swatch of a page is seen in. */
export function LightProvider({
  roomDay: givenDay,
  zone: givenZone,
  children,
}: {
  readonly roomDay: RoomDay
  /** The clocks of the place. */
  readonly zone: ZoneClock
  readonly children: ReactNode
}) {
  const parameters = useSearchParams()
  // A page that was rendered anew for a change says the same light: nothing that hangs on it is worked out again.
  const visitDay = useSteady(givenDay)
  const zone = useSteady(givenZone)
  const [date, setDate] = useState(parameters.get('day'))
  const roomDay = useMemo(
    () => ({ ...visitDay, day: (date && dayByClock(zone, date)) || visitDay.day }),
    [visitDay, zone, date],
  )
  // Only what was asked for: the opening light changes when a room gets its first window.
  const [asked, setAsked] = useState(() =>
    lightFromAddress(Object.fromEntries(parameters), roomDay.day),
  )
  const opening = useMemo(
    () => openingChoice(roomDay.day, roomDay.room.windows.length > 0),
    [roomDay],
  )
  const choice = useMemo<LightChoice>(() => ({ ...opening, ...asked }), [opening, asked])
  const light = useMemo(() => lightOf(roomDay, choice), [roomDay, choice])
  const prepared = useMemo(
    () => (light ? prepareLight(light.spectrum, light.illuminanceLux) : null),
    [light],
  )
  const moving = useMemo<SeenLight>(() => ({ choice, light, prepared }), [choice, light, prepared])
  const [dragged, setDragged] = useState(false)
  const [atRest, setAtRest] = useState(moving)
  if (!dragged && atRest !== moving) setAtRest(moving)
  useEffect(() => {
    if (!dragged) return
    const still = setTimeout(() => setDragged(false), STILL_MS)
    return () => clearTimeout(still)
  }, [dragged, moving])
  const show = useCallback((change: Partial<LightChoice>) => {
    setAsked((before) => ({ ...before, ...change }))
    setDragged(true)
  }, [])
  // The address is written once a light is settled, never while it is dragged.
  const [settled, setSettled] = useState(0)
  const settle = useCallback((change: Partial<LightChoice>) => {
    setAsked((before) => ({ ...before, ...change }))
    setDragged(false)
    setSettled((times) => times + 1)
  }, [])
  const latest = useRef({ choice, day: roomDay.day })
  useEffect(() => {
    latest.current = { choice, day: roomDay.day }
  }, [choice, roomDay.day])
  useEffect(() => {
    if (settled > 0) writeAddress({ ...lightToAddress(latest.current.choice, latest.current.day) })
  }, [settled])
  const showDay = useCallback(
    (name: string): string | null => {
      if (!dayByClock(zone, name))
        return `Expected a date that exists, of ${zone.firstDate.slice(0, 4)} to ${zone.lastDate.slice(0, 4)} and as 2026-06-21, got “${name}”.`
      setDate(name)
      setSettled((times) => times + 1)
      return null
    },
    [zone],
  )
  const [painter] = useState(() => new Painter(prepared))
  useLayoutEffect(() => painter.show(prepared), [painter, prepared])
  const state = useMemo(
    () => ({
      roomDay,
      ...atRest,
      zone,
      visitDate: visitDay.day.date,
      showDay,
      show,
      settle,
    }),
    [roomDay, atRest, zone, visitDay.day.date, showDay, show, settle],
  )
  return (
    <PainterContext value={painter}>
      <LightContext value={state}>
        <MovingLightContext value={moving}>{children}</MovingLightContext>
      </LightContext>
    </PainterContext>
  )
}

/** Repaints swatches in the light of the page; the same all along, so that a swatch need not render to be relit. */
export function usePainter(): Painter {
  const painter = useContext(PainterContext)
  if (!painter) throw new Error('usePainter needs a LightProvider above it')
  return painter
}

/** The light of the page; while the bar is dragged it stands at where the drag began, or last paused. */
export function useLight(): LightState {
  const state = useContext(LightContext)
  if (!state) throw new Error('useLight needs a LightProvider above it')
  return state
}

/** The same at every frame of a drag, for what has to move along; a swatch has its painter. */
export function useMovingLight(): SeenLight {
  const light = useContext(MovingLightContext)
  if (!light) throw new Error('useMovingLight needs a LightProvider above it')
  return light
}
