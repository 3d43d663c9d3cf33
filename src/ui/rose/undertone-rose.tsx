'use client'

import { useLayoutEffect, useMemo, useRef } from 'react'
import { undertoneWords } from '@/core/undertone/hue-name'
import { useLight, usePainter } from '../light-bar/light-context'
import { changeAttribute, colourIn } from '../swatch/painter'
import { roseMarks, rosePlace, roseTrails, type Leaning, type RoseMark } from './rose-model'

const RIM = 100
// Where the names of the leans stand, degrees from pink-red towards yellow.
const NAMES = [
  ['pink', 0],
  ['orange', 55],
  ['yellow', 85],
  ['yellow-green', 112],
  ['green', 150],
  ['blue-green', 200],
  ['blue', 255],
  ['violet', 310],
] as const

/** Where everything in the room leans in this light: the white card in the middle, a mark a colour, its day as a trail. */
export function UndertoneRose({ things }: { readonly things: readonly Leaning[] }) {
  const { roomDay, choice, prepared } = useLight()
  const trails = useMemo(
    () => roseTrails(things, roomDay, choice.sky),
    [things, roomDay, choice.sky],
  )
  const marks = useMemo(
    () => (prepared ? roseMarks(things, prepared, trails) : []),
    [things, prepared, trails],
  )
  if (!prepared || things.length === 0) return null
  return (
    <section aria-label="Undertone rose">
      <h2 className="text-title">Where they lean</h2>
      <svg viewBox="-155 -122 310 244" className="w-full" role="presentation">
        <circle r={RIM} fill="none" stroke="#d2d2d2" />
        <circle r={RIM * Math.sqrt(3 / 24)} fill="none" stroke="#d2d2d2" strokeDasharray="2 3" />
        {NAMES.map(([name, deg]) => {
          const angle = (deg * Math.PI) / 180
          const [x, y] = [Math.cos(angle) * (RIM + 10), -Math.sin(angle) * (RIM + 10)]
          return (
            <text
              key={name}
              x={x}
              y={y}
              fontSize="9"
              fill="#5c5c5c"
              textAnchor={Math.abs(x) < 30 ? 'middle' : x > 0 ? 'start' : 'end'}
              dominantBaseline="central"
            >
              {name}
            </text>
          )
        })}
        <rect x="-4" y="-4" width="8" height="8" fill="#ffffff" stroke="#111111" />
        {marks.map((mark) => (
          <Mark key={mark.id} mark={mark} />
        ))}
      </svg>
      <p className="text-fine text-dim">
        Squares stay, rounds are candidates; within the ring a lean is slight.
      </p>
    </section>
  )
}

/** One colour on the rose; like a swatch it moves and is repainted frame by frame, and said anew at rest. */
function Mark({
  mark: { name, kind, reflectance, undertone, trail },
}: {
  readonly mark: RoseMark
}) {
  const painter = usePainter()
  const shape = useRef<SVGGElement>(null)
  useLayoutEffect(() =>
    painter.watch((light) => {
      if (!light || !shape.current) return
      const [x, y] = rosePlace(light, reflectance)
      changeAttribute(
        shape.current,
        'transform',
        `translate(${(x * RIM).toFixed(1)} ${(y * RIM).toFixed(1)})`,
      )
      changeAttribute(shape.current, 'fill', colourIn(light, reflectance).hex)
    }),
  )
  return (
    <g
      role="img"
      tabIndex={0}
      aria-label={`${name}: ${undertoneWords(undertone)}`}
      className="outline-offset-2"
    >
      <title>{`${name}: ${undertoneWords(undertone)}`}</title>
      <polyline
        points={trail.map(([x, y]) => `${x * RIM},${y * RIM}`).join(' ')}
        fill="none"
        stroke="#8c8c8c"
        strokeWidth="1"
      />
      <g ref={shape} stroke="#111111">
        {kind === 'keeper' ? (
          <rect x="-7" y="-7" width="14" height="14" />
        ) : (
          <circle r="7" strokeDasharray="3 2" />
        )}
      </g>
    </g>
  )
}
