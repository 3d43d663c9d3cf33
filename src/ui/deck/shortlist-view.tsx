'use client'

import Link from 'next/link'
import { useMemo, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import type { Reflectance } from '@/core/colour/spectrum'
import { sheenOf, type Treatment } from '@/core/paint/treatment'
import type { RoomBrief } from '@/core/ranking/asked-room'
import { GamutMark } from '../swatch/patch'
import { takingUp } from '../record/taking-up'
import { useChange } from '../record/use-change'
import { useRelitColour } from '../swatch/use-relit'
import { BestHere } from './best-here'
import { useRankedFor } from './use-ranked-for'
import { ComparatorStrip, FamilyWords } from './comparator-strip'
import { DeckMap } from './deck-map'
import { useDeckReflectances } from './deck-reflectances'
import { DeckSearch } from './deck-search-box'
import { stripsOf, type DeckEntry } from './deck-strips'
import { LikeThisBut } from './like-this-but'
import type { TakenCandidate } from './proposal-line'
import { Proposals } from './proposals'
import { StrengthLadder } from './strength-ladder'
import { StripFan } from './strip-fan'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly deck: {
    readonly id: string
    readonly maker: string
    readonly name: string
    readonly whiteBase: Reflectance
  }
  readonly entries: readonly DeckEntry[]
  readonly candidates: readonly TakenCandidate[]
  readonly brief: RoomBrief
  readonly weakestPercent: number
  readonly treatment: Treatment
}

const STRIPS_SHOWN = 14

/** A deck in strips under the room's light; a colour at a strength becomes a candidate. */
export function ShortlistView({
  visitId,
  roomId,
  deck,
  entries,
  candidates,
  brief,
  weakestPercent,
  treatment,
}: Props) {
  const rankedFor = useRankedFor(brief, weakestPercent)
  const reflectances = useDeckReflectances(deck.id)
  const strips = useMemo(() => stripsOf(entries), [entries])
  const [first, setFirst] = useState(0)
  const [picked, setPicked] = useState<number | null>(null)
  // The strength that the room's ranking proposes of the colour at hand.
  const [proposed, setProposed] = useState<number | null>(null)
  const heading = useRef<HTMLHeadingElement>(null)
  const { change, message } = useChange()

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

  /** What was asked for is answered where it is taken up: the eye and the keys go there. */
  function answerWith(place: number, strengthPercent: number | null): void {
    flushSync(() => {
      show(place)
      setProposed(strengthPercent)
    })
    heading.current?.focus()
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
          <DeckSearch entries={entries} onPick={(place) => answerWith(place, null)} />
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
                    .filter(
                      (c) =>
                        c.deckColourId === entry.id &&
                        c.proposals.some((proposal) => proposal.roomId === roomId),
                    )
                    .map((c) => c.strengthPercent),
                )
              }
              onTake={(strengthPercent) =>
                void change(
                  'take-up',
                  takingUp({
                    visitId,
                    roomId,
                    deckColourId: entry.id,
                    strengthPercent,
                    sheen: sheenOf[treatment],
                  }),
                  `${entry.name} at ${strengthPercent} % is proposed for the walls.`,
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
          onPick={answerWith}
        />
        <p role="status" className="min-h-5 text-small font-semibold">
          {message}
        </p>
        <Proposals {...{ visitId, roomId, candidates, change }} sheen={sheenOf[treatment]} />
      </aside>
    </main>
  )
}

function OutOfGamut({ reflectance }: { readonly reflectance: Reflectance }) {
  return <GamutMark colour={useRelitColour(reflectance)} />
}
