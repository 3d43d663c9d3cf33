'use client'

import { deckWords } from '../deck/deck-words'
import { PaintLink } from '../frame/paint-link'
import { useEffect, useMemo, useRef } from 'react'
import { isPrintedOff, lrvPercent } from '@/core/paint/lrv'
import { atStrength } from '@/core/paint/strength'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { differenceWords } from '@/core/undertone/difference-words'
import type { Surface } from '@/core/record/proposal'
import { seenLine, seenWords } from '@/core/undertone/drawn'
import { undertoneOf } from '@/core/undertone/undertone'
import type { AtStrength } from '@/workers/rank-protocol'
import { useLight } from '../light-bar/light-context'
import { GamutMark } from '../swatch/patch'
import { RelitPatch } from '../swatch/relit-patch'
import { useRelitColour } from '../swatch/use-relit'
import { namesakesOf, type ListedDecks } from '../deck/listed-decks'
import { TakeFor } from '../record/taking'

/** The colour at hand: what it is, whose it is, and the keys that take it further. */
export function AtHand({
  decks,
  at,
  asked,
  onRung,
  onSurface,
}: {
  readonly decks: ListedDecks
  readonly asked: number
  readonly onRung: (by: 1 | -1) => void
  readonly at: AtStrength
  readonly onSurface: (surface: Surface) => void
}) {
  const { prepared } = useLight()
  const heading = useRef<HTMLHeadingElement>(null)
  useEffect(() => {
    if (asked > 0) heading.current?.focus()
  }, [asked])
  const colour = decks.colours[at.place]!
  const full = decks.reflectanceOf(at.place)
  const reflectance = useMemo(
    () => atStrength(full, colour.whiteBase, at.strengthPercent),
    [full, colour, at.strengthPercent],
  )
  const lrvHere = lrvPercent(reflectance)
  const lrv = decks.lrvs[at.place]!
  const printed = colour.printedLrvPercent
  const others = useMemo(() => namesakesOf(decks, at.place), [decks, at.place])
  return (
    <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-3 gap-y-1">
      <RelitPatch
        reflectance={reflectance}
        label={`${colour.name} at ${at.strengthPercent} per cent`}
        className="h-12 w-16 shrink-0"
      />
      <div className="min-w-0 flex-1 basis-56">
        <h1 ref={heading} tabIndex={-1} className="text-title leading-6">
          <PaintLink deckColourId={colour.id} strengthPercent={at.strengthPercent}>
            {colour.name} at {at.strengthPercent} %
          </PaintLink>
        </h1>
        <p className="text-fine text-dim">
          {decks.decks.length > 1 && `${deckWords(colour.deck)}, `}
          {colour.code}, LRV {Math.round(lrvHere)};{' '}
          {prepared ? seenLine(seenWords(prepared, reflectance)) : 'too dark to see'}{' '}
          <OutOfGamut reflectance={reflectance} />
          {printed !== null && isPrintedOff(printed, lrv) && (
            <span className="font-medium text-ink">
              {' '}
              Printed LRV {printed}, its reading says {lrv.toFixed(0)}.
            </span>
          )}
          {others.map((other) => (
            <span key={other.id} className="block">
              {deckWords(other.deck)} has another paint of that name,{' '}
              {differenceWords(undertoneOf(DAYLIGHT, full), decks.undertoneOf(other.place))}.
            </span>
          ))}
        </p>
      </div>
      <span className="flex print:hidden">
        {(
          [
            [-1, 'A rung weaker', '−'],
            [1, 'A rung stronger', '+'],
          ] as const
        ).map(([by, label, sign]) => (
          <button
            key={label}
            type="button"
            className="key -ml-px px-3 first:ml-0"
            aria-label={label}
            onClick={() => onRung(by)}
          >
            {sign}
          </button>
        ))}
      </span>
      <TakeFor
        colour={{ deckColourId: colour.id, name: colour.name, strengthPercent: at.strengthPercent }}
        onSurface={onSurface}
      />
    </div>
  )
}

function OutOfGamut({ reflectance }: { readonly reflectance: Float64Array }) {
  return <GamutMark colour={useRelitColour(reflectance)} />
}
