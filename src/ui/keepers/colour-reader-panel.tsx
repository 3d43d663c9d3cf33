'use client'

import { useRef, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { spectrumText } from '@/core/paint/typed-reading'
import { reflectanceOfReading } from '@/core/paint/reading'
import {
  averaged,
  ReaderError,
  READINGS_AVERAGED,
  simulatedColourReader,
  type ColourReader,
  type ReaderAnswer,
} from '@/devices/colour-reader'
import { useTradeWords } from '../settings/settings-context'
import type { ColourDraft } from './colour-draft'

// What the stand-in can be held against; invented.
const HELD_AGAINST = [
  { name: 'a warm grey stone', lab: [61, 2, 7], grain: 0.08 },
  { name: 'a glazed tile', lab: [90, -1, -2], grain: 0.004 },
  { name: 'an oiled board', lab: [54, 9, 25], grain: 0.05 },
  { name: 'a painted trim', lab: [92, 0, 5], grain: 0.004 },
] as const

// A finish whose places differ by more than an eye tells apart at once; common practice.
const VARIES_FROM = 1

/** A colour reader: set it on its white tile, read at three places, and the mean is taken with its spread. */
export function ColourReaderPanel({
  seed,
  onRead,
}: {
  /** Makes the stand-in's noise the same in every run. */
  readonly seed: number
  readonly onRead: (colour: Partial<ColourDraft>, varies: boolean) => void
}) {
  const inWords = useTradeWords()
  const [held, setHeld] = useState(0)
  const reader = useRef<ColourReader | null>(null)
  const heldNow = useRef(held)
  const [answers, setAnswers] = useState<readonly ReaderAnswer[]>([])
  const [said, setSaid] = useState('Connect the reader, then set it on its white tile.')
  const [calibrated, setCalibrated] = useState(false)

  function theReader(): ColourReader {
    return (reader.current ??= simulatedColourReader(() => {
      const { lab, grain } = HELD_AGAINST[heldNow.current]!
      return { surface: bumpy(reflectanceOfReading({ kind: 'lab', lab })), grain }
    }, seed))
  }

  async function ask(work: (reader: ColourReader) => Promise<string>): Promise<void> {
    const asked = theReader()
    try {
      setSaid(await work(asked))
    } catch (error) {
      if (!(error instanceof ReaderError)) throw error
      setSaid(error.message)
    }
    setCalibrated(asked.isCalibrated)
  }

  const read = (): Promise<void> =>
    ask(async (asked) => {
      const all = [...answers, await asked.read()]
      setAnswers(all.length < READINGS_AVERAGED ? all : [])
      if (all.length < READINGS_AVERAGED)
        return `${all.length} of ${READINGS_AVERAGED} read. Move it a hand further.`
      const mean = averaged(all)
      const varies = mean.spread > VARIES_FROM
      onRead(
        {
          by: 'spectral',
          spectrum: spectrumText({ kind: 'spectral', ...mean }),
          scale: 'share',
          source: asked.isCalibrated ? 'spectral' : 'uncalibrated',
          evidence: {
            device: `a simulated colour reader, mean of ${READINGS_AVERAGED}`,
            takenAt: new Date().toISOString(),
          },
        },
        varies,
      )
      return (
        `Mean of ${READINGS_AVERAGED}, spread ΔE ${mean.spread.toFixed(2)}` +
        (varies ? ': the finish varies from place to place, so read more of it.' : '.')
      )
    })

  return (
    <section aria-label="Colour reader" className="flex flex-col gap-2">
      <label className="flex items-center gap-3 text-small">
        Simulated reader, held against
        <select
          className="min-h-11 flex-1 border border-ash bg-paper px-2"
          value={held}
          onChange={(event) => {
            setHeld(Number(event.target.value))
            heldNow.current = Number(event.target.value)
            setAnswers([])
          }}
        >
          {HELD_AGAINST.map(({ name }, i) => (
            <option key={name} value={i}>
              {inWords(name)}
            </option>
          ))}
        </select>
      </label>
      <div className="flex gap-2">
        <button
          type="button"
          className="key"
          onClick={() =>
            void ask(async (asked) => {
              await asked.connect()
              return 'Connected.'
            })
          }
        >
          Connect
        </button>
        <button
          type="button"
          className="key"
          onClick={() =>
            void ask(async (asked) => {
              await asked.calibrate()
              setAnswers([])
              return 'Set on its white tile.'
            })
          }
        >
          Calibrate
        </button>
        <button type="button" className="key" onClick={() => void read()}>
          Read {answers.length + 1} of {READINGS_AVERAGED}
        </button>
      </div>
      <p role="status" className="text-small">
        {said}
      </p>
      {!calibrated && (
        <p className="border-l-4 border-ink pl-3 text-small">
          Not calibrated since it was switched on: what it reads now counts no more than ± 3.
        </p>
      )}
    </section>
  )
}

/** A spectrum of its own shape: a surface is never just what the solver would make of its colour. */
const bumpy = (surface: Reflectance): Reflectance =>
  surface.map((share, band) => Math.min(0.97, share * (1 + 0.04 * Math.sin(band / 3))))
