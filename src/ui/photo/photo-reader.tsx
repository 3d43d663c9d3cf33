'use client'

import { useRef, useState, type DragEvent } from 'react'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { CARDS, type CardKind } from '@/core/photo/card'
import { correctedPicture } from '@/core/photo/corrected-picture'
import type { Exposure } from '@/core/photo/exposure-lock'
import { squareAt, tappedSpot, type PhotoBytes, type Square } from '@/core/photo/pixels'
import { TextKey } from '../form/text-key'
import { WayPanel } from '../form/ways-to-read'
import { useLight } from '../light-bar/light-context'
import { foundIn, merged, type FoundColour } from './found-colours'
import { FoundList } from './found-list'
import { PhotoCanvas } from './photo-canvas'
import { keepPatch } from './keep-patch'
import { drawPhoto, keepDrawnPhoto, PhotoError, showPhoto } from './photo-file'
import { PhotoLightFields } from './photo-light-fields'
import { nextTap } from './photo-words'
import { MOST_KEPT, readTapped, sure, type Reading } from './read-tapped'
import { FIRST_TAKEN_IN, saidLight, type TakenIn } from './taken-in'

const TAP_HALF_PX = 10

/** A colour of a photo with what it was read by. */
export type PhotographedColour = FoundColour & { readonly evidence: ReadingEvidence }

/** The photo that was kept and the part of it that stands for the finish, by their hashes; null where one could not be, or without a card. */
export interface KeptPhotos {
  readonly photoHash: string | null
  readonly patchHash: string | null
}

/** A photo of a finish: tap the card's patches, and its colours come out as they are by daylight, with how sure they are. */
export function PhotoReader({
  exposuresBefore,
  onUse,
}: {
  /** Of the visit’s other photos, as far as they are known. */
  readonly exposuresBefore: readonly Exposure[]
  /** The colours that count, at most five, and what was kept of the photo. */
  readonly onUse: (colours: readonly PhotographedColour[], kept: KeptPhotos) => void
}) {
  const { light: room } = useLight()
  const canvas = useRef<HTMLCanvasElement>(null)
  const drawn = useRef<PhotoBytes | null>(null)
  const running = useRef<AbortController | null>(null)
  const [ready, setReady] = useState(false)
  const [progress, setProgress] = useState<number | null>(null)
  const [said, setSaid] = useState('')
  const takenOver = useRef(0)
  const [reading, setReading] = useState<Reading | null>(null)
  const [found, setFound] = useState<readonly FoundColour[]>([])
  const [card, setCard] = useState<CardKind>('steps')
  const [taken, setTaken] = useState<TakenIn>(FIRST_TAKEN_IN)
  const [patches, setPatches] = useState<readonly Square[]>([])
  // The next tap says where the finish shows best.
  const [isFraming, setIsFraming] = useState(false)
  const [repeats, setRepeats] = useState<readonly Square[] | null>(null)
  const counted = found.filter(({ counts }) => counts)

  /** Back to the photo as it was taken, its card still to be tapped. */
  function beginAgain(kind: CardKind): void {
    running.current?.abort()
    setFound([])
    setReading(null)
    setPatches([])
    setRepeats(null)
    setIsFraming(false)
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
    const light = saidLight(taken, room)
    if (!light.ok) return setSaid(light.message)
    running.current = new AbortController()
    setProgress(0)
    const read = await readTapped(
      drawn.current!,
      { card, patches: squares, repeats: same },
      light,
      exposuresBefore,
      setProgress,
      running.current.signal,
    )
    setProgress(null)
    if (read === null) return
    if (typeof read === 'string') {
      setPatches([])
      return setSaid(read)
    }
    const { reading, found, words } = read
    setReading(reading)
    setFound(found)
    setSaid(words)
    if (reading.hasCard)
      showPhoto(correctedPicture(reading.photo, reading.readable), canvas.current!)
    // What was found counts at once; what is changed of it is taken over again.
    await takeOver(reading, found, words)
  }

  function tap(x: number, y: number): void {
    const bytes = drawn.current!
    const square = squareAt(bytes, x, y, TAP_HALF_PX)
    if (isFraming && reading) {
      setIsFraming(false)
      return void takeOver(reading, found, 'That part stands for it.', { x, y })
    }
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
      else
        setSaid('No surface looks like that in this light: it is glare, or a lamp. Tap beside it.')
      return
    }
    const all = [...patches, square]
    setPatches(all)
    if (all.length < CARDS[card].patches.length) setSaid(nextTap(card, all.length))
    else void read(all, null)
  }

  async function takeOver(
    { evidence }: Reading,
    colours: readonly FoundColour[],
    words: string,
    middle?: { readonly x: number; readonly y: number },
  ): Promise<void> {
    const turn = ++takenOver.current
    const labs = colours.filter(({ counts }) => counts).map(({ lab }) => lab)
    // Both are taken of what is shown now: it may be gone before the first is kept.
    const [photoHash, patchHash] = await Promise.all([
      keepDrawnPhoto(canvas.current!),
      evidence.pictureCorrected ? keepPatch(canvas.current!, labs, patches, middle) : null,
    ])
    // What was said meanwhile counts: the picture of before may be kept after the one of now.
    if (turn !== takenOver.current) return
    setSaid(
      `${words} ${photoHash ? 'Added, with the photo.' : 'Added. The photo itself was not saved.'}`.trim(),
    )
    onUse(
      colours
        .filter(({ counts }) => counts)
        .slice(0, MOST_KEPT)
        .map((each) => ({ ...each, evidence: { ...evidence, uncertainty: each.uncertainty } })),
      { photoHash, patchHash },
    )
  }

  function drop(event: DragEvent): void {
    event.preventDefault()
    void take(event.dataTransfer.files[0])
  }

  return (
    <>
      <label className="key" onDragOver={(event) => event.preventDefault()} onDrop={drop}>
        Photo with a card
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      <WayPanel shown={ready || said !== ''}>
        <section aria-label="Photo of it" className="flex flex-col gap-2">
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
                <>
                  <TextKey onClick={() => beginAgain(card)}>Tap the card again</TextKey>
                  {reading.hasCard && (
                    <TextKey
                      onClick={() => {
                        setIsFraming(true)
                        setSaid('Tap where the finish shows best: that part stands for it.')
                      }}
                    >
                      Which part stands for it
                    </TextKey>
                  )}
                </>
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
                    found.map((each, i) =>
                      i === place ? { ...each, counts: !each.counts } : each,
                    ),
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
                onClick={() => void takeOver(reading, found, '')}
              >
                {counted.length > MOST_KEPT ? `Use the first ${MOST_KEPT}` : 'Use these colours'}
              </button>
            </>
          )}
        </section>
      </WayPanel>
    </>
  )
}
