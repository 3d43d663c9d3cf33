'use client'

import type { Reflectance } from '@/core/colour/spectrum'
import type { Sheen } from '@/core/paint/sheen'
import type { Surface } from '@/core/record/proposal'
import { Fold } from '../form/fold'
import { PaintLink } from '../frame/paint-link'
import { useTradeWords } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'
import { IsHere } from './is-here'

/** A paint of which a sample is to be fetched, or was never held. */
export interface SampleToFetch {
  readonly paint: {
    readonly id: string
    readonly deckColourId: string
    readonly code: string
    readonly name: string
    readonly deckName: string
    readonly strengthPercent: number
    readonly reflectance: Reflectance
  }
  readonly base: string
  readonly mayBeRefused: boolean
  readonly wanted: readonly {
    readonly id: string
    readonly roomId: string
    readonly room: string
    readonly surface: Surface
    readonly sheen: Sheen
    readonly reason: string
  }[]
  /** Rooms that it is proposed in. */
  readonly rooms: readonly string[]
}

/** What of a house's samples is to be fetched, of this room first: one way to the shop serves them all. */
export function ToFetch({
  visitId,
  toFetch,
}: {
  readonly visitId: string
  readonly toFetch: readonly SampleToFetch[]
}) {
  const inWords = useTradeWords()
  if (toFetch.length === 0) return null
  return (
    <section aria-label="To fetch">
      <h2 className="text-title">To fetch</h2>
      <ul>
        {toFetch.map((sample) => (
          <Line key={sample.paint.id} sample={sample}>
            {sample.wanted.map(({ id, room, surface, reason }) => (
              <span key={id} className="block text-dim">
                {room}, {inWords(surface)}
                {reason && `: ${reason}`}
              </span>
            ))}
            <IsHere
              called={`${sample.paint.name} at ${sample.paint.strengthPercent} %`}
              proposals={sample.wanted.map(({ roomId, surface, sheen }) => ({
                ...{ roomId, surface, sheen, visitId },
                candidateId: sample.paint.id,
              }))}
            />
          </Line>
        ))}
      </ul>
      <p className="text-fine text-dim">
        A name is no order: fetch by maker, deck and code. No chip exists at another strength; only
        a mixed sample shows it.
      </p>
    </section>
  )
}

/** What is proposed in the house and was never held as a sample. */
export const NeverHeld = ({ neverHeld }: { readonly neverHeld: readonly SampleToFetch[] }) =>
  neverHeld.length === 0 ? null : (
    <Fold title={`Never held as a sample: ${neverHeld.length}`}>
      <ul>
        {neverHeld.map((sample) => (
          <Line key={sample.paint.id} sample={sample}>
            <span className="text-dim">{sample.rooms.join(', ')}</span>
          </Line>
        ))}
      </ul>
    </Fold>
  )

function Line({
  sample: { paint, base, mayBeRefused },
  children,
}: {
  readonly sample: SampleToFetch
  readonly children: React.ReactNode
}) {
  return (
    <li className="flex gap-3 border-b border-rule py-2">
      <RelitPatch
        reflectance={paint.reflectance}
        label={`${paint.name} at ${paint.strengthPercent} per cent`}
        className="h-16 w-24 shrink-0"
      />
      <div className="min-w-0 text-small">
        <p>
          <PaintLink deckColourId={paint.deckColourId} strengthPercent={paint.strengthPercent}>
            {paint.code}, {paint.name}
          </PaintLink>{' '}
          <span className="text-dim">{paint.deckName}</span>
        </p>
        <p>
          {paint.strengthPercent === 100
            ? 'chip or large swatch, full strength'
            : `mix a sample at ${paint.strengthPercent} % of the formula in the same ${base} base`}
          {mayBeRefused && '; the counter may refuse to mix it at another strength'}
        </p>
        {children}
      </div>
    </li>
  )
}
