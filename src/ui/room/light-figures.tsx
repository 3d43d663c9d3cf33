'use client'

import { daylightFactorPercent } from '@/core/light/daylight-factor'
import { useLight } from '../light-bar/light-context'
import { luxFigure } from '../light-bar/light-figures'

/** Where the light of the moment comes from, in figures. */
export function LightFigures() {
  const { light, roomDay } = useLight()
  if (!light) return null
  const { parts, illuminanceLux, cctK, duv, sun } = light
  const share = (lux: number): string => `${Math.round((100 * lux) / illuminanceLux)} %`
  const figures: readonly (readonly [string, string])[] = [
    ['At the spot', `${luxFigure(illuminanceLux)} lux`],
    ['Colour temperature', `${Math.round(cctK).toLocaleString('en-GB')} K`],
    ['Duv', `${duv >= 0 ? '+' : '−'}${Math.abs(duv).toFixed(4)}`],
    ['Daylight factor', `${daylightFactorPercent(roomDay.room).toFixed(1)} %`],
    ['Sky', share(parts.sky)],
    ['Sun, bounced once', share(parts.sun)],
    ['Ground and opposite', share(parts.ground)],
    ['Bounced inside', share(parts.bounce)],
    ['Lamps', share(parts.lamp)],
    [
      'Sun stands',
      sun.altitudeDeg > 0
        ? `${Math.round(sun.altitudeDeg)}° up, at ${Math.round(sun.azimuthDeg)}°`
        : 'below the horizon',
    ],
  ]
  return (
    <dl className="grid grid-cols-5 gap-x-4 gap-y-2 border-t border-ink pt-3 text-small tabular-nums max-sm:grid-cols-2">
      {figures.map(([name, value]) => (
        <div key={name}>
          <dt className="text-fine text-dim">{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  )
}
