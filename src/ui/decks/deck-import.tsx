'use client'

import { useEffect, useRef, useState, type FormEvent } from 'react'
import { prepareLight, screenColour } from '@/core/colour/appearance'
import { daylightSpectrum } from '@/core/colour/daylight'
import { askedOf, type DeckMapping } from '@/core/deck/deck-mapping'
import type { LineError } from '@/core/deck/deck-file'
import { AS_IT_IS, type Mended } from '@/core/deck/deck-file'
import { DeckFile } from '@/workers/deck-file-client'
import type { OpenedFile, ReadFile } from '@/workers/deck-file-protocol'
import { Field, FormMessage } from '../form/field'
import { TextKey } from '../form/text-key'
import { Patch } from '../swatch/patch'
import { MappingFields } from './mapping-fields'
import { uploadDeck, type DeckHead, type UploadAnswer } from './upload-deck'
import { WrongLines } from './wrong-lines'
import { useRefresh } from '../frame/page-address'

// A file stands in no room: plain daylight, bright enough to see by (common practice).
const PLAIN_DAYLIGHT = prepareLight(daylightSpectrum(6504), 500)

interface Chosen {
  readonly file: DeckFile
  readonly opened: OpenedFile
  readonly mapping: DeckMapping
  readonly mended: Mended
}

/** Takes a deck from a file of any columns: seen and mended here, stored whole or not at all. */
export function DeckImport() {
  const refresh = useRefresh()
  const [chosen, setChosen] = useState<Chosen | null>(null)
  const [refused, setRefused] = useState<readonly LineError[]>([])
  const [read, setRead] = useState<{ readonly of: Chosen; readonly file: ReadFile } | null>(null)
  const [done, setDone] = useState<number | null>(null)
  const [sending, setSending] = useState(false)
  const [opening, setOpening] = useState(false)
  const [answer, setAnswer] = useState<UploadAnswer | null>(null)
  const [taken, setTaken] = useState('')
  const running = useRef<AbortController | null>(null)
  const input = useRef<HTMLInputElement>(null)

  const asked = chosen && askedOf(chosen.mapping)
  useEffect(() => {
    if (!chosen || asked) return
    let isWanted = true
    chosen.file
      .read(chosen.mapping, chosen.mended, (share) => isWanted && setDone(share))
      .then((file) => {
        if (!isWanted) return
        setRead({ of: chosen, file })
        setDone(null)
      })
      .catch(() => {
        if (!isWanted) return
        setDone(null)
        setRefused([{ line: 1, message: 'The file could not be read.' }])
      })
    return () => {
      isWanted = false
    }
  }, [chosen, asked])
  useEffect(() => () => chosen?.file.end(), [chosen?.file])

  async function choose(picked: File | undefined): Promise<void> {
    chosen?.file.end()
    setChosen(null)
    setRead(null)
    setRefused([])
    setAnswer(null)
    setTaken('')
    if (!picked) return
    setOpening(true)
    const file = new DeckFile()
    const opened = await file.open(new Uint8Array(await picked.arrayBuffer()))
    setOpening(false)
    if ('refused' in opened) {
      file.end()
      setRefused(opened.refused)
    } else
      setChosen({
        file,
        opened: opened.opened,
        mapping: opened.opened.guessed,
        mended: AS_IT_IS,
      })
  }

  const current = read && read.of === chosen ? read.file : null
  const isWhole = current !== null && current.wrong.length === 0

  async function onSubmit(event: FormEvent<HTMLFormElement>): Promise<void> {
    event.preventDefault()
    const form = event.currentTarget
    const head = Object.fromEntries(
      ['maker', 'name', 'baseL', 'baseA', 'baseB'].map((name) => [
        name,
        String(new FormData(form).get(name) ?? ''),
      ]),
    ) as unknown as DeckHead
    if (!chosen || !current || !isWhole || sending) {
      if (!chosen) setRefused([{ line: 1, message: 'Expected a file, got none.' }])
      return
    }
    running.current = new AbortController()
    setSending(true)
    setAnswer(null)
    setDone(0)
    const { count } = current
    const came = await uploadDeck(head, chosen.file, count, setDone, running.current.signal)
    setSending(false)
    setDone(null)
    setAnswer(came)
    if (!came.ok) return
    chosen.file.end()
    setChosen(null)
    setRead(null)
    form.reset()
    if (input.current) input.current.value = ''
    setTaken(`${coloursWords(count)} imported.`)
    refresh()
  }

  const errors = answer?.fields ?? {}
  return (
    <form
      onSubmit={(event) => void onSubmit(event)}
      noValidate
      className="grid gap-4 sm:grid-cols-2"
    >
      <Field label="Maker" name="maker" error={errors.maker} />
      <Field label="Name of the deck" name="name" error={errors.name} />
      <fieldset className="grid grid-cols-3 gap-4 sm:col-span-2">
        <legend className="mb-1 text-small">
          The untinted white base, L*a*b*. Strengths are mixed towards it; the figures given are an
          ordinary one’s.
        </legend>
        <Field label="L*" name="baseL" defaultValue="96.2" error={errors.baseL} />
        <Field label="a*" name="baseA" defaultValue="-0.2" error={errors.baseA} />
        <Field label="b*" name="baseB" defaultValue="1.5" error={errors.baseB} />
      </fieldset>
      <div className="sm:col-span-2">
        <label htmlFor="deck-file" className="text-small">
          Deck file
        </label>
        <input
          ref={input}
          id="deck-file"
          type="file"
          accept=".csv,.tsv,.txt,.gpl,.cgats,.it8,text/csv,text/plain"
          className="field"
          style={{ paddingBlock: '0.6rem' }}
          onChange={(event) => void choose(event.target.files?.[0])}
        />
        <p className="mt-1 text-fine text-dim">
          CSV with any columns, CGATS or a GIMP palette; UTF-8, at most 25,000 colours.
        </p>
      </div>
      {refused.length > 0 && (
        <div role="alert" className="border-t border-ink pt-3 sm:col-span-2">
          <p className="font-medium">Nothing was imported:</p>
          <ol className="mt-1 text-small">
            {refused.map(({ line, message }) => (
              <li key={`${line}${message}`}>
                Line {line}: {message}
              </li>
            ))}
          </ol>
        </div>
      )}
      {chosen && (
        <div className="flex flex-col gap-4 sm:col-span-2">
          <p className="text-small">
            {chosen.opened.format}, {chosen.opened.lines.toLocaleString('en-GB')} lines.
          </p>
          <MappingFields
            opened={chosen.opened}
            mapping={chosen.mapping}
            onChange={(mapping) => setChosen({ ...chosen, mapping })}
          />
          {asked && (
            <p role="alert" className="font-medium">
              {asked}
            </p>
          )}
          {current && !asked && <Preview read={current} leftOut={chosen.mended.leftOut.size} />}
        </div>
      )}
      <div className="flex flex-wrap items-center gap-4 sm:col-span-2">
        <button
          type="submit"
          className="key key-first px-6"
          disabled={sending || opening || (chosen !== null && !isWhole)}
        >
          {sending ? 'Importing' : 'Import the deck'}
        </button>
        {done !== null && (
          <progress
            aria-label={sending ? 'Importing the deck' : 'Reading the file'}
            className="w-40 accent-ink"
            value={done}
          />
        )}
        {sending && <TextKey onClick={() => running.current?.abort()}>Stop</TextKey>}
        <FormMessage>{answer?.ok ? taken : (answer?.message ?? taken)}</FormMessage>
      </div>
      {chosen && current && current.wrong.length > 0 && !asked && (
        <div className="sm:col-span-2">
          <WrongLines
            wrong={current.wrong}
            columns={chosen.opened.columns}
            mended={chosen.mended}
            onMend={(mended) => setChosen({ ...chosen, mended })}
          />
        </div>
      )}
    </form>
  )
}

const coloursWords = (count: number): string =>
  count === 1 ? '1 colour' : `${count.toLocaleString('en-GB')} colours`

/** What the file comes to, as it will look. */
function Preview({ read, leftOut }: { readonly read: ReadFile; readonly leftOut: number }) {
  return (
    <section aria-label="Preview">
      <p className="mb-1 text-small">
        {coloursWords(read.count)}
        {leftOut > 0 && `, ${leftOut.toLocaleString('en-GB')} lines left out`}; some of them by
        daylight:
      </p>
      <ul className="grid grid-cols-4 sm:grid-cols-8">
        {read.sample.map(({ line, code, name, bands }) => (
          <li key={line} className="min-w-0">
            <Patch
              colour={screenColour(PLAIN_DAYLIGHT, Float64Array.from(bands))}
              label={`${code} ${name}`}
              className="h-14"
            />
            <span className="block truncate pr-1 text-fine">{code}</span>
          </li>
        ))}
      </ul>
      {read.lrvOff.length > 0 && (
        <p className="mt-2 text-small">
          {read.lrvOff.length.toLocaleString('en-GB')} printed LRV more than 3 off the reading:{' '}
          {read.lrvOff
            .slice(0, 5)
            .map(
              ({ code, printed, read: own }) =>
                `${code} prints ${printed}, reads ${own.toFixed(0)}`,
            )
            .join('; ')}
          {read.lrvOff.length > 5 && '; and more'}. They are kept as printed.
        </p>
      )}
    </section>
  )
}
