'use client'

import { useMemo } from 'react'
import { modelReading } from '@/core/pairing/pair-reading'
import { worksDegree } from '@/core/pairing/pair-grade'
import { VERDICT_WORDS } from '@/core/record/verdict'
import { useLight } from '../light-bar/light-context'
import { lightWords, verdictSentence } from '../verdict/look-words'
import { VerdictMark } from '../verdict/verdict-mark'
import type { BenchLook, BenchPair } from './bench-model'

/** What the consultant said of a pair, and beside it, only then, the model's reading. */
export function Readings({
  pair,
  looks,
  busy,
  onUndo,
}: {
  readonly pair: BenchPair
  readonly looks: readonly BenchLook[]
  readonly busy: boolean
  readonly onUndo: (id: string) => void
}) {
  const { roomDay } = useLight()
  if (looks.length === 0) return null
  const latest = looks.filter((look) => !look.retracted).at(-1)
  return (
    <div className="grid max-h-28 grid-cols-2 gap-6 overflow-y-auto border-t border-rule pt-1 text-small max-sm:grid-cols-1">
      <section aria-label="Your looks">
        <ul>
          {looks.map((look) => (
            <li key={look.id} className="flex items-start gap-2">
              <p>
                <span className={look.retracted ? 'line-through' : 'font-medium'}>
                  {verdictSentence(look.verdict, look.reasons)}
                </span>{' '}
                <span className="text-dim">
                  {lightWords(
                    { ...look, source: look.lightSource, minute: look.lightMinute },
                    roomDay.place,
                    roomDay.day,
                  )}
                  {look.note && `; “${look.note}”`}
                </span>
              </p>
              {look === latest && (
                <button
                  type="button"
                  className="-my-2 ml-auto min-h-9 shrink-0 px-2 underline underline-offset-4"
                  disabled={busy}
                  onClick={() => onUndo(look.id)}
                >
                  Undo
                </button>
              )}
            </li>
          ))}
        </ul>
      </section>
      {latest && <ModelLine pair={pair} said={latest} />}
    </div>
  )
}

function ModelLine({ pair, said }: { readonly pair: BenchPair; readonly said: BenchLook }) {
  const { prepared } = useLight()
  const reading = useMemo(
    () =>
      prepared &&
      modelReading(
        prepared,
        pair.candidate,
        pair.keeper.colours,
        pair.candidate.ladder,
        pair.keeper.mayBeSetOff,
      ),
    [prepared, pair],
  )
  if (!reading) return null
  const { conflict, difference, lightness } = reading.measures
  const degree = reading.verdict === 'works' ? worksDegree(reading.grade) : null
  return (
    <section aria-label="The model’s reading" data-verdict={reading.verdict}>
      <p className="flex items-center gap-2">
        <VerdictMark verdict={reading.verdict} />
        <span className="font-medium">
          Model in this light: {VERDICT_WORDS[reading.verdict]}
          {degree && `, ${degree}`}
        </span>
        {reading.verdict !== said.verdict && (
          <span className="text-dim">differs from yours; both are kept</span>
        )}
      </p>
      <p>
        {reading.sentence} The wall {reading.back.words}.
      </p>
      <p className="text-fine text-dim">
        Conflict {conflict.toFixed(1)}, ΔE′ {difference.toFixed(1)}, both ±{' '}
        {reading.plusMinus.toFixed(1)}, {Math.abs(lightness).toFixed(1)} J′{' '}
        {lightness >= 0 ? 'lighter' : 'darker'}
      </p>
    </section>
  )
}
