'use client'

import { useMemo, useState } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import { lrvPercent } from '@/core/paint/lrv'
import { halfTintWords, strengthEffect } from '@/core/undertone/strength-effect'
import {
  atStrength,
  ladderOf,
  strengthForLrv,
  strengthWords,
  whyNoLadder,
} from '@/core/paint/strength'
import { useLight } from '../light-bar/light-context'
import { RelitPatch } from '../swatch/relit-patch'
import type { DeckEntry } from './deck-strips'

/** A colour at its usual strengths, touching, each with what the strength does and a key to take it. */
export function StrengthLadder({
  entry,
  full,
  whiteBase,
  weakestPercent,
  proposedPercent,
  taken,
  onTake,
}: {
  readonly entry: DeckEntry
  readonly full: Reflectance
  readonly whiteBase: Reflectance
  /** The house rule. */
  readonly weakestPercent: number
  /** The strength that the room's ranking proposes, where it does. */
  readonly proposedPercent: number | null
  readonly taken: ReadonlySet<number>
  readonly onTake: (strengthPercent: number) => void
}) {
  const { prepared } = useLight()
  const reason = whyNoLadder(entry.base)
  const rungs = useMemo(
    () =>
      ladderOf(entry.base).map((strengthPercent) => ({
        strengthPercent,
        reflectance: atStrength(full, whiteBase, strengthPercent),
      })),
    [full, whiteBase, entry.base],
  )
  return (
    <div>
      <ol>
        {rungs.map(({ strengthPercent, reflectance }) => (
          <li key={strengthPercent} className="grid grid-cols-[7.5rem_1fr] items-stretch">
            <RelitPatch
              reflectance={reflectance}
              label={`${entry.code} ${entry.name} ${strengthWords(strengthPercent)}`}
              className="h-full min-h-20 w-full"
            />
            <div className="flex flex-col gap-1 py-1 pl-3">
              <p className="text-fine">
                {strengthPercent === proposedPercent && (
                  <span className="font-semibold">Proposed for this room. </span>
                )}
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
      {!reason && <WantedLrv {...{ entry, full, whiteBase, taken, onTake }} />}
      {reason && (
        <p className="mt-2 text-small">
          {reason} {halfTintWords(full, whiteBase, entry.base)}
        </p>
      )}
    </div>
  )
}

/** The other way round: a wanted lightness, and the strength that comes nearest to it. */
function WantedLrv({
  entry,
  full,
  whiteBase,
  taken,
  onTake,
}: {
  readonly entry: DeckEntry
  readonly full: Reflectance
  readonly whiteBase: Reflectance
  readonly taken: ReadonlySet<number>
  readonly onTake: (strengthPercent: number) => void
}) {
  const [typed, setTyped] = useState('')
  const wanted = Number(typed.replace(',', '.'))
  const asked = typed.trim() !== ''
  const valid = asked && wanted >= 0 && wanted <= 100
  const strength = useMemo(
    () => (valid ? strengthForLrv(full, whiteBase, entry.base, wanted) : null),
    [valid, wanted, full, whiteBase, entry.base],
  )
  return (
    <div className="mt-3 flex flex-wrap items-center gap-3 text-small">
      <label className="flex items-center gap-2">
        Wanted LRV
        <input
          className="field w-20"
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {asked && !valid && <span role="alert">Expected 0 to 100, got “{typed}”.</span>}
      {strength !== null && (
        <>
          <span>
            {strengthWords(strength)}: LRV{' '}
            {lrvPercent(atStrength(full, whiteBase, strength)).toFixed(0)}
          </span>
          <button
            type="button"
            className="key"
            disabled={taken.has(strength)}
            onClick={() => onTake(strength)}
          >
            Take up at {strength} %
          </button>
        </>
      )}
    </div>
  )
}
