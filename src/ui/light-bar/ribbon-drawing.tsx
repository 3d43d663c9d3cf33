import { memo } from 'react'
import type { Ribbon } from '@/core/light/ribbon'

const HEIGHT = 44
// Log scale from 1 lux at the foot to 10,000 at the top.
const DECADES = 4

/** A room's day as one line drawing: height is illuminance, hatching is direct sun. */
export const RibbonDrawing = memo(function RibbonDrawing({
  ribbon,
  lampsFrom,
}: {
  readonly ribbon: Ribbon
  /** Share of the width from which lamps are on, 0 to 1; null when they are off. */
  readonly lampsFrom: number | null
}) {
  const { steps } = ribbon
  const last = steps.length - 1
  const x = (i: number): number => (1000 * i) / last
  const y = (lux: number): number =>
    HEIGHT - (HEIGHT - 3) * Math.min(1, Math.log10(Math.max(1, lux)) / DECADES)
  const line = steps.map((step, i) => `${x(i).toFixed(1)},${y(step.illuminanceLux).toFixed(1)}`)
  return (
    <svg
      aria-hidden="true"
      viewBox={`0 0 1000 ${HEIGHT}`}
      preserveAspectRatio="none"
      className="absolute inset-0 h-full w-full"
    >
      <polygon points={`0,${HEIGHT} ${line.join(' ')} 1000,${HEIGHT}`} fill="#e4e4e4" />
      {steps.map((step, i) =>
        step.directSun ? (
          <line
            key={step.minute}
            x1={x(i)}
            x2={x(i)}
            y1={HEIGHT}
            y2={y(step.illuminanceLux)}
            stroke="#777777"
            strokeWidth="1"
            vectorEffect="non-scaling-stroke"
          />
        ) : null,
      )}
      <polyline
        points={line.join(' ')}
        fill="none"
        stroke="#111111"
        strokeWidth="1.5"
        vectorEffect="non-scaling-stroke"
      />
      {lampsFrom !== null && (
        <rect
          x={1000 * lampsFrom}
          y={HEIGHT - 4}
          width={1000 * (1 - lampsFrom)}
          height={4}
          fill="#111111"
        />
      )}
    </svg>
  )
})
