'use client'

import Link from 'next/link'
import { useMemo, useRef, useState, useTransition } from 'react'
import { flushSync } from 'react-dom'
import type { Reflectance } from '@/core/colour/spectrum'
import { GamutMark } from '../swatch/patch'
import { RelitPatch } from '../swatch/relit-patch'
import { useRelitColour } from '../swatch/use-relit'
import type { ActionResult } from '../form/action-result'
import { BestHere } from './best-here'
import type { RankedFor } from './room-ranking'
import { ComparatorStrip, FamilyWords } from './comparator-strip'
import { DeckMap } from './deck-map'
import { useDeckReflectances } from './deck-reflectances'
import { DeckSearch } from './deck-search-box'
import { stripsOf, type DeckEntry } from './deck-strips'
import { LikeThisBut } from './like-this-but'
import { StrengthLadder } from './strength-ladder'
import { StripFan } from './strip-fan'

export interface TakenCandidate {
  readonly id: string
  readonly deckColourId: string
  readonly code: string
  readonly name: string
  readonly strengthPercent: number
  readonly reflectance: Reflectance
}

interface Props {
  readonly visitId: string
  readonly deck: {
    readonly id: string
    readonly maker: string
    readonly name: string
    readonly whiteBase: Reflectance
  }
  readonly entries: readonly DeckEntry[]
  readonly candidates: readonly TakenCandidate[]
  readonly rankedFor: RankedFor
  readonly actions: {
    readonly takeUp: (candidate: {
      id: string
      visitId: string
      deckColourId: string
      strengthPercent: number
    }) => Promise<ActionResult>
    readonly dropUnseen: (id: string) => Promise<ActionResult>
  }
}

const STRIPS_SHOWN = 14

/** A deck in strips under the room's light; a colour at a strength becomes a candidate. */
export function ShortlistView({ visitId, deck, entries, candidates, rankedFor, actions }: Props) {
  const reflectances = useDeckReflectances(deck.id)
  const strips = useMemo(() => stripsOf(entries), [entries])
  const [first, setFirst] = useState(0)
  const [picked, setPicked] = useState<number | null>(null)
  // The strength that the room's ranking proposes of the colour at hand.
  const [proposed, setProposed] = useState<number | null>(null)
  const heading = useRef<HTMLHeadingElement>(null)
  const [message, setMessage] = useState('')
  const [, start] = useTransition()

  function show(place: number): void {
    const column = strips.findIndex(({ places }) => places.includes(place))
    setFirst(
      Math.max(0, Math.min(strips.length - STRIPS_SHOWN, column - Math.floor(STRIPS_SHOWN / 2))),
    )
    pick(place)
  }

  function pick(place: number): void {
    setPicked(place)
    setProposed(null)
  }

  /** A proposal is answered where it is taken up: the eye and the keys go there. */
  function showProposed(place: number, strengthPercent: number): void {
    flushSync(() => {
      show(place)
      setProposed(strengthPercent)
    })
    heading.current?.focus()
  }

  function say(work: () => Promise<ActionResult>, done: string): void {
    start(async () => {
      const answer = await work().catch(() => null)
      if (answer?.ok) setMessage(done)
      else setMessage(answer?.message ?? 'Not kept: the server did not answer.')
    })
  }

  const entry = picked === null ? null : entries[picked]!
  const full = picked === null ? undefined : reflectances?.[picked]
  return (
    <main className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
      <section aria-label="Deck" className="flex min-h-[22rem] min-w-0 flex-1 flex-col gap-2 p-4">
        <div className="flex flex-wrap items-center justify-between gap-x-4">
          <h1 className="text-title">
            {deck.maker}, {deck.name}
          </h1>
          <DeckSearch entries={entries} onPick={show} />
        </div>
        <DeckMap
          strips={strips}
          reflectances={reflectances}
          first={first}
          shown={STRIPS_SHOWN}
          onMove={setFirst}
        />
        <StripFan
          strips={strips.slice(first, first + STRIPS_SHOWN)}
          entries={entries}
          reflectances={reflectances}
          picked={picked}
          onPick={pick}
        />
      </section>
      <aside
        aria-label="The colour and the candidates"
        className="flex w-96 shrink-0 flex-col gap-4 overflow-y-auto border-l border-rule p-4 max-lg:w-full max-lg:border-t max-lg:border-l-0"
      >
        {entry && full ? (
          <div>
            <h2 ref={heading} tabIndex={-1} className="text-title leading-6">
              {entry.name}
            </h2>
            <p className="mb-2 text-small text-dim">
              {entry.code}, {entry.base} base;{' '}
              <FamilyWords reflectance={full} rules={rankedFor.rules} />{' '}
              <OutOfGamut reflectance={full} />
            </p>
            <StrengthLadder
              entry={entry}
              full={full}
              whiteBase={deck.whiteBase}
              weakestPercent={rankedFor.weakestPercent}
              proposedPercent={proposed}
              taken={
                new Set(
                  candidates
                    .filter((c) => c.deckColourId === entry.id)
                    .map((c) => c.strengthPercent),
                )
              }
              onTake={(strengthPercent) =>
                say(
                  () =>
                    actions.takeUp({
                      id: crypto.randomUUID(),
                      visitId,
                      deckColourId: entry.id,
                      strengthPercent,
                    }),
                  `${entry.name} at ${strengthPercent} % is a candidate.`,
                )
              }
            />
            <p className="my-3">
              <Link
                className="key"
                href={`trial?deck=${deck.id}&colour=${encodeURIComponent(entry.code)}`}
              >
                Put it on trial
              </Link>
            </p>
            {reflectances && picked !== null && (
              <LikeThisBut key={picked} {...{ entries, reflectances, picked }} onPick={show} />
            )}
            <div className="mt-4">
              <ComparatorStrip reflectance={full} />
            </div>
          </div>
        ) : (
          <p className="text-small">
            Pick a colour of a strip to see it at its strengths and take it up.
          </p>
        )}
        <BestHere
          {...{ entries, reflectances, picked }}
          by={rankedFor}
          whiteBase={deck.whiteBase}
          onPick={showProposed}
        />
        <p role="status" className="min-h-5 text-small font-semibold">
          {message}
        </p>
        <section aria-label="Candidates" className="border-t border-ink pt-2">
          <h2 className="text-title">Candidates</h2>
          {candidates.length === 0 && <p className="text-small">None taken up yet.</p>}
          <ul>
            {candidates.map((candidate) => (
              <li key={candidate.id} className="flex items-center gap-3 border-b border-rule">
                <RelitPatch
                  reflectance={candidate.reflectance}
                  label={`${candidate.name} at ${candidate.strengthPercent} per cent`}
                  className="h-12 w-16 shrink-0"
                />
                <span className="flex-1 text-small">
                  {candidate.name} <span className="text-dim">{candidate.code}</span>,{' '}
                  {candidate.strengthPercent} %
                </span>
                <button
                  type="button"
                  className="min-h-11 px-2 text-small underline underline-offset-4"
                  aria-label={`Drop ${candidate.name} at ${candidate.strengthPercent} %`}
                  onClick={() =>
                    say(() => actions.dropUnseen(candidate.id), `${candidate.name} dropped.`)
                  }
                >
                  Drop
                </button>
              </li>
            ))}
          </ul>
        </section>
      </aside>
    </main>
  )
}

function OutOfGamut({ reflectance }: { readonly reflectance: Reflectance }) {
  return <GamutMark colour={useRelitColour(reflectance)} />
}
