import { clockTime, minuteAtClockTime, type LocalDay } from './day-clock'
import { LIGHT_SOURCES, type LightChoice, type LightSource } from './light-choice'
import { SKIES, type Sky } from './sky'
import { ALL_WALLS, SPOT_NAMES, type SpotName } from './spot'

/** The parts of an address that name a light: light=room, day=2026-12-21, at=17:30, sky=clear, lamps=on. */
export type LightAddress = Readonly<
  Record<'light' | 'day' | 'at' | 'sky' | 'lamps' | 'spot', string>
>

/** Where a day opens: noon under a clear sky, or under the lamps where there is no window. */
export function openingChoice(day: LocalDay, hasWindows: boolean): LightChoice {
  return {
    source: hasWindows ? 'room' : 'lamps',
    minute: minuteAtClockTime(day, '12:00') ?? 720,
    sky: 'clear',
    lampsOn: false,
    spot: ALL_WALLS,
  }
}

/** Reads what an address says of the light; leaves out what is missing or makes no sense. */
export function lightFromAddress(
  { light, at, sky, lamps, spot }: Partial<LightAddress>,
  day: LocalDay,
): Partial<LightChoice> {
  const minute = at === undefined ? null : minuteAtClockTime(day, at)
  return {
    ...(LIGHT_SOURCES.includes(light as LightSource) && { source: light as LightSource }),
    ...(minute !== null && { minute }),
    ...(SKIES.includes(sky as Sky) && { sky: sky as Sky }),
    ...(lamps !== undefined && { lampsOn: lamps === 'on' }),
    ...(SPOT_NAMES.includes(spot as SpotName) && { spot: spot as SpotName }),
  }
}

export function lightToAddress(choice: LightChoice, day: LocalDay): LightAddress {
  return {
    light: choice.source,
    day: day.date,
    at: clockTime(day, choice.minute),
    sky: choice.sky,
    lamps: choice.lampsOn ? 'on' : 'off',
    spot: choice.spot,
  }
}
