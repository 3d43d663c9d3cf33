'use client'

import { useLayoutEffect, useRef } from 'react'
import type { PreparedLight } from '@/core/colour/appearance'
import type { PhotoBytes } from '@/core/photo/pixels'
import { usePainter } from '../light-bar/light-context'

/** A picture of a surface as it is in a light. */
export type Relit = (light: PreparedLight) => PhotoBytes

const FILL = { width: 'calc(100% + 1px)', height: 'calc(100% + 1px)' }

/** A picture of a surface in the light of the page; it is repainted by the page's painter, frame by frame. */
export function RelitPicture({ relit, label }: { readonly relit: Relit; readonly label: string }) {
  const painter = usePainter()
  const canvas = useRef<HTMLCanvasElement>(null)
  useLayoutEffect(() => {
    const context = canvas.current!.getContext('2d')!
    return painter.watch((light) => {
      // Nothing is seen in the dark.
      if (!light) return context.clearRect(0, 0, context.canvas.width, context.canvas.height)
      const { bytes, width, height } = relit(light)
      if (context.canvas.width !== width) context.canvas.width = width
      if (context.canvas.height !== height) context.canvas.height = height
      context.putImageData(new ImageData(bytes.slice(), width, height), 0, 0)
    })
  }, [painter, relit])
  return (
    <span role="img" aria-label={label} className="relative block h-full w-full">
      {/* A pixel over the edge, as a patch is. */}
      <canvas
        ref={canvas}
        aria-hidden="true"
        className="absolute top-0 left-0 bg-ink object-cover"
        style={FILL}
      />
    </span>
  )
}
