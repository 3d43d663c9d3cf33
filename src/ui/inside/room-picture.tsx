'use client'

import { useEffect, useRef, useState } from 'react'
import type { InsideOption } from './inside-room'
import type { Picture } from '@/core/room/draw'
import type { RoomInWorker, Shown } from '@/workers/room-client'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { showing } from './showing'

const WIDTH = 960
const HEIGHT = 560
// While the light is dragged so many pixels are one.
const COARSE = 4

/** One way to paint a room, seen from where one stands; it follows the light as it is dragged. */
export function RoomPicture({
  worker,
  slot,
  view,
  option,
  beyond,
  title,
  viewWords,
}: {
  readonly worker: RoomInWorker
  readonly slot: number
  readonly view: number
  readonly option: InsideOption
  readonly beyond: readonly InsideOption[]
  readonly title: string
  readonly viewWords: string
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [drawn, setDrawn] = useState<{ readonly id: string; readonly lux: number } | null>(null)
  const { roomDay, choice: atRest } = useLight()
  const { choice, light } = useMovingLight()
  const isStill = choice === atRest
  useEffect(() => {
    const ask = (step: number): void =>
      worker.show(
        slot,
        {
          ...showing(roomDay, choice, light, [option, ...beyond]),
          ...{ view, width: WIDTH, height: HEIGHT, step, withTable: false, over: [] },
        },
        (shown: Shown) => {
          if (canvas.current) put(canvas.current, shown.picture)
          if (step === 1) setDrawn({ id: option.id, lux: shown.lux })
        },
      )
    ask(COARSE)
    if (isStill) ask(1)
  }, [worker, slot, roomDay, choice, light, option, beyond, view, isStill])
  return (
    <figure
      className="max-w-full min-w-0 shrink"
      style={{ width: SHOWN_WIDTH }}
      data-shown={drawn?.id ?? ''}
    >
      <canvas
        ref={canvas}
        width={WIDTH}
        height={HEIGHT}
        role="img"
        aria-label={`${title} ${viewWords}, ${option.words}${drawn ? `; ${Math.round(drawn.lux)} lux on the walls` : ''}`}
        className="block h-auto w-full"
      />
      <figcaption className="text-small">
        {option.words}
        {drawn && `; ${Math.round(drawn.lux).toLocaleString('en')} lux on the walls on the whole`}
      </figcaption>
    </figure>
  )
}

/** Lays a picture into a canvas of its own size; how large that is shown is the page's, which scales it for nothing. */
function put(canvas: HTMLCanvasElement, { width, height, pixels }: Picture): void {
  if (canvas.width !== width) Object.assign(canvas, { width, height })
  canvas.getContext('2d')?.putImageData(new ImageData(pixels, width, height), 0, 0)
}

// Both sizes have one shape: as wide as there is room, and no higher than leaves the light bar in sight.
const SHOWN_WIDTH = `min(${WIDTH}px, (100dvh - 21rem) * ${WIDTH / HEIGHT})`
