'use client'

import { useRef, useState, type DragEvent } from 'react'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { CardError, CARDS, type CardKind } from '@/core/photo/card'
import { correctedPicture } from '@/core/photo/corrected-picture'
import { photoLight, type PhotoLight } from '@/core/photo/photo-light'
import { squareAt, tappedSpot, type PhotoBytes, type Square } from '@/core/photo/pixels'
import { shownOf, type ReadablePhoto, type Shown } from '@/core/photo/read-photo'
import { evened, unevennessByCard, unevennessByRepeats } from '@/core/photo/unevenness'
import { paletteInWorker, RefusedCard } from '@/workers/palette-client'
import { useLight } from '../light-bar/light-context'
import { foundIn, isOfASurface, merged, type FoundColour } from './found-colours'
import { FoundList } from './found-list'
import { PhotoCanvas } from './photo-canvas'
import { drawPhoto, keepDrawnPhoto, PhotoError, showPhoto } from './photo-file'
import { PhotoLightFields } from './photo-light-fields'
import { lightWordsOf, nextTap, warningsOf } from './photo-words'
import { FIRST_TAKEN_IN, saidLight, type TakenIn } from './taken-in'

const MOST_FOUND = 14
const MOST_KEPT = 5
const TAP_HALF_PX = 10
// What a camera makes of a card, where there is none to ask, and how far off that may be.
const NO_CARD: Shown = [0.82, 0.82, 0.82]
const WITHOUT_CARD = { lean: 10, lightness: 12 } as const

/** A colour of a photo with what it was read by. */
export type PhotographedColour = FoundColour & { readonly evidence: ReadingEvidence }

interface Reading {
  /** What was read, evened where it was. */
  readonly photo: PhotoBytes
  readonly readable: ReadablePhoto
  readonly evidence: ReadingEvidence
  readonly hasCard: boolean
}

/** A photo of a finish: tap the card's patches, and its colours come out as they are by daylight, with how sure they are. */
export function PhotoReader({
  onUse,
}: {
  /** The colours that count, at most five, and the hash of the photo where the server kept it. */
  readonly onUse: (colours: readonly PhotographedColour[], photoHash: string | null) => void
}) {
  const { light: room } = useLight()
  const canvas = useRef<HTMLCanvasElement>(null)
  const drawn = useRef<PhotoBytes | null>(null)
  const running = useRef<AbortController | null>(null)
  const [ready, setReady] = useState(false)
  const [progress, setProgress] = useState<number | null>(null)
  const [said, setSaid] = useState('')
  const [reading, setReading] = useState<Reading | null>(null)
  const [found, setFound] = useState<readonly FoundColour[]>([])
  const [card, setCard] = useState<CardKind>('steps')
  const [taken, setTaken] = useState<TakenIn>(FIRST_TAKEN_IN)
  const [patches, setPatches] = useState<readonly Square[]>([])
  const [repeats, setRepeats] = useState<readonly Square[] | null>(null)
  const counted = found.filter(({ counts }) => counts)

  /** Back to the photo as it was taken, its card still to be tapped. */
  function beginAgain(kind: CardKind): void {
    running.current?.abort()
    setFound([])
    setReading(null)
    setPatches([])
    setRepeats(null)
    if (drawn.current) {
      showPhoto(drawn.current, canvas.current!)
      setSaid(nextTap(kind, 0))
    }
  }

  async function take(file: File | undefined): Promise<void> {
    if (!file || !canvas.current) return
    drawn.current = null
    setReady(false)
    beginAgain(card)
    try {
      drawn.current = await drawPhoto(file, canvas.current)
      setReady(true)
      setSaid(nextTap(card, 0))
    } catch (error) {
      if (!(error instanceof PhotoError)) throw error
      setSaid(error.message)
    }
  }

  async function read(squares: readonly Square[], same: readonly Square[] | null): Promise<void> {
    const whole = drawn.current!
    const light = saidLight(taken, room?.spectrum ?? null)
    if (!light.ok) return setSaid(light.message)
    const uneven =
      same && same.length > 1
        ? unevennessByRepeats(whole, same)
        : squares[0]
          ? unevennessByCard(whole, squares[0])
          : { share: 0.05, by: 'card' as const, falloff: null }
    const photo = uneven.falloff ? evened(whole, uneven.falloff) : whole
    const shown = squares.length
      ? squares.map((square) => shownOf(tappedSpot(photo, square).mean))
      : [NO_CARD]
    const taking = lightOrRefusal(photo, squares, light.spectrum)
    if (typeof taking === 'string') return refuse(taking)
    running.current = new AbortController()
    setProgress(0)
    const palette = await paletteInWorker(
      {
        photo,
        light: taking,
        card: squares.length ? card : 'card',
        shown,
        squares,
        unevenness: uneven.share,
      },
      setProgress,
      running.current.signal,
    ).catch((error: unknown) => (error instanceof RefusedCard ? error : undefined))
    setProgress(null)
    if (palette === null) return
    if (palette === undefined) return refuse('The colours could not be found. Tap the card again.')
    if (palette instanceof RefusedCard) return refuse(palette.message)
    const { readable } = palette
    const hasCard = squares.length > 0
    setReading({
      photo,
      readable,
      hasCard,
      evidence: {
        light: light.words,
        saysLightness: readable.saysLightness,
        pictureCorrected: hasCard,
        ...(hasCard && { card: CARDS[card].words, balance: balanceWords(taking) }),
        takenAt: new Date().toISOString(),
      },
    })
    if (hasCard) showPhoto(correctedPicture(photo, readable), canvas.current!)
    setFound(
      palette.colours
        .filter(isOfASurface)
        .slice(0, MOST_FOUND)
        .map((each, i) => ({ ...sure(each, hasCard), counts: i < MOST_KEPT })),
    )
    setSaid(
      [
        hasCard
          ? 'Shown corrected.'
          : 'Not corrected: without a card the colours may be off by ten units and more.',
        ...(hasCard ? [lightWordsOf(taking), ...warningsOf(palette, readable, uneven)] : []),
      ].join(' '),
    )
  }

  function refuse(message: string): void {
    setPatches([])
    setSaid(message)
  }

  function tap(x: number, y: number): void {
    const bytes = drawn.current!
    const square = squareAt(bytes, x, y, TAP_HALF_PX)
    if (repeats) {
      setRepeats([...repeats, square])
      return setSaid(
        `${repeats.length + 1} places of one surface. Three that do not lie in a line tell most.`,
      )
    }
    if (reading) {
      const [tapped] = foundIn(reading.readable, {
        rgb: tappedSpot(reading.photo, square).mean,
        sharePercent: 0,
      })
      if (tapped) setFound([...found, sure(tapped, reading.hasCard)])
      else setSaid('No surface looks so in that light: it is glare, or a lamp. Tap beside it.')
      return
    }
    const all = [...patches, square]
    setPatches(all)
    if (all.length < CARDS[card].patches.length) setSaid(nextTap(card, all.length))
    else void read(all, null)
  }

  async function use(): Promise<void> {
    const photoHash = await keepDrawnPhoto(canvas.current!)
    setSaid(
      photoHash ? 'Taken over, with the photo.' : 'Taken over. The photo itself was not kept.',
    )
    onUse(
      counted.slice(0, MOST_KEPT).map((each) => ({
        ...each,
        evidence: { ...reading!.evidence, uncertainty: each.uncertainty },
      })),
      photoHash,
    )
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
      <PhotoLightFields
        card={card}
        taken={taken}
        onCard={(kind) => {
          setCard(kind)
          beginAgain(kind)
        }}
        onTaken={(light) => {
          setTaken(light)
          beginAgain(card)
        }}
      />
      <PhotoCanvas
        canvas={canvas}
        shown={ready}
        name={
          repeats
            ? 'The photo; tap one surface in several places'
            : reading
              ? 'The photo; tap a colour to add it'
              : 'The photo; tap its white card'
        }
        onTap={tap}
      />
      {ready && progress === null && (
        <div className="flex flex-wrap gap-x-4">
          {reading ? (
            <TextKey onClick={() => beginAgain(card)}>Tap the card again</TextKey>
          ) : (
            <TextKey onClick={() => void read([], null)}>There is no card in it</TextKey>
          )}
          {reading?.hasCard && !repeats && (
            <TextKey
              onClick={() => {
                setRepeats([])
                setSaid('Tap one surface in three places: the card, or one finish.')
              }}
            >
              Even the light out
            </TextKey>
          )}
          {repeats && repeats.length > 1 && (
            <TextKey
              onClick={() => {
                setRepeats(null)
                void read(patches, repeats)
              }}
            >
              That is all of it
            </TextKey>
          )}
        </div>
      )}
      {progress !== null && (
        <p role="status" className="flex items-center gap-3 text-small">
          Finding its colours, {Math.round(100 * progress)} %
          <TextKey
            onClick={() => {
              running.current?.abort()
              setPatches([])
              setSaid(`Stopped. ${nextTap(card, 0)}`)
            }}
          >
            Stop
          </TextKey>
        </p>
      )}
      <p role="status" className="text-small">
        {said}
      </p>
      {reading && found.length > 0 && (
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
                ...merged(reading.readable, found[place - 1]!, found[place]!).map((each) =>
                  sure(each, reading.hasCard),
                ),
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

function TextKey({
  onClick,
  children,
}: {
  readonly onClick: () => void
  readonly children: string
}) {
  return (
    <button
      type="button"
      className="min-h-11 text-small underline underline-offset-4"
      onClick={onClick}
    >
      {children}
    </button>
  )
}

/** The light of a photo by its card, or why what was tapped is none; without a card the light that is known. */
function lightOrRefusal(
  photo: PhotoBytes,
  squares: readonly Square[],
  known: PhotoLight['lights'][number] | null,
): PhotoLight | string {
  try {
    return photoLight(squares[0] ? tappedSpot(photo, squares[0]).mean : [0.6, 0.6, 0.6], known)
  } catch (error) {
    if (!(error instanceof CardError)) throw error
    return error.message
  }
}

/** Without a card nothing is surer than a guess. */
const sure = <Colour extends { readonly uncertainty: FoundColour['uncertainty'] }>(
  colour: Colour,
  hasCard: boolean,
): Colour => (hasCard ? colour : { ...colour, uncertainty: WITHOUT_CARD })

const balanceWords = ({ balance, contradicts }: PhotoLight): string =>
  contradicts
    ? 'at odds with its card'
    : {
        balanced: 'balanced by the camera',
        'as the light fell': 'not balanced',
        'partly balanced': 'partly balanced',
      }[balance]
