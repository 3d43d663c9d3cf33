'use client'

import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts'
import type { ScorePoint } from '@/core/practice/score'

const INK = '#111111'
const DIM = '#5c5c5c'
const RULE = '#d2d2d2'
const TICKS = [0.125, 0.25, 0.5, 1, 2, 4, 8]

/** A score over time: the line itself with a dot a point, its bounds thin and dashed. */
export function ScoreChart({ points }: { readonly points: readonly ScorePoint[] }) {
  const shown = points.map((point) => ({ ...point }))
  const bounds = { stroke: DIM, strokeWidth: 1, strokeDasharray: '4 3', dot: false } as const
  const last = points.at(-1)!
  return (
    <figure
      className="h-64 w-full"
      role="img"
      aria-label={`After ${last.answered} answers ${last.times.toFixed(2)} times the start, ${last.low.toFixed(2)} to ${last.high.toFixed(2)}.`}
    >
      <ResponsiveContainer>
        <LineChart
          data={shown}
          margin={{ top: 8, right: 24, bottom: 20, left: 8 }}
          accessibilityLayer={false}
        >
          <CartesianGrid vertical={false} stroke={RULE} />
          <XAxis
            dataKey="answered"
            type="number"
            domain={[0, 'dataMax']}
            stroke={DIM}
            fontSize={12}
            label={{
              value: 'answers',
              position: 'insideBottom',
              offset: -12,
              fontSize: 12,
              fill: DIM,
            }}
          />
          <YAxis
            scale="log"
            domain={[TICKS[0]!, TICKS.at(-1)!]}
            ticks={TICKS}
            allowDataOverflow
            stroke={DIM}
            fontSize={12}
            width={72}
            tickFormatter={(tick: number) => `× ${tick}`}
          />
          <ReferenceLine y={1} stroke={INK} strokeDasharray="1 3" />
          <Line dataKey="high" isAnimationActive={false} {...bounds} />
          <Line dataKey="low" isAnimationActive={false} {...bounds} />
          <Line
            dataKey="times"
            isAnimationActive={false}
            stroke={INK}
            strokeWidth={2}
            dot={{ r: 3, fill: INK, stroke: INK }}
          />
        </LineChart>
      </ResponsiveContainer>
    </figure>
  )
}
