'use client'

import { useState } from 'react'
import { z } from 'zod'
import { MEASURED_FOR, measuredForWords } from '@/core/paint/measured-for'
import type { ReadingEvidence } from '@/core/paint/reading-evidence'
import { Choice } from '../form/choice'
import { colourOfLab } from '../photo/found-colours'
import { Patch } from '../swatch/patch'

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
const Answer = z.union([
  z.object({
    ok: z.literal(true),
    colours: z.array(z.object({ name: z.string(), reading: Reading, lab: Lab })),
    measuredFor: z.enum(MEASURED_FOR).nullable(),
    leftOut: z.array(z.string()),
  }),
  z.object({
    ok: z.literal(false),
    asks: z.enum(['measuredFor', 'scale']),
    words: z.string(),
  }),
  z.object({
    ok: z.literal(false),
    errors: z.array(z.object({ line: z.number(), message: z.string() })),
  }),
  z.object({ ok: z.literal(false), message: z.string() }),
])
type Read = Extract<z.infer<typeof Answer>, { ok: true }>
type Asked = Extract<z.infer<typeof Answer>, { asks: string }>

export type Measured = Read['colours'][number]

const MOST_SHOWN = 40

const CHOICES = {
  measuredFor: [
    ['', 'choose'],
    ...MEASURED_FOR.map((name) => [name, measuredForWords(name)] as const),
  ],
  scale: [
    ['', 'choose'],
    ['share', 'a share of the light, 0 to 1'],
    ['percent', 'per cent'],
  ],
} as const
const PARAMETERS = { measuredFor: 'for', scale: 'scale' } as const

/** Colours from the file of a measuring device: pick those that are this keeper's. What the file does not say is asked. */
export function MeasurementFile({
  onPick,
}: {
  readonly onPick: (colour: Measured, evidence: ReadingEvidence) => void
}) {
  const [problems, setProblems] = useState<readonly string[]>([])
  const [file, setFile] = useState<File | null>(null)
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({})
  const [asked, setAsked] = useState<Asked | null>(null)
  const [found, setFound] = useState<Read | null>(null)

  async function read(from: File, saying: Readonly<Record<string, string>>): Promise<void> {
    setFile(from)
    setSaid(saying)
    setAsked(null)
    setFound(null)
    setProblems([])
    const response = await fetch(`/api/measurements?${new URLSearchParams(saying).toString()}`, {
      method: 'POST',
      body: from,
    }).catch(() => null)
    const answer = Answer.safeParse(await response?.json().catch(() => null))
    if (!answer.success) return setProblems(['The server did not answer, so nothing was read.'])
    if (answer.data.ok) return setFound(answer.data)
    if ('asks' in answer.data) return setAsked(answer.data)
    if ('message' in answer.data) return setProblems([answer.data.message])
    setProblems(answer.data.errors.map(({ line, message }) => `Line ${line}: ${message}`))
  }

  return (
    <section aria-label="Measurement file" className="flex flex-col gap-2">
      <label className="key self-start">
        Measurement file (CGATS, CSV)
        <input
          type="file"
          accept=".txt,.cgats,.csv,text/plain,text/csv"
          className="sr-only"
          onChange={(event) => {
            const [first] = event.target.files ?? []
            if (first) void read(first, {})
          }}
        />
      </label>
      {problems.length > 0 && (
        <ul role="alert" className="text-small">
          {problems.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {asked && file && (
        <div role="group" aria-label="What the file does not say" className="text-small">
          <p>{asked.words}</p>
          <Choice
            label={asked.asks === 'scale' ? 'Values are' : 'Numbers are for'}
            value=""
            options={CHOICES[asked.asks]}
            onChange={(value) => void read(file, { ...said, [PARAMETERS[asked.asks]]: value })}
          />
        </div>
      )}
      {found && (
        <>
          {found.measuredFor && found.measuredFor !== 'D65 2deg' && (
            <p className="text-small">
              Given for {measuredForWords(found.measuredFor)}; made D65, 2° here.
            </p>
          )}
          {found.leftOut.length > 0 && (
            <p className="text-small">
              {found.leftOut.length} left out, no surface has such a colour:{' '}
              {found.leftOut.slice(0, 6).join(', ')}
              {found.leftOut.length > 6 && ' …'}
            </p>
          )}
          <ul aria-label="Colours of the file" className="max-h-56 overflow-y-auto">
            {found.colours.slice(0, MOST_SHOWN).map((colour, i) => (
              <li key={i}>
                <button
                  type="button"
                  className="flex min-h-11 w-full items-center gap-3 text-left text-small hover:bg-mist"
                  onClick={() => onPick(colour, evidenceOf(file!.name, found.measuredFor))}
                >
                  <Patch colour={colourOfLab(colour.lab)} className="h-11 w-16 shrink-0" />
                  {colour.name}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  )
}

const evidenceOf = (name: string, measuredFor: Read['measuredFor']): ReadingEvidence => ({
  device: `the file ${name.slice(0, 80)}`,
  ...(measuredFor && { measuredFor: measuredForWords(measuredFor) }),
})
