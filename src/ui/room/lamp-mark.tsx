import type { LampPlace } from '@/core/light/fittings'

/** Where the lamps are, a mark each: in the middle what hangs, in the ceiling's corners spots, along a wall a strip. */
export function LampMark({
  place,
  at,
  of,
  room: { width, height },
}: {
  readonly place: LampPlace
  readonly at: number
  readonly of: number
  readonly room: { readonly width: number; readonly height: number }
}) {
  const aside = (at - (of - 1) / 2) * 12
  const mark = { fill: '#ffffff', stroke: '#111111' }
  switch (place) {
    case 'pendant':
      return <circle cx={aside} r="4" {...mark} />
    case 'table':
      return <circle cx={width / 2 - 10} cy={height / 2 - 10 - Math.abs(aside)} r="3" {...mark} />
    case 'downlights':
      return [-1, 1].flatMap((x) =>
        [-1, 1].map((y) => (
          <circle key={`${x} ${y}`} cx={(x * width) / 4} cy={(y * height) / 4} r="2" {...mark} />
        )),
      )
    case 'strip':
      return (
        <line
          x1={-width / 2 + 6}
          x2={width / 2 - 6}
          y1={-height / 2 + 5}
          y2={-height / 2 + 5}
          stroke="#111111"
          strokeDasharray="2 2"
        />
      )
  }
}
