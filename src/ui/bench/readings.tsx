'use client'

import { useMemo } from 'react'
import { chancePercent, isBad, isGood } from '@/core/pairing/chance'
import { pairReading } from '@/core/pairing/pair-reading'
import type { Verdict } from '@/core/record/verdict'
import { useLight } from '../light-bar/light-context'
import { lightWords, verdictSentence } from '../verdict/look-words'
import { JudgementMark } from '../verdict/verdict-mark'
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
    () => prepared && pairReading(prepared, pair.candidate, pair.keeper, pair.candidate.ladder),
    [prepared, pair],
  )
  if (!reading) return null
  const { judgement, chance, strength, sentence, back, wall, finish } = reading
  const lighter = wall.j - finish.j
  return (
    <section aria-label="The model’s reading" data-judgement={judgement}>
      <p className="flex items-center gap-2">
        <JudgementMark judgement={judgement} />
        <span className="font-medium">
          Model in this light: {judgement}, chance {chancePercent(chance)}
          {strength && `; works ${strength.word} at ${strength.percent} %`}
        </span>
        {differs(chance, said.verdict) && (
          <span className="text-dim">differs from yours; both are kept</span>
        )}
      </p>
      <p>
        {sentence} The wall {back.words}.
      </p>
      <p className="text-fine text-dim">
        Lean {wall.c.toFixed(1)} beside {finish.c.toFixed(1)}, {Math.abs(lighter).toFixed(1)} J′{' '}
        {lighter >= 0 ? 'lighter' : 'darker'}
      </p>
    </section>
  )
}

/** Whether the eye and a chance say different things; an unsure one of them does not differ. */
function differs(chance: number, verdict: Verdict): boolean {
  if (verdict === 'works') return isBad(chance)
  if (verdict === 'unsure') return false
  return isGood(chance)
}
