'use client'

import { useMemo } from 'react'
import { chancePercent, JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { dayByClock } from '@/core/light/zone-clock'
import { differs } from '@/core/record/agreement'
import { isVerdict } from '@/core/record/look'
import { lightSaid, lookSaid, seenSaid } from '@/core/record/look-words'
import { Figures } from '../form/figures'
import { useLight } from '../light-bar/light-context'
import type { ShownLook } from '../record/visit-record'
import { useSettings } from '../settings/settings-context'
import { JudgementMark } from '../verdict/verdict-mark'
import { PhotoLink } from './moment-photo'
import { readingOf, type BenchPair } from './bench-model'

/** What the consultant said of a pair, and beside it, only then, the model's reading. */
export function Readings({
  pair,
  looks,
  onStrike,
}: {
  readonly pair: BenchPair
  readonly looks: readonly ShownLook[]
  readonly onStrike: (look: ShownLook) => void
}) {
  const { roomDay, zone } = useLight()
  const { firstSpeaks } = useSettings()
  if (looks.length === 0 && firstSpeaks === 'eye') return null
  const latest = looks.filter((look) => !look.retracted).at(-1)
  // A lean, or the best of a fan, is no verdict: the model waits for one.
  const ruled = looks.filter((look) => !look.retracted && isVerdict(look)).at(-1)
  return (
    <div className="grid max-h-28 grid-cols-2 gap-6 overflow-y-auto max-sm:max-h-none border-t border-rule pt-1 text-small max-sm:grid-cols-1">
      <section aria-label="Your looks">
        <ul>
          {looks.map((look) => (
            <li key={look.id} className="flex items-start gap-2">
              <p>
                <span className={look.retracted ? 'line-through' : 'font-medium'}>
                  {lookSaid(look)}
                </span>{' '}
                <span className="text-dim">
                  {look.against.kind === 'keeper' && look.against.part && `${look.against.part}; `}
                  {lightSaid(look.light, roomDay.place, (date) => dayByClock(zone, date))};{' '}
                  {seenSaid(look)}
                  {look.note && `; “${look.note}”`}
                  {look.client &&
                    `; client: ${look.client.says}${look.client.words && ` “${look.client.words}”`}`}
                  {look.photoHash && (
                    <>
                      ; <PhotoLink hash={look.photoHash} />
                    </>
                  )}
                  {look.waiting && '; waiting to be saved'}
                </span>
              </p>
              {look === latest && look.commandId && !look.waiting && (
                <button
                  type="button"
                  className="-my-2 ml-auto min-h-9 shrink-0 px-2 underline underline-offset-4"
                  onClick={() => onStrike(look)}
                >
                  Undo
                </button>
              )}
            </li>
          ))}
        </ul>
      </section>
      {(ruled || firstSpeaks === 'model') && <ModelLine pair={pair} said={ruled ?? null} />}
    </div>
  )
}

function ModelLine({ pair, said }: { readonly pair: BenchPair; readonly said: ShownLook | null }) {
  const { prepared } = useLight()
  const part = said?.against.kind === 'keeper' ? said.against.part : null
  const reading = useMemo(() => prepared && readingOf(prepared, pair, part), [prepared, pair, part])
  if (!reading) return null
  const { judgement, chance, strength, sentence, back, wall, finish } = reading
  const lighter = wall.j - finish.j
  // What it said then is on record; it is shown where the light of the page has moved on, or the model has.
  const then = said?.model && said.model.sentence !== sentence ? said.model : null
  return (
    <section aria-label="The model’s reading" data-judgement={judgement}>
      <p className="flex items-center gap-2">
        <JudgementMark judgement={judgement} />
        <span className="font-medium">
          Model in this light: {JUDGEMENT_WORDS[judgement]}, {chancePercent(chance)}
          {strength && `; works ${strength.word} at ${strength.percent} %`}
        </span>
        {said?.verdict && differs(chance, said.verdict) && (
          <span className="text-dim">differs from yours</span>
        )}
      </p>
      <p>
        {sentence} The wall {back.words}.
      </p>
      {then && (
        <p className="text-dim">
          At your look: {JUDGEMENT_WORDS[then.judgement]}, {chancePercent(then.chance)}.{' '}
          {then.sentence}
        </p>
      )}
      <Figures>
        Lean {wall.c.toFixed(1)} beside {finish.c.toFixed(1)}, {Math.abs(lighter).toFixed(1)} J′{' '}
        {lighter >= 0 ? 'lighter' : 'darker'}
      </Figures>
    </section>
  )
}
