'use client'

import { VERDICT_WORDS } from '@/core/record/verdict'
import { RelitPatch } from '../swatch/relit-patch'
import { Notches } from '../verdict/notches'
import { VerdictMark } from '../verdict/verdict-mark'
import type { RulingCandidate } from './ruling-model'

/** How one candidate stands with a surface: in which lights it works, what that rests on, and the look that says so. */
export function CandidateLine({
  candidate,
  isPick,
  isLocked,
  severalDecks,
  onPick,
}: {
  readonly candidate: RulingCandidate
  readonly isPick: boolean
  readonly isLocked: boolean
  /** Whether the candidates are of more than one deck. */
  readonly severalDecks: boolean
  readonly onPick: () => void
}) {
  const { paint, verdict, ruledOut, inLights, founded, named, lrvPercent } = candidate
  const called = `${paint.name} at ${paint.strengthPercent} %`
  return (
    <li className="border-b border-rule">
      <label className="flex min-h-16 items-stretch gap-3 has-checked:bg-mist">
        <span className="flex w-11 shrink-0 items-center justify-center max-sm:w-8">
          <input
            type="radio"
            name="pick"
            className="size-5 accent-ink"
            checked={isPick}
            disabled={isLocked || ruledOut !== null}
            onChange={onPick}
            aria-label={called}
          />
        </span>
        <RelitPatch reflectance={paint.reflectance} className="w-20 shrink-0 max-sm:w-12" />
        <span className="min-w-0 flex-1 py-1 leading-5">
          <span className="font-display text-body">{called}</span>{' '}
          <span className="text-fine text-dim">
            {severalDecks && `${paint.deckName}, `}
            {paint.code}, LRV {Math.round(lrvPercent)}
          </span>
          <span className="flex flex-wrap items-center gap-x-2 text-small">
            <VerdictMark verdict={ruledOut === null ? verdict : 'no'} />
            {ruledOut !== null
              ? `ruled out: ${ruledOut}`
              : inLights.join(', ') || (verdict ? VERDICT_WORDS[verdict] : 'not seen yet')}
            {founded.notches !== 0 && (
              <span className="flex items-center gap-1 text-fine text-dim">
                <Notches count={founded.notches} /> {founded.words}
              </span>
            )}
          </span>
          {named && verdict !== 'works' && (
            <span className="block text-fine text-dim">{named}</span>
          )}
          {candidate.clientSaysNo && (
            <span className="block text-fine font-medium">the client says no</span>
          )}
        </span>
      </label>
    </li>
  )
}
