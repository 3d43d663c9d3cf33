'use client'

import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react'
import type { PreparedLight } from '@/core/colour/appearance'
import { usePainter } from '../light-bar/light-context'
import { colourIn } from '../swatch/painter'
import type { ListedDecks, ListedStrip } from '../deck/listed-decks'
import { paintColumns, pixelIn, spaceOfScreen, type Column } from './tone-picture'

const FULL_PX = 24
const SLIVER_PX = 5
const SLIVER_SHARE = 0.34
const TONE_GAP_PX = 10
// So much of a frame goes into new colours.
const FRAME_SHARE_MS = 1

/** A strip as it stands: how wide, where, and whether something of it fits. */
interface Band {
  readonly strip: ListedStrip
  readonly left: number
  readonly width: number
  readonly fits: boolean
}

/** Where each strip stands: full where it fits, else a sliver, a step between two tones. */
function bandsOf(strips: readonly ListedStrip[], fits: (strip: ListedStrip) => boolean): Band[] {
  let left = 0
  return strips.map((strip, i) => {
    if (i > 0 && strips[i - 1]!.tone !== strip.tone) left += TONE_GAP_PX
    const isFull = fits(strip)
    const width = isFull ? FULL_PX : SLIVER_PX
    const band = { strip, left, width, fits: isFull }
    left += width
    return band
  })
}

/** The first band that ends after x; they stand in order. */
function firstAfter(bands: readonly Band[], x: number): number {
  let [from, to] = [0, bands.length]
  while (from < to) {
    const middle = (from + to) >> 1
    const { left, width } = bands[middle]!
    if (left + width > x) to = middle
    else from = middle + 1
  }
  return from
}

/**
 * The room's tones: strips as upright touching bands in tone order, lightest on top; what fits stands in full, the rest is
 * folded. Only what is in sight is drawn, in the light of the page, frame by frame.
 */
export function ToneBands({
  decks,
  strips,
  fits,
  chosen,
  onHover,
  onChoose,
}: {
  readonly decks: ListedDecks
  readonly strips: readonly ListedStrip[]
  readonly fits: (strip: ListedStrip) => boolean
  readonly chosen: ListedStrip | null
  /** The strip that is pointed at or walked to: what is said of it stands elsewhere. */
  readonly onHover: (strip: ListedStrip) => void
  readonly onChoose: (strip: ListedStrip) => void
}) {
  const painter = usePainter()
  const scroller = useRef<HTMLDivElement>(null)
  const canvas = useRef<HTMLCanvasElement>(null)
  const bands = useMemo(() => bandsOf(strips, fits), [strips, fits])
  const width = (bands.at(-1)?.left ?? 0) + (bands.at(-1)?.width ?? 0)
  const [active, setActive] = useState(0)
  useEffect(() => {
    const box = scroller.current!
    const sheet = canvas.current!
    const space = spaceOfScreen()
    const context = sheet.getContext('2d', { alpha: false, colorSpace: space })
    if (!context) return
    // What was last seen of each colour, as a pixel, and in which turn of the light.
    const known = new Map<number, { pixel: number; turn: number }>()
    let turn = 0
    let light: PreparedLight | null = null
    let waiting = 0
    let isBehind = false
    let picture: ImageData | null = null
    /** A colour in this light; once the frame's time is used up, as it was last seen. */
    function pixelOf(place: number, until: number): number {
      const last = known.get(place)
      if (last?.turn === turn) return last.pixel
      if (last && performance.now() > until) {
        isBehind = true
        return last.pixel
      }
      const pixel = pixelIn(space, colourIn(light, decks.reflectanceOf(place)))
      known.set(place, { pixel, turn })
      return pixel
    }
    function draw(): void {
      waiting = 0
      isBehind = false
      const until = performance.now() + FRAME_SHARE_MS
      const scale = window.devicePixelRatio
      const [w, h] = [box.clientWidth, box.clientHeight].map((size) =>
        Math.round(size * scale),
      ) as [number, number]
      if (w === 0 || h === 0) return
      if (!picture || picture.width !== w || picture.height !== h) {
        sheet.width = w
        sheet.height = h
        picture = context!.createImageData(w, h, { colorSpace: space })
      }
      const pixels = new Uint32Array(picture.data.buffer)
      const from = box.scrollLeft * scale
      const columns: Column[] = []
      const edges = new Set([0, h])
      for (let i = firstAfter(bands, box.scrollLeft); i < bands.length; i++) {
        const { strip, left, width: wide, fits: isFull } = bands[i]!
        const start = Math.max(0, Math.round(left * scale - from))
        if (start >= w) break
        const end = Math.min(w, Math.round((left + wide) * scale - from))
        const top = isFull ? 0 : Math.round(h * (1 - SLIVER_SHARE))
        const { places } = strip
        const bottoms = places.map((_, row) =>
          Math.round(top + ((row + 1) * (h - top)) / places.length),
        )
        edges.add(top)
        for (const bottom of bottoms) edges.add(bottom)
        columns.push({
          start,
          end,
          top,
          bottoms,
          pixels: places.map((place) => pixelOf(place, until)),
        })
      }
      paintColumns(
        pixels,
        w,
        columns,
        [...edges].sort((p, q) => p - q),
      )
      context!.putImageData(picture, 0, 0)
      // What was left as it was is caught up with in the next frames.
      if (isBehind) soon()
    }
    const soon = (): void => {
      waiting ||= requestAnimationFrame(draw)
    }
    const stop = painter.watch((shown) => {
      light = shown
      turn++
      soon()
    })
    const seen = new ResizeObserver(soon)
    seen.observe(box)
    box.addEventListener('scroll', soon, { passive: true })
    return () => {
      stop()
      seen.disconnect()
      box.removeEventListener('scroll', soon)
      cancelAnimationFrame(waiting)
    }
  }, [painter, bands, decks])

  // The chosen strip comes into sight, whoever chose it.
  useEffect(() => {
    const band = bands.find(({ strip }) => strip === chosen)
    const box = scroller.current!
    if (
      band &&
      (band.left < box.scrollLeft || band.left + band.width > box.scrollLeft + box.clientWidth)
    )
      box.scrollLeft = band.left - box.clientWidth / 2
  }, [bands, chosen])

  function walk(to: number): void {
    const next = Math.min(bands.length - 1, Math.max(0, to))
    const band = bands[next]
    const box = scroller.current
    if (!band || !box) return
    setActive(next)
    onHover(band.strip)
    const margin = 40
    if (band.left < box.scrollLeft + margin) box.scrollLeft = band.left - margin
    else if (band.left + band.width > box.scrollLeft + box.clientWidth - margin)
      box.scrollLeft = band.left + band.width - box.clientWidth + margin
  }

  /** Onwards to the next strip that fits, or to the next tone. */
  function next(from: number, step: 1 | -1, is: (band: Band) => boolean): number {
    let at = from + step
    while (at >= 0 && at < bands.length && !is(bands[at]!)) at += step
    return at >= 0 && at < bands.length ? at : from
  }

  function onKeyDown(event: KeyboardEvent): void {
    const tone = bands[active]?.strip.tone
    const to: Readonly<Record<string, () => void>> = {
      ArrowRight: () => walk(active + 1),
      ArrowLeft: () => walk(active - 1),
      ArrowDown: () => walk(next(active, 1, ({ fits: is }) => is)),
      ArrowUp: () => walk(next(active, -1, ({ fits: is }) => is)),
      PageDown: () => walk(next(active, 1, ({ strip }) => strip.tone !== tone)),
      PageUp: () => walk(next(active, -1, ({ strip }) => strip.tone !== tone)),
      Home: () => walk(0),
      End: () => walk(bands.length - 1),
      Enter: () => bands[active] && onChoose(bands[active].strip),
      ' ': () => bands[active] && onChoose(bands[active].strip),
    }
    const does = to[event.key]
    if (!does) return
    event.preventDefault()
    does()
  }

  /** The band under the pointer; the gap between two tones is none's. */
  function under(event: MouseEvent): Band | undefined {
    const box = scroller.current!
    const x = event.clientX - box.getBoundingClientRect().left + box.scrollLeft
    const band = bands[firstAfter(bands, x)]
    return band && band.left <= x ? band : undefined
  }

  const at = bands[Math.min(active, bands.length - 1)]
  const marked = bands.filter((band) => band === at || band.strip === chosen)
  return (
    <div
      ref={scroller}
      role="listbox"
      aria-label="Tones"
      aria-orientation="horizontal"
      aria-activedescendant={at && idOf(at)}
      tabIndex={0}
      className="group relative h-40 cursor-pointer overflow-x-auto overflow-y-hidden focus-visible:outline-offset-0"
      onKeyDown={onKeyDown}
      onFocus={() => at && onHover(at.strip)}
      onMouseMove={(event) => {
        const band = under(event)
        if (band) onHover(band.strip)
      }}
      onClick={(event) => {
        const band = under(event)
        if (!band) return
        setActive(bands.indexOf(band))
        onChoose(band.strip)
      }}
    >
      <canvas
        ref={canvas}
        aria-hidden="true"
        className="pointer-events-none sticky top-0 left-0 block h-full w-full"
      />
      {/* Thousands of strips are one picture; those that are marked are told one by one. */}
      <div className="absolute top-0 left-0 h-full" style={{ width }}>
        {marked.map((band) => {
          const { strip, left, width: wide, fits: isFull } = band
          return (
            <span
              key={idOf(band)}
              id={idOf(band)}
              role="option"
              aria-selected={strip === chosen}
              aria-posinset={bands.indexOf(band) + 1}
              aria-setsize={bands.length}
              aria-label={`${strip.strip}, ${strip.tone}, ${isFull ? 'fits' : 'folded'}`}
              className={`absolute top-0 h-full border-ink ${strip === chosen ? 'border-b-4' : 'group-focus-visible:border-b-4'}`}
              style={{ left, width: wide }}
            />
          )
        })}
      </div>
    </div>
  )
}

const idOf = ({ strip }: Band): string => `strip-${strip.deck.id}-${strip.strip}`
