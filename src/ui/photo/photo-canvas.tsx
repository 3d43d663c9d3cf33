'use client'

import { useState, type KeyboardEvent, type MouseEvent, type RefObject } from 'react'

// What an arrow key moves the cross by, as a share of the photo; with Shift it strides.
const KEY_STEP = 0.02
const KEY_STRIDE = 0.1

/** The photo: tapped with a finger, or with Enter where the arrow keys have moved the cross, with Shift in strides. */
export function PhotoCanvas({
  canvas,
  shown,
  name,
  onTap,
}: {
  readonly canvas: RefObject<HTMLCanvasElement | null>
  readonly shown: boolean
  /** What a tap does, for a screen reader. */
  readonly name: string
  /** In pixels of the photo. */
  readonly onTap: (x: number, y: number) => void
}) {
  const [cross, setCross] = useState<readonly [number, number] | null>(null)

  function tap(event: MouseEvent<HTMLButtonElement>): void {
    const { width, height } = canvas.current!
    const byKey = event.detail === 0
    const box = event.currentTarget.getBoundingClientRect()
    const [x, y] = byKey
      ? (cross ?? [0.5, 0.5])
      : [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height]
    onTap(x * width, y * height)
  }

  function move(event: KeyboardEvent): void {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
      event.key
    ]
    if (!step) return
    event.preventDefault()
    const [x, y] = cross ?? [0.5, 0.5]
    const within = (value: number): number => Math.min(1, Math.max(0, value))
    const by = event.shiftKey ? KEY_STRIDE : KEY_STEP
    setCross([within(x + by * step[0]!), within(y + by * step[1]!)])
  }

  return (
    <button
      type="button"
      aria-label={name}
      className={shown ? 'relative block w-full cursor-crosshair' : 'hidden'}
      onClick={tap}
      onKeyDown={move}
    >
      <canvas ref={canvas} className="block w-full" />
      {cross && (
        <svg
          aria-hidden="true"
          className="pointer-events-none absolute size-8 -translate-x-1/2 -translate-y-1/2"
          style={{ left: `${100 * cross[0]}%`, top: `${100 * cross[1]}%` }}
          viewBox="-16 -16 32 32"
        >
          <path d="M-16 0H16M0 -16V16" stroke="#ffffff" strokeWidth="4" />
          <path d="M-16 0H16M0 -16V16" stroke="#111111" strokeWidth="1.5" />
        </svg>
      )}
    </button>
  )
}
