'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { halfTintWords, strengthEffect } from '@/core/judge/strength-effect'
import { atStrength, STRENGTHS_PERCENT, strengthWords, whyNoLadder } from '@/core/paint/strength'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { DeckEntry } from './deck-strips'

/** A colour at its usual strengths, touching, each with what the strength does and a key to take it. */
export function StrengthLadder({
  entry,
  full,
  whiteBase,
  weakestPercent,
  taken,
  onTake,
}: {
  readonly entry: DeckEntry
  readonly full: Reflectance
  readonly whiteBase: Reflectance
  /** The house rule. */
  readonly weakestPercent: number
  readonly taken: ReadonlySet<number>
  readonly onTake: (strengthPercent: number) => void
}) {
  const { prepared } = useLight()
  const reason = whyNoLadder(entry.base)
  const rungs = useMemo(
    () =>
      (reason ? STRENGTHS_PERCENT.slice(0, 1) : STRENGTHS_PERCENT).map((strengthPercent) => ({
        strengthPercent,
        reflectance: atStrength(full, whiteBase, strengthPercent),
      })),
    [full, whiteBase, reason],
  )
  return (
    <div>
      <ol>
        {rungs.map(({ strengthPercent, reflectance }) => (
          <li key={strengthPercent} className="grid grid-cols-[7.5rem_1fr] items-stretch">
            <RelitPatch
              reflectance={reflectance}
              label={`${entry.code} ${entry.name} ${strengthWords(strengthPercent)}`}
              className="h-full min-h-24 w-full"
            />
            <div className="flex flex-col gap-1 py-1 pl-3">
              <p className="text-fine">
                {prepared && strengthEffect(prepared, full, reflectance).words}
                {strengthPercent < weakestPercent &&
                  `; below the house rule of ${weakestPercent} %`}
              </p>
              <button
                type="button"
                className="key mt-auto self-start"
                disabled={taken.has(strengthPercent)}
                onClick={() => onTake(strengthPercent)}
              >
                {taken.has(strengthPercent)
                  ? `Taken up at ${strengthPercent} %`
                  : `Take up at ${strengthPercent} %`}
              </button>
            </div>
          </li>
        ))}
      </ol>
      {reason && (
        <p className="mt-2 text-small">
          {reason} {halfTintWords(full, whiteBase, entry.base)}
        </p>
      )}
    </div>
  )
}
