'use client'

import { useRef, useState, type MouseEvent } from 'react'
import { WHITE_CARD } from '@/core/colour/appearance'
import type { Lab } from '@/core/colour/lab'
import { CardError, photoLight, type PhotoLight } from '@/core/photo/white-card'
import { paletteInWorker } from '@/workers/palette-client'
import { useLight } from '../light-bar/light-context'
import { Patch } from '../swatch/patch'
import { colourOfLab, corrected, type FoundColour } from './found-colours'
import { drawPhoto, linearPixels, PhotoError, tapped } from './photo-pixels'

const MOST_KEPT = 5
const UNEVEN_FROM = 0.08

/** A photo of a finish: tap the white card, and its colours come out corrected by the light they were taken in. */
export function PhotoReader({
  onUse,
}: {
  readonly onUse: (colours: readonly FoundColour[]) => void
}) {
  const { light } = useLight()
  const canvas = useRef<HTMLCanvasElement>(null)
  const running = useRef<AbortController | null>(null)
  const [ready, setReady] = useState(false)
  const [progress, setProgress] = useState<number | null>(null)
  const [said, setSaid] = useState('')
  const [found, setFound] = useState<readonly FoundColour[]>([])
  const [fixed, setFixed] = useState(false)
  const [dropped, setDropped] = useState<ReadonlySet<number>>(new Set())

  async function take(file: File | undefined): Promise<void> {
    if (!file || !canvas.current) return
    running.current?.abort()
    setFound([])
    setReady(false)
    try {
      await drawPhoto(file, canvas.current)
      setReady(true)
      setSaid('Now tap the white card in the photo.')
    } catch (error) {
      if (!(error instanceof PhotoError)) throw error
      setSaid(error.message)
    }
  }

  async function readFrom(
    photo: PhotoLight,
    warning: string,
    without: Parameters<typeof linearPixels>[1],
  ) {
    running.current = new AbortController()
    setProgress(0)
    const colours = await paletteInWorker(
      linearPixels(canvas.current!, without),
      setProgress,
      running.current.signal,
    ).catch(() => null)
    setProgress(null)
    if (!colours) return
    setFound(colours.flatMap((colour) => corrected(photo, colour)).slice(0, MOST_KEPT))
    setDropped(new Set())
    const how =
      photo.balance === 'balanced'
        ? 'The camera balanced the light away; this room’s light of the moment was put back.'
        : `Light of about ${Math.round(photo.cctK / 50) * 50} K, taken from the card.`
    setSaid(`${how} ${warning}A photo is the weakest reading: ± 4 units.`)
  }

  function tap(event: MouseEvent<HTMLCanvasElement>): void {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect()
    const x = Math.round(((event.clientX - left) / width) * event.currentTarget.width)
    const y = Math.round(((event.clientY - top) / height) * event.currentTarget.height)
    const { mean, unevenness } = tapped(event.currentTarget, x, y)
    try {
      const photo = photoLight(mean, WHITE_CARD, fixed ? null : (light?.spectrum ?? null))
      const warning =
        unevenness > UNEVEN_FROM
          ? 'The card lies in uneven light: trust the shares, less the colours. '
          : ''
      const halfPx = Math.round(event.currentTarget.width / 12)
      void readFrom(photo, warning, { x, y, halfPx })
    } catch (error) {
      if (!(error instanceof CardError)) throw error
      setSaid(error.message)
    }
  }

  return (
    <section aria-label="Photo of it" className="flex flex-col gap-2 border-t border-rule pt-3">
      <label className="key self-start">
        Photo with a white card
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      <label className="flex min-h-11 items-center gap-2 text-small">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={fixed}
          onChange={(event) => setFixed(event.target.checked)}
        />
        The camera was fixed to daylight; it did not balance
      </label>
      <canvas
        ref={canvas}
        className={ready ? 'max-h-64 w-full cursor-crosshair object-contain' : 'hidden'}
        role="img"
        aria-label="The photo; tap its white card"
        onClick={tap}
      />
      {ready && found.length === 0 && progress === null && (
        <button
          type="button"
          className="min-h-11 self-start text-small underline underline-offset-4"
          onClick={() =>
            void readFrom(
              photoLight([0.6, 0.6, 0.6], WHITE_CARD, light?.spectrum ?? null),
              'Without a card the colours may be far off. ',
              null,
            )
          }
        >
          There is no card in it
        </button>
      )}
      {progress !== null && (
        <p role="status" className="flex items-center gap-3 text-small">
          Finding its colours, {Math.round(100 * progress)} %
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => {
              running.current?.abort()
              setSaid('Stopped. Tap the card to begin again.')
            }}
          >
            Stop
          </button>
        </p>
      )}
      <p role="status" className="text-small">
        {said}
      </p>
      {found.length > 0 && (
        <>
          <ul aria-label="Colours found">
            {found.map(({ lab, sharePercent }, i) => (
              <li key={i} className="flex items-center gap-3 border-b border-rule text-small">
                <FoundPatch lab={lab} />
                <span
                  className="flex-1 tabular-nums"
                  data-lab={lab.map((v) => v.toFixed(2)).join(' ')}
                >
                  {Math.round(sharePercent)} %, L* {lab[0].toFixed(0)}, a* {lab[1].toFixed(0)}, b*{' '}
                  {lab[2].toFixed(0)}
                </span>
                <label className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-ink"
                    checked={!dropped.has(i)}
                    onChange={() => {
                      const next = new Set(dropped)
                      if (!next.delete(i)) next.add(i)
                      setDropped(next)
                    }}
                  />
                  counts
                </label>
              </li>
            ))}
          </ul>
          <button
            type="button"
            className="key self-start"
            disabled={dropped.size === found.length}
            onClick={() => onUse(found.filter((_, i) => !dropped.has(i)))}
          >
            Use these colours
          </button>
        </>
      )}
    </section>
  )
}

function FoundPatch({ lab }: { readonly lab: Lab }) {
  return <Patch colour={colourOfLab(lab)} className="h-11 w-16 shrink-0" />
}
