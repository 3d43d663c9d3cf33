'use client'

import { useState } from 'react'
import { z } from 'zod'
import { Patch } from '../swatch/patch'
import { colourOfLab } from '../photo/found-colours'

const Lab = z.tuple([z.number(), z.number(), z.number()])
const Reading = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('lab'), lab: Lab }),
  z.object({ kind: z.literal('srgb'), hex: z.string() }),
  z.object({
    kind: z.literal('spectral'),
    wavelengthsNm: z.array(z.number()),
    reflectance: z.array(z.number()),
  }),
])
const Answer = z.discriminatedUnion('ok', [
  z.object({
    ok: z.literal(true),
    colours: z.array(z.object({ name: z.string(), reading: Reading, lab: Lab })),
  }),
  z.object({
    ok: z.literal(false),
    errors: z.array(z.object({ line: z.number(), message: z.string() })),
  }),
])

export type Measured = Extract<z.infer<typeof Answer>, { ok: true }>['colours'][number]

const MOST_SHOWN = 40

/** Colours from the file of a measuring device: pick those that are this keeper's. */
export function MeasurementFile({ onPick }: { readonly onPick: (colour: Measured) => void }) {
  const [said, setSaid] = useState<readonly string[]>([])
  const [colours, setColours] = useState<readonly Measured[]>([])

  async function read(file: File | undefined): Promise<void> {
    if (!file) return
    const response = await fetch('/api/measurements', { method: 'POST', body: file }).catch(
      () => null,
    )
    const answer = Answer.safeParse(await response?.json().catch(() => null))
    if (!answer.success) {
      setSaid(['The server did not answer, so nothing was read.'])
      return
    }
    setColours(answer.data.ok ? answer.data.colours : [])
    setSaid(
      answer.data.ok
        ? []
        : answer.data.errors.map(({ line, message }) => `Line ${line}: ${message}`),
    )
  }

  return (
    <section aria-label="Measurement file" className="flex flex-col gap-2">
      <label className="key self-start">
        Measurement file (CGATS, CSV)
        <input
          type="file"
          accept=".txt,.cgats,.csv,text/plain,text/csv"
          className="sr-only"
          onChange={(event) => void read(event.target.files?.[0])}
        />
      </label>
      {said.length > 0 && (
        <ul role="alert" className="text-small">
          {said.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {colours.length > 0 && (
        <ul aria-label="Colours of the file" className="max-h-56 overflow-y-auto">
          {colours.slice(0, MOST_SHOWN).map((colour, i) => (
            <li key={i}>
              <button
                type="button"
                className="flex min-h-11 w-full items-center gap-3 text-left text-small hover:bg-mist"
                onClick={() => onPick(colour)}
              >
                <Patch colour={colourOfLab(colour.lab)} className="h-11 w-16 shrink-0" />
                {colour.name}
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}
