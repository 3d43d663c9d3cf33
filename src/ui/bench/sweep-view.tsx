'use client'

import { useMemo, useState } from 'react'
import { nextAlong, nextTilt } from '@/core/light/spot-steps'
import { isBad } from '@/core/pairing/chance'
import { REASONS } from '@/core/record/verdict'
import { nextToSweep, type SweptFinish } from '@/core/round/sweep'
import { leanWords } from '@/core/undertone/lean'
import { counted } from '@/core/words'
import { useKeys } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { useLightKeys } from '../light-bar/light-keys'
import type { ShownLook } from '../record/visit-record'
import { useSettings } from '../settings/settings-context'
import { SWEEP_KEYS } from './bench-keys'
import {
  faultsOfLooks,
  looksAt,
  readingOf,
  type BenchKeeper,
  type BenchPair,
  type Place,
  type ProposedCandidate,
} from './bench-model'
import { HeldKeys } from './held-keys'
import { heldAs, nextHeld } from './held-sample'
import { AroundKeys, BenchKey, useAroundKeys, useHeldUp } from './hold-up-keys'
import { ReasonKeys } from './reason-keys'
import { SweepField } from './sweep-field'
import type { useHeldSample } from './use-held-sample'
import { useSweeping } from './use-sweeping'

// As many as one can be the best of.
const MOST_COMPARED = 10

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly keepers: readonly BenchKeeper[]
  /** In the order in which they lie side by side. */
  readonly candidates: readonly ProposedCandidate[]
  readonly leaving: readonly BenchKeeper[]
  readonly finishes: readonly SweptFinish[]
  /** Of the room, oldest first. */
  readonly looks: readonly ShownLook[]
  readonly holding: ReturnType<typeof useHeldSample>
  readonly arriving: { readonly pairs: number; readonly open: () => void } | null
  /** What was held up alone a moment ago. */
  readonly openAt: Place | null
  /** On to single pairs: to one of them, or where the round is; with what came of the sweep. */
  readonly onPairs: (at: Place | null, words: string) => void
}

/** All candidates side by side past one finish: out, out, a whole lean out; what is left goes on to the next. */
export function SweepView(props: Props) {
  const { visitId, roomId, keepers, candidates, finishes, looks, holding, openAt } = props
  const { choice, prepared, settle } = useLight()
  const { firstSpeaks } = useSettings()
  const [keeperId, setKeeperId] = useState(
    openAt?.keeperId ?? nextToSweep(finishes) ?? finishes[0]!.keeperId,
  )
  const [chosenId, setChosenId] = useState(openAt?.candidateId ?? null)
  // What came of the finish before.
  const [came, setCame] = useState('')
  const finish = finishes.find((each) => each.keeperId === keeperId) ?? finishes[0]!
  const keeper = keepers.find(({ id }) => id === finish.keeperId)!
  const inHand = candidates.filter(({ id }) => finish.held.includes(id))
  const left = inHand.filter(({ id }) => !finish.out.has(id))
  const at = inHand.find(({ id }) => id === chosenId) ?? left[0] ?? inHand[0] ?? null
  const heldUp = useHeldUp(keepers.length > 1, props.leaving.length > 0)
  const second = heldUp.isTwo ? keepers[(keepers.indexOf(keeper) + 1) % keepers.length]! : null
  const sweeping = useSweeping({ visitId, roomId, keeper, held: holding.held, looks })
  const judged = useMemo(
    () =>
      new Map(
        inHand.flatMap((candidate) => {
          // Of what is out it speaks once the sweep past that finish is done; what is left waits for its own verdict.
          const isOut = finish.out.has(candidate.id) && finish.left.length === 0
          const said = isOut ? noAt(looks, { keeper, candidate })?.model : null
          const now =
            firstSpeaks === 'model' && prepared
              ? readingOf(prepared, { keeper, candidate }, null)
              : null
          const judgement = (said ?? now)?.judgement
          return judgement ? [[candidate.id, judgement] as const] : []
        }),
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is in hand is the finish's.
    [finish, keeper, candidates, looks, firstSpeaks, prepared],
  )
  const fitting = faultsOfLooks(sweeping.grouped, keepers, candidates, prepared)

  /** One out or back in; from what went out the hand moves on. */
  function turn(candidate: ProposedCandidate): void {
    if (finish.out.has(candidate.id)) return sweeping.bringBack([candidate])
    sweeping.takeOut([candidate])
    const after = [...inHand.slice(inHand.indexOf(candidate) + 1), ...inHand].find(
      (each) => each !== candidate && !finish.out.has(each.id),
    )
    setChosenId(after?.id ?? candidate.id)
  }

  const lean = at?.lean ?? null
  const alike = lean
    ? inHand.filter((each) => each.lean?.lean === lean.lean && each.lean.strong === lean.strong)
    : []
  const alikeLeft = alike.filter(({ id }) => !finish.out.has(id))

  /** Its whole lean out beside this finish, or back in. */
  function turnLean(): void {
    if (alikeLeft.length === 0) return sweeping.bringBack(alike)
    sweeping.takeOut(alikeLeft)
    setChosenId(left.find((each) => !alike.includes(each))?.id ?? chosenId)
  }

  /** The rest stay: on to the next finish, or to the pairs. */
  function goOn(): void {
    const said = wordsOfFinish(keeper, candidates, finish, looks)
    if (finish.left.length > 0) sweeping.stay(finish, said)
    const next = nextToSweep(finishes.filter((each) => each !== finish))
    if (next === null) return props.onPairs(null, said)
    setCame(said)
    setKeeperId(next)
    setChosenId(null)
  }

  const step = (by: number): void => {
    if (at) setChosenId(inHand[(inHand.indexOf(at) + by + inHand.length) % inHand.length]!.id)
  }
  const another = (by: number): void => {
    const to = finishes[(finishes.indexOf(finish) + by + finishes.length) % finishes.length]!
    setKeeperId(to.keeperId)
    setChosenId(null)
  }
  const canCompare = at !== null && left.length > 1 && left.length <= MOST_COMPARED
  const best = (): void => {
    if (canCompare && left.includes(at))
      sweeping.chooseBest(
        at,
        left.map(({ id }) => id),
      )
  }
  const alone = (): void => props.onPairs(at && { keeperId: keeper.id, candidateId: at.id }, '')

  useAroundKeys(heldUp)
  const lightKeys = useLightKeys()
  useKeys(
    {
      ArrowRight: () => step(1),
      ArrowLeft: () => step(-1),
      ArrowDown: () => another(1),
      ArrowUp: () => another(-1),
      ...lightKeys,
      ...(props.arriving && { a: props.arriving.open }),
      n: () => at && turn(at),
      l: turnLean,
      Enter: goOn,
      b: best,
      f: alone,
      d: () => settle({ spot: nextAlong(choice.spot) }),
      v: () => settle({ spot: nextTilt(choice.spot) }),
      h: () => holding.hold(heldAs(holding.held, nextHeld(holding.held.held), 100)),
    },
    SWEEP_KEYS,
  )
  const follows = nextToSweep(finishes.filter((each) => each !== finish))
  const nextName = keepers.find(({ id }) => id === follows)?.name
  return (
    <main className="flex min-h-0 flex-1 flex-col overflow-y-auto">
      <h1 className="sr-only">Bench: the sweep</h1>
      <SweepField
        {...{ keeper, second, inHand, judged }}
        out={finish.out}
        atId={at?.id ?? null}
        surround={heldUp.surround}
        around={
          heldUp.surround === 'leaving'
            ? props.leaving
            : keepers.filter((each) => each !== keeper && each !== second)
        }
        onAt={turn}
      />
      <div className="flex flex-col gap-1 px-4 py-1">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
          <p>
            <span className="font-display text-title leading-6">{keeper.name}</span>{' '}
            <span className="text-small text-dim" data-testid="in-hand">
              {left.length} in, {finish.out.size} out
            </span>
          </p>
          {finishes.length > 1 && (
            <div role="group" aria-label="Finishes" className="flex flex-wrap text-small">
              {finishes.map((each) => (
                <button
                  key={each.keeperId}
                  type="button"
                  aria-current={each === finish ? 'true' : undefined}
                  className="key -ml-px min-h-9 px-2 first:ml-0"
                  onClick={() => {
                    setKeeperId(each.keeperId)
                    setChosenId(null)
                  }}
                >
                  {keepers.find(({ id }) => id === each.keeperId)!.name}
                  {each.left.length === 0 && ' ✓'}
                </button>
              ))}
            </div>
          )}
          <span className="ml-auto flex">
            <button type="button" className="key" disabled={!at} onClick={() => at && turn(at)}>
              {at && finish.out.has(at.id) ? 'Back in' : 'Out'} <kbd className="text-fine">N</kbd>
            </button>
            {lean && (
              <button type="button" className="key -ml-px" onClick={turnLean}>
                {alikeLeft.length > 0 ? `Out: ${leanWords(lean)}` : `Back: ${leanWords(lean)}`} (
                {alikeLeft.length || alike.length}) <kbd className="text-fine">L</kbd>
              </button>
            )}
            <button type="button" className="key key-first -ml-px" onClick={goOn}>
              {nextName ? `Next: ${nextName}` : 'Pair by pair'} <kbd className="text-fine">↵</kbd>
            </button>
          </span>
        </div>
        <div className="flex min-h-13 flex-wrap items-center gap-x-4 gap-y-1 border-t border-rule text-small">
          {sweeping.grouped.length > 0 ? (
            <>
              <p className="flex-1">
                {came && <span className="block">{came}</span>}
                {counted(sweeping.grouped.length, 'colour')} out: why?
              </p>
              <ReasonKeys
                verdict="no"
                fitting={fitting}
                chosen={REASONS.filter((reason) =>
                  sweeping.grouped.every(({ reasons }) => reasons.includes(reason)),
                )}
                onToggle={sweeping.toggleReason}
              />
            </>
          ) : (
            <p>
              {came || 'Tap what is out. What is left goes on to the next finish.'}{' '}
              {holding.held.held === null && (
                <span className="font-semibold">
                  On the screen it is a first sieve and never counts; with chips in hand, press H.
                </span>
              )}
            </p>
          )}
        </div>
        <div className="flex flex-wrap items-center justify-between gap-x-4 text-fine text-dim">
          <HeldKeys sample={holding.held} candidatePercent={null} onChange={holding.hold} />
          <span
            role="status"
            aria-label="What came of it"
            className="text-small font-semibold text-ink"
          >
            {holding.problem || sweeping.words}
          </span>
          <span className="flex flex-wrap justify-end gap-x-4">
            {props.arriving && (
              <BenchKey onClick={props.arriving.open} letter="A">
                What arrives ({props.arriving.pairs})
              </BenchKey>
            )}
            {canCompare && (
              <BenchKey onClick={best} letter="B">
                Best of these {left.length}
              </BenchKey>
            )}
            <AroundKeys {...{ heldUp, second }} canBeTwo={keepers.length > 1} />
            <BenchKey onClick={alone} letter="F">
              Held up alone
            </BenchKey>
          </span>
        </div>
      </div>
    </main>
  )
}

/** "Stone counter: 5 out, 3 stay. The model agrees on 4 of 5 out." */
function wordsOfFinish(
  keeper: BenchKeeper,
  candidates: readonly ProposedCandidate[],
  { held, out }: SweptFinish,
  looks: readonly ShownLook[],
): string {
  const stay = held.length - out.size
  const said = `${keeper.name}: ${out.size} out, ${stay === 0 ? 'none stays' : stay === 1 ? '1 stays' : `${stay} stay`}.`
  const models = candidates.flatMap((candidate) => {
    const model = out.has(candidate.id) ? noAt(looks, { keeper, candidate })?.model : null
    return model ? [model] : []
  })
  if (models.length === 0) return said
  const alike = models.filter(({ chance }) => isBad(chance)).length
  return `${said} The model agrees on ${alike} of ${models.length} out.`
}

/** The latest no that stands at a pair. */
const noAt = (looks: readonly ShownLook[], pair: BenchPair): ShownLook | undefined =>
  looksAt(looks, pair).findLast(({ verdict, retracted }) => verdict === 'no' && !retracted)
