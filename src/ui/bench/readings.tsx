'use client'

import { Popover } from 'radix-ui'
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

/** What the consultant said of a pair last, and beside it, only then, the model's reading: in a line each, and in full behind one press. */
export function Readings({
  pair,
  looks,
  onStrike,
}: {
  readonly pair: BenchPair
  readonly looks: readonly ShownLook[]
  readonly onStrike: (look: ShownLook) => void
}) {
  const { firstSpeaks } = useSettings()
  // A lean, or what the client says, is no verdict: the model waits for one.
  const ruled = looks.filter((look) => !look.retracted && isVerdict(look)).at(-1) ?? null
  const latest = looks.filter((look) => !look.retracted).at(-1)
  const shown = latest ?? looks.at(-1)
  const speaks = ruled !== null || firstSpeaks === 'model'
  if (!shown && !speaks) return null
  return (
    <div className="grid grid-cols-2 gap-x-6 leading-5 max-sm:grid-cols-1">
      {shown && (
        <section aria-label="Your looks" className="flex items-start gap-2">
          <p className="line-clamp-2 flex-1">
            <LookWords look={shown} />
          </p>
          {shown === latest && shown.commandId && !shown.waiting && (
            <button
              type="button"
              className="-my-2 min-h-9 shrink-0 px-1 underline underline-offset-4"
              onClick={() => onStrike(shown)}
            >
              Undo
            </button>
          )}
        </section>
      )}
      {speaks && <ModelLine {...{ pair, looks }} said={ruled} />}
    </div>
  )
}

function ModelLine({
  pair,
  looks,
  said,
}: {
  readonly pair: BenchPair
  readonly looks: readonly ShownLook[]
  /** The verdict that it stands beside; null where it speaks first. */
  readonly said: ShownLook | null
}) {
  const { prepared } = useLight()
  const part = said?.against.kind === 'keeper' ? said.against.part : null
  const reading = useMemo(() => prepared && readingOf(prepared, pair, part), [prepared, pair, part])
  if (!reading) return null
  const { judgement, chance, strength, sentence, back, wall, finish } = reading
  // What it said then is on record; it is shown where the light of the page has moved on, or the model has.
  const then = said?.model && said.model.sentence !== sentence ? said.model : null
  return (
    <section
      aria-label="The model’s reading"
      data-judgement={judgement}
      className="flex items-start gap-2"
    >
      <JudgementMark judgement={judgement} />
      <p className="line-clamp-2 flex-1">
        <span className="font-medium">
          Model in this light: {JUDGEMENT_WORDS[judgement]}, {chancePercent(chance)}
          {strength && `; works ${strength.word} at ${strength.percent} %`}
        </span>{' '}
        {said?.verdict && differs(chance, said.verdict) && (
          <span className="text-dim">differs from yours. </span>
        )}
        {sentence}
      </p>
      <Popover.Root>
        <Popover.Trigger className="-my-2 min-h-9 shrink-0 px-1 underline underline-offset-4">
          {looks.length > 1 ? `All ${looks.length} looks` : 'In full'}
        </Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="end"
            collisionPadding={16}
            aria-label="All that was said of this pair"
            className="z-30 max-h-[60vh] w-[min(36rem,calc(100vw-2rem))] overflow-y-auto border border-ink bg-paper p-3 text-small"
          >
            <ul>
              {looks.map((look) => (
                <li key={look.id}>
                  <LookWords look={look} />
                </li>
              ))}
            </ul>
            <p className="mt-2">
              {sentence} The wall {back.words}.
            </p>
            {then && (
              <p className="text-dim">
                At your look: {JUDGEMENT_WORDS[then.judgement]}, {chancePercent(then.chance)}.{' '}
                {then.sentence}
              </p>
            )}
            <Figures>
              Lean {wall.c.toFixed(1)} beside {finish.c.toFixed(1)},{' '}
              {Math.abs(wall.j - finish.j).toFixed(1)} J′{' '}
              {wall.j >= finish.j ? 'lighter' : 'darker'}
            </Figures>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </section>
  )
}

/** A look in a line: what, of which part, in which light, how it was seen, what was said besides. */
function LookWords({ look }: { readonly look: ShownLook }) {
  const { roomDay, zone } = useLight()
  return (
    <>
      <span className={look.retracted ? 'line-through' : 'font-medium'}>{lookSaid(look)}</span>{' '}
      <span className="text-dim">
        {look.against.kind === 'keeper' && look.against.part && `${look.against.part}; `}
        {lightSaid(look.light, roomDay.place, (date) => dayByClock(zone, date))}; {seenSaid(look)}
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
    </>
  )
}
