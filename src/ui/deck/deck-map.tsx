'use client'

import { Slider } from 'radix-ui'
import { useEffect, useRef } from 'react'
import { screenColour } from '@/core/colour/appearance'
import type { Reflectance } from '@/core/colour/spectrum'
import { useLight } from '../light-bar/light-context'
import type { Strip } from './deck-strips'

const ROW_PX = 6
const STILL_MS = 80

/** The whole deck in the light of the page, one column a strip; the bracket is what stands below. */
export function DeckMap({
  strips,
  reflectances,
  first,
  shown,
  onMove,
}: {
  readonly strips: readonly Strip[]
  readonly reflectances: readonly Reflectance[] | null
  readonly first: number
  readonly shown: number
  readonly onMove: (first: number) => void
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const { prepared } = useLight()
  const rows = Math.max(...strips.map(({ places }) => places.length))

  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!context || !reflectances || !prepared) return
    // A thousand colours wait until the light stands still; the swatches that are judged never do.
    const drawing = setTimeout(
      () =>
        strips.forEach(({ places }, column) =>
          places.forEach((place, row) => {
            context.fillStyle = screenColour(prepared, reflectances[place]!).hex
            context.fillRect(column, row, 1, 1)
          }),
        ),
      STILL_MS,
    )
    return () => clearTimeout(drawing)
  }, [strips, reflectances, prepared])

  const last = Math.max(0, strips.length - shown)
  return (
    <Slider.Root
      className="relative flex touch-none select-none"
      min={0}
      max={last}
      value={[Math.min(first, last)]}
      onValueChange={([value]) => onMove(value!)}
    >
      <Slider.Track className="relative w-full" style={{ height: rows * ROW_PX + 10 }}>
        <canvas
          ref={canvas}
          width={strips.length}
          height={rows}
          className="absolute inset-x-0 top-0 w-full"
          style={{ height: rows * ROW_PX, imageRendering: 'pixelated' }}
        />
        <span
          className="absolute bottom-0 h-1.5 bg-ink"
          style={{
            left: `${(100 * first) / strips.length}%`,
            width: `${(100 * Math.min(shown, strips.length)) / strips.length}%`,
          }}
        />
      </Slider.Track>
      <Slider.Thumb
        aria-label="First strip shown"
        aria-valuetext={strips[first]?.strip ?? ''}
        className="block h-full w-6"
      />
    </Slider.Root>
  )
}
