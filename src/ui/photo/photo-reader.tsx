'use client'

import { useRef, useState, type DragEvent } from 'react'
import { squareAt, tappedSpot, type PhotoBytes, type Square } from '@/core/photo/pixels'
import {
  CARDS,
  CardError,
  photoLight,
  type CardKind,
  type PhotoLight,
} from '@/core/photo/white-card'
import { paletteInWorker } from '@/workers/palette-client'
import type { Palette } from '@/workers/palette-protocol'
import { useLight } from '../light-bar/light-context'
import { corrected, merged, type FoundColour } from './found-colours'
import { FoundList } from './found-list'
import { PhotoCanvas } from './photo-canvas'
import { drawPhoto, keepDrawnPhoto, PhotoError } from './photo-file'

const MOST_FOUND = 14
const MOST_KEPT = 5
const TAP_HALF_PX = 10
const UNEVEN_FROM = 0.08
const CLIPPED_FROM_PERCENT = 1
const BRIGHTER_FROM_PERCENT = 4
// What a camera makes of a card, where there is none to ask.
const NO_CARD = [0.6, 0.6, 0.6] as const

/** A photo of a finish: tap the white card, and its colours come out corrected by the light they were taken in. */
export function PhotoReader({
  onUse,
}: {
  /** The colours that count, at most five, and the hash of the photo where the server kept it. */
  readonly onUse: (colours: readonly FoundColour[], photoHash: string | null) => void
}) {
  const { light } = useLight()
  const canvas = useRef<HTMLCanvasElement>(null)
  const drawn = useRef<PhotoBytes | null>(null)
  const running = useRef<AbortController | null>(null)
  const [ready, setReady] = useState(false)
  const [progress, setProgress] = useState<number | null>(null)
  const [said, setSaid] = useState('')
  const [photo, setPhoto] = useState<PhotoLight | null>(null)
  const [found, setFound] = useState<readonly FoundColour[]>([])
  const [card, setCard] = useState<CardKind>('card')
  const [fixed, setFixed] = useState(false)
  const counted = found.filter(({ counts }) => counts)

  async function take(file: File | undefined): Promise<void> {
    if (!file || !canvas.current) return
    running.current?.abort()
    setFound([])
    setPhoto(null)
    setReady(false)
    try {
      drawn.current = await drawPhoto(file, canvas.current)
      setReady(true)
      setSaid('Now tap the white card in the photo.')
    } catch (error) {
      if (!(error instanceof PhotoError)) throw error
      setSaid(error.message)
    }
  }

  async function readFrom(
    taken: PhotoLight,
    card: { readonly square: Square; readonly mean: readonly [number, number, number] } | null,
    warning: string,
  ): Promise<void> {
    running.current = new AbortController()
    setProgress(0)
    const palette = await paletteInWorker(
      { photo: drawn.current!, card },
      setProgress,
      running.current.signal,
    ).catch(() => undefined)
    setProgress(null)
    if (palette === undefined) setSaid('The colours could not be found. Tap the card again.')
    if (!palette) return
    setPhoto(taken)
    setFound(
      palette.colours
        .flatMap((each) => corrected(taken, each))
        .slice(0, MOST_FOUND)
        .map((each, i) => ({ ...each, counts: i < MOST_KEPT })),
    )
    setSaid([howRead(taken), warning, ...warningsOf(palette), TRUST].filter(Boolean).join(' '))
  }

  function tap(x: number, y: number): void {
    const bytes = drawn.current!
    const spot = tappedSpot(bytes, squareAt(bytes, x, y, TAP_HALF_PX))
    if (photo) {
      const [tapped] = corrected(photo, { rgb: spot.mean, sharePercent: 0 })
      if (tapped) setFound([...found, tapped])
      else setSaid('No surface looks so in that light: it is glare, or a lamp. Tap beside it.')
      return
    }
    try {
      const taken = photoLight(
        spot.mean,
        CARDS[card].reflectance,
        fixed ? null : (light?.spectrum ?? null),
      )
      const square = squareAt(bytes, x, y, Math.round(bytes.width / 12))
      const warning =
        spot.unevenness > UNEVEN_FROM
          ? 'The card lies in uneven light: trust the shares, less the colours.'
          : ''
      void readFrom(taken, { square, mean: spot.mean }, warning)
    } catch (error) {
      if (!(error instanceof CardError)) throw error
      setSaid(error.message)
    }
  }

  function readWithoutCard(): void {
    const guessed = photoLight(NO_CARD, CARDS.card.reflectance, light?.spectrum ?? null)
    void readFrom(guessed, null, 'Without a card the colours may be off by ten units and more.')
  }

  async function use(): Promise<void> {
    const photoHash = await keepDrawnPhoto(canvas.current!)
    setSaid(
      photoHash ? 'Taken over, with the photo.' : 'Taken over. The photo itself was not kept.',
    )
    onUse(counted.slice(0, MOST_KEPT), photoHash)
  }

  function drop(event: DragEvent): void {
    event.preventDefault()
    void take(event.dataTransfer.files[0])
  }

  return (
    <section
      aria-label="Photo of it"
      className="flex flex-col gap-2"
      onDragOver={(event) => event.preventDefault()}
      onDrop={drop}
    >
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
        Beside it lies
        <select
          className="min-h-11 flex-1 border border-ash bg-paper px-2"
          value={card}
          onChange={(event) => setCard(event.target.value as CardKind)}
        >
          {Object.entries(CARDS).map(([kind, { words }]) => (
            <option key={kind} value={kind}>
              {words}
            </option>
          ))}
        </select>
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
      <PhotoCanvas
        canvas={canvas}
        shown={ready}
        name={photo ? 'The photo; tap a colour to add it' : 'The photo; tap its white card'}
        onTap={tap}
      />
      {ready && progress === null && (
        <button
          type="button"
          className="min-h-11 self-start text-small underline underline-offset-4"
          onClick={() => {
            setSaid('Tap the white card.')
            if (!photo) return readWithoutCard()
            setPhoto(null)
            setFound([])
          }}
        >
          {photo ? 'Tap the card again' : 'There is no card in it'}
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
      {photo && found.length > 0 && (
        <>
          <FoundList
            found={found}
            onCount={(place) =>
              setFound(
                found.map((each, i) => (i === place ? { ...each, counts: !each.counts } : each)),
              )
            }
            onMerge={(place) =>
              setFound([
                ...found.slice(0, place - 1),
                ...merged(photo, found[place - 1]!, found[place]!),
                ...found.slice(place + 1),
              ])
            }
          />
          <button
            type="button"
            className="key self-start"
            disabled={counted.length === 0}
            onClick={() => void use()}
          >
            {counted.length > MOST_KEPT ? `Use the first ${MOST_KEPT}` : 'Use these colours'}
          </button>
        </>
      )}
    </section>
  )
}

const TRUST = 'A photo is the weakest reading: ± 4 units.'

const howRead = (photo: PhotoLight): string =>
  photo.balance === 'balanced'
    ? 'The camera balanced the light away; this room’s light of the moment was put back.'
    : `Light of about ${Math.round(photo.cctK / 50) * 50} K, taken from the card.`

function warningsOf({ clippedPercent, brighterPercent }: Palette): string[] {
  return [
    brighterPercent >= BRIGHTER_FROM_PERCENT &&
      `${Math.round(brighterPercent)} % of the photo is brighter than the card: it lies in shade, or something glares. Put it in the same light.`,
    clippedPercent >= CLIPPED_FROM_PERCENT &&
      `${Math.round(clippedPercent)} % is clipped and was left out.`,
  ].filter((warning) => warning !== false)
}
