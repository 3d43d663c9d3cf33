'use client'

import { useMemo, useState } from 'react'
import { modelVersion } from '@/core/model-version'
import { chancePercent, JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { pairReading } from '@/core/pairing/pair-reading'
import { WHITE_CARD } from '@/core/colour/appearance'
import { FINISH_VERDICTS, type FinishLook, type FinishVerdict } from '@/core/record/finish-look'
import { arrivingPairs, lookAtPair } from '@/core/round/arriving'
import { VERDICT_WORDS } from '@/core/record/verdict'
import { useKeys, type KeyWords } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'
import { useSettings } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'
import { JudgementMark, VerdictMark } from '../verdict/verdict-mark'
import { lookLight, type BenchKeeper } from './bench-model'
import { Finish } from './finish'
import { heldAs } from './held-sample'
import { BenchKey } from './hold-up-keys'
import { useHeldSample } from './use-held-sample'
import { VerdictKeys } from './verdict-keys'

const KEY_WORDS: KeyWords = [
  ['← →', 'previous pair, next pair'],
  ['H', 'the screen, or a piece of it in the light that is here'],
  ['A', 'back to the candidates'],
]

/** What arrives, held against what stays: one pair at a time, one key each. */
export function ArrivingBench({
  visitId,
  roomId,
  keepers,
  looks,
  onBack,
}: {
  readonly visitId: string
  readonly roomId: string
  /** The dearest first. */
  readonly keepers: readonly BenchKeeper[]
  readonly looks: readonly FinishLook[]
  readonly onBack: () => void
}) {
  const { choice, light, prepared, roomDay } = useLight()
  const { change, busy, message } = useChange()
  const { firstSpeaks } = useSettings()
  const pairs = useMemo(() => arrivingPairs(keepers), [keepers])
  const [given, setGiven] = useState<ReadonlySet<string>>(new Set())
  // A piece of it is seen now: once the bar is moved from now one looks at the screen again.
  const { held, hold, problem } = useHeldSample()
  const seenAs: FinishLook['seenAs'] = held.held === null ? 'screen' : 'sample'
  const [index, setIndex] = useState(() =>
    Math.max(
      0,
      pairs.findIndex((each) => lookAtPair(looks, each) === null),
    ),
  )
  const pair = pairs[index]!
  const byId = (id: string): BenchKeeper => keepers.find((keeper) => keeper.id === id)!
  const [arriving, beside] = [byId(pair.arrivingId), byId(pair.besideId)]
  const look = lookAtPair(looks, pair)
  const key = `${pair.arrivingId} ${pair.besideId}`
  const isAsked = (each: (typeof pairs)[number]): boolean =>
    lookAtPair(looks, each) !== null || given.has(`${each.arrivingId} ${each.besideId}`)
  const reading = useMemo(() => {
    const largest = arriving.colours.reduce((p, q) => (q.sharePercent > p.sharePercent ? q : p))
    const { reflectance, source } = largest
    // A colour that told its own ± has no kind of reading: it counts as sure as an eye.
    const by = typeof source === 'string' ? source : 'eye'
    return (
      prepared && pairReading(prepared, { reflectance, source: by, strengthPercent: 100 }, beside)
    )
  }, [prepared, arriving, beside])

  const go = (by: number): void => setIndex((index + by + pairs.length) % pairs.length)

  function rule(verdict: FinishVerdict): void {
    // Pressed again before there was an answer: it is the same look.
    if (busy && given.has(key)) return
    setGiven((before) => new Set([...before, key]))
    const kept = change(
      'keep-finish-look',
      {
        ...{ visitId, roomId, seenAs, verdict },
        ...pair,
        lookId: newId(),
        light: lookLight(roomDay, choice, light, ''),
        model: reading && {
          version: modelVersion(beside.role.eye),
          judgement: reading.judgement,
          chance: reading.chance,
          sentence: reading.sentence,
        },
      },
      `${arriving.name} beside ${beside.name}: ${VERDICT_WORDS[verdict]}.`,
    )
    void kept.then((answer) => {
      if (answer?.ok === false)
        setGiven((before) => new Set([...before].filter((each) => each !== key)))
    })
    const next = pairs.findIndex((each, i) => i !== index && !isAsked(each))
    if (next >= 0) setIndex(next)
  }

  const turn = (): void => hold(heldAs(held, seenAs === 'screen' ? 'board' : null, 100))
  useKeys(
    {
      ArrowRight: () => go(1),
      ArrowLeft: () => go(-1),
      h: turn,
      a: onBack,
    },
    KEY_WORDS,
  )
  return (
    <main className="flex min-h-0 flex-1 flex-col max-sm:overflow-y-auto">
      <h1 className="sr-only">Bench: what arrives beside what stays</h1>
      <div className="relative min-h-60 flex-1 overflow-hidden">
        <div className="absolute inset-0">
          <RelitPatch reflectance={WHITE_CARD} className="h-full w-full" />
        </div>
        <div className="absolute inset-x-6 inset-y-3 flex">
          {[beside, arriving].map((keeper) => (
            <div key={keeper.id} className="min-w-0 flex-1">
              <Finish keeper={keeper} />
            </div>
          ))}
        </div>
      </div>
      <div className="flex flex-col gap-1 px-4 py-1">
        <div className="grid grid-cols-[1fr_auto_1fr] items-center gap-4 max-sm:grid-cols-1">
          <p>
            <span className="font-display text-title">{beside.name}</span>{' '}
            <span className="text-small text-dim">{beside.state}</span>
          </p>
          <p className="text-center text-small" data-testid="progress">
            {pairs.filter(isAsked).length} of {pairs.length}
          </p>
          <p className="text-right">
            <span className="font-display text-title">{arriving.name}</span>{' '}
            <span className="text-small text-dim">arriving</span>
          </p>
        </div>
        {(look || firstSpeaks === 'model') && reading && (
          <p className="flex items-center gap-2 border-t border-rule pt-1 text-small">
            {look && (
              <>
                <VerdictMark verdict={look.verdict} /> You: {VERDICT_WORDS[look.verdict]}
                {look.seenAs === 'screen' && ', on the screen'}.{' '}
              </>
            )}
            <JudgementMark judgement={reading.judgement} /> Model in this light:{' '}
            {JUDGEMENT_WORDS[reading.judgement]}, chance {chancePercent(reading.chance)}.{' '}
            {reading.sentence}
          </p>
        )}
        <VerdictKeys verdicts={FINISH_VERDICTS} onVerdict={rule} />
        <div className="flex flex-wrap items-center justify-between gap-x-4 text-fine text-dim">
          <BenchKey letter="H" onClick={turn} pressed={seenAs === 'sample'}>
            {seenAs === 'screen' ? 'On the screen: never counted as seen' : 'A piece of it, here'}
          </BenchKey>
          <span role="status" className="text-small font-semibold text-ink">
            {problem || message}
          </span>
          <BenchKey letter="A" onClick={onBack}>
            Back to the candidates
          </BenchKey>
        </div>
      </div>
    </main>
  )
}
