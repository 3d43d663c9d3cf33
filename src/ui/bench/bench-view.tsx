'use client'

import { useSearchParams } from 'next/navigation'
import { useMemo, useState } from 'react'
import { nextAlong, nextTilt } from '@/core/light/spot-steps'
import { isSameLight } from '@/core/record/cell'
import { isVerdict, type ClientResponse } from '@/core/record/look'
import { VERDICTS, type Verdict } from '@/core/record/verdict'
import { lightThatMatters } from '@/core/round/light-that-matters'
import { roundOf } from '@/core/round/round'
import { whatCame } from '@/core/round/what-stands'
import { keyLights } from '@/core/light/key-lights'
import { isLeanOut, type Lean } from '@/core/undertone/lean'
import { writeAddress } from '../frame/page-address'
import { Spared } from '../frame/spared'
import { useKeys } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { useLightKeys } from '../light-bar/light-keys'
import { useLooks, type ShownLook } from '../record/visit-record'
import { useSettings } from '../settings/settings-context'
import {
  fanOf,
  indexOf,
  ofLook,
  pairsOf,
  placeInAddress,
  type Place,
  lookLight,
  namesOf,
  looksAt,
  type BenchKeeper,
  type BenchPair,
  type ProposedCandidate,
} from './bench-model'
import { LeanKey } from './lean-key'
import { HeldKeys } from './held-keys'
import { BENCH_KEYS } from './bench-keys'
import { BenchKey, HoldUpKeys, useHeldUp } from './hold-up-keys'
import { heldAs, mannerOf, nextHeld } from './held-sample'
import { ClientView, OnFourWalls, WhatNext } from './later-parts'
import { LastLook } from './last-look'
import { PairLine } from './pair-line'
import { Readings } from './readings'
import { useGiving } from './use-giving'
import { useHeldSample } from './use-held-sample'
import { AGAIN_KEY, RuledJustNow } from './ruled-just-now'
import { SwatchField } from './swatch-field'
import { VerdictKeys } from './verdict-keys'
import type { RoomToSearch } from './what-next'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly roomName: string
  readonly keepers: readonly BenchKeeper[]
  readonly candidates: readonly ProposedCandidate[]
  /** Leans that are out of this room. */
  readonly without: readonly Lean[]
  readonly looks: readonly ShownLook[]
  /** What is there now and leaves: never judged against. */
  readonly leaving: readonly BenchKeeper[]
  readonly search: RoomToSearch
  /** How many pairs there are of what arrives and what stays, and how to hold those; null without any. */
  readonly arriving: { readonly pairs: number; readonly open: () => void } | null
}

/** One pair at a time, as large as the screen allows; the eye rules, then the model shows its reading. */
export function BenchView(props: Props) {
  const { words } = useSettings()
  const { visitId, roomId, keepers, candidates, without, looks: known } = props
  const parameters = useSearchParams()
  const heldUp = useHeldUp(keepers.length > 1, props.leaving.length > 0)
  const [part, setPart] = useState<string | null>(null)
  // Turned to the client.
  const [isTurned, setIsTurned] = useState(false)
  const { choice, light, roomDay, settle } = useLight()
  const looks = useLooks(known, roomId)

  const { held, hold, moveOn, problem } = useHeldSample()
  const manner = mannerOf(held, choice.source)
  const out = useMemo(
    () => new Set(candidates.flatMap(({ id, lean }) => (isLeanOut(without, lean) ? [id] : []))),
    [candidates, without],
  )
  const round = useMemo(
    () =>
      roundOf(
        keepers,
        candidates.map(({ id }) => id),
        looks,
        manner,
        roomId,
        out,
      ),
    [keepers, candidates, looks, manner, roomId, out],
  )
  const pairs = useMemo(() => pairsOf(round, keepers, candidates), [round, keepers, candidates])
  // Where nothing was asked for, the round goes on where it was left; from then on only a hand changes the pair.
  const [at, setAt] = useState<Place | null>(
    () => placeInAddress(parameters) ?? round.left[0] ?? null,
  )
  const index = indexOf(pairs, at)
  const pair = pairs[index]!
  const fan = heldUp.isFan
    ? fanOf(pairs, pair, (candidateId) => round.settled.has(candidateId) || out.has(candidateId))
    : []
  const second = heldUp.isTwo
    ? (keepers[(keepers.indexOf(pair.keeper) + 1) % keepers.length] ?? null)
    : null
  const pairLooks = looksAt(looks, pair)
  const giving = useGiving({ visitId, roomId, pair, part, held, pairLooks, show })
  const last = looks.find(({ id }) => id === giving.lastId)
  // By day; under lamps there is one light.
  const days = useMemo(() => keyLights(roomDay).filter(({ name }) => name !== 'lamps'), [roomDay])
  const hardest = useMemo(() => {
    const lights = days.map(({ prepared: each }) => each)
    if (lights.length === 0) return null
    const { place, isAlike } = lightThatMatters(lights, pair.keeper, candidates)
    return isAlike ? null : days[place]!
  }, [days, pair.keeper, candidates])

  /** The next pair, or of a fan the next candidate in it. */
  const go = (by: number): void => {
    giving.clear()
    const among = heldUp.isFan ? fan : pairs
    show(among[(among.indexOf(pair) + by + among.length) % among.length]!)
  }

  function show({ keeper, candidate }: BenchPair): void {
    setAt({ keeperId: keeper.id, candidateId: candidate.id })
    setPart(null)
    moveOn(candidate.strengthPercent)
    writeAddress({ keeper: keeper.id, candidate: candidate.id })
  }

  /** The next pair of the round after this one, once this one is ruled on; null where it was the last. */
  function nextAfter(verdict: Verdict): BenchPair | null {
    const isLeft = ({ keeper, candidate }: BenchPair): boolean =>
      round.left.some(
        ({ keeperId, candidateId }) => keeperId === keeper.id && candidateId === candidate.id,
      ) && !(verdict === 'no' && pair.keeper.settles && candidate === pair.candidate)
    return (
      [...pairs.slice(index + 1), ...pairs.slice(0, index)].find(
        (each) => each !== pair && isLeft(each),
      ) ?? null
    )
  }

  const isOver = round.left.length === 0
  // Said a moment ago, of this pair in this light: the same key again would say it twice.
  const isJustRuled =
    last !== undefined &&
    isVerdict(last) &&
    !last.retracted &&
    pairLooks.some(({ id }) => id === last.id) &&
    isSameLight(last, { light: lookLight(roomDay, choice, light, last.light.place) })
  const [again, setAgain] = useState<string | null>(null)
  const isLocked = isJustRuled && again !== last.id

  function rule(verdict: Verdict): void {
    if (isLocked) return giving.remark(`Ruled just now; ${AGAIN_KEY} rules on it again.`)
    void giving.keep({ verdict, bestOf: [] }, nextAfter(verdict))
  }

  /** Of all that is held up the one at hand is best; it rules nothing. */
  async function chooseBest(): Promise<void> {
    if (fan.length > 1)
      await giving.keep({ verdict: null, bestOf: fan.map(({ candidate }) => candidate.id) }, null)
  }

  /** What the client says of the pair at hand, turned to them; it rules nothing. */
  async function hearClient(says: ClientResponse['says']): Promise<void> {
    setIsTurned(false)
    await giving.keep({ verdict: null, bestOf: [], client: { says, words: '' } }, null)
  }

  const lightKeys = useLightKeys()
  useKeys(
    {
      ArrowRight: () => go(1),
      ArrowLeft: () => go(-1),
      ...lightKeys,
      ...(props.arriving && { a: props.arriving.open }),
      [AGAIN_KEY]: () => isJustRuled && setAgain(last.id),
      c: () => setIsTurned(true),
      d: () => settle({ spot: nextAlong(choice.spot) }),
      v: () => settle({ spot: nextTilt(choice.spot) }),
      h: () => hold(heldAs(held, nextHeld(held.held), pair.candidate.strengthPercent)),
    },
    BENCH_KEYS,
  )

  const field = (
    <SwatchField
      {...{ pair, fan, second, part }}
      surround={heldUp.surround}
      isLaidOn={heldUp.isLaidOn && !second}
      around={
        heldUp.surround === 'leaving'
          ? props.leaving
          : keepers.filter((each) => each !== pair.keeper && each !== second)
      }
    />
  )
  return (
    <main className="flex min-h-0 flex-1 flex-col overflow-y-auto">
      <h1 className="sr-only">Bench</h1>
      {isTurned && (
        <ClientView
          {...{ pair, second }}
          roomName={props.roomName}
          onAnswer={(says) => void hearClient(says)}
          onClose={() => setIsTurned(false)}
        />
      )}
      {heldUp.isOnWalls && fan.length === 0 ? (
        <OnFourWalls key={pair.candidate.id} reflectance={pair.candidate.reflectance}>
          {field}
        </OnFourWalls>
      ) : (
        field
      )}
      <div className="flex flex-col gap-1 px-4 py-1">
        <PairLine
          {...{ pair, index, part, round }}
          hardest={hardest && { name: hardest.name, show: () => settle(hardest.choice) }}
          onGo={go}
          onPart={setPart}
        />
        <Readings pair={pair} looks={pairLooks} onStrike={(look) => void giving.takeBack(look)} />
        {last && isVerdict(last) && (
          <LastLook
            key={last.id}
            look={last}
            of={ofLook(last, keepers, candidates, words)}
            onSay={(said) => void giving.sayMore(last, said)}
            onStrike={() => void giving.takeBack(last)}
          />
        )}
        {isJustRuled && (
          <RuledJustNow
            came={isOver ? whatCame(namesOf(candidates), looks, manner === 'screen') : null}
            onAgain={isLocked ? () => setAgain(last.id) : null}
          />
        )}
        {last && isVerdict(last) && !last.retracted && last.verdict !== 'works' && (
          <Spared key={`next ${last.id}`}>
            <WhatNext
              {...{ visitId, roomId, keepers, candidates, looks }}
              search={props.search}
              look={last}
              onScreen={manner === 'screen'}
              isAllAsked={isOver}
            />
          </Spared>
        )}
        {/* They stay under the thumb, whatever is read above. */}
        <div className="sticky bottom-0 z-10 bg-paper max-sm:-mx-4 max-sm:px-2 max-sm:py-1">
          <VerdictKeys verdicts={VERDICTS} isLocked={isLocked} onVerdict={rule} />
        </div>
        {heldUp.surround === 'leaving' && (
          <p className="text-small font-semibold">
            {props.leaving.map(({ name }) => name).join(', ')}: leaves, and will be gone. Do not
            judge by it.
          </p>
        )}
        <div className="flex flex-wrap items-center justify-between gap-x-4 text-fine text-dim">
          <HeldKeys
            sample={held}
            candidatePercent={pair.candidate.strengthPercent}
            onChange={hold}
          />
          <span
            role="status"
            aria-label="What came of it"
            className="text-small font-semibold text-ink"
          >
            {problem || giving.words}
          </span>
          <span className="flex flex-wrap justify-end gap-x-4">
            {props.arriving && (
              <BenchKey onClick={props.arriving.open} letter="A">
                What arrives ({props.arriving.pairs})
              </BenchKey>
            )}
            <BenchKey onClick={() => setIsTurned(true)} letter="C">
              Show the client
            </BenchKey>
            <HoldUpKeys
              {...{ heldUp, fan, second }}
              canBeTwo={keepers.length > 1}
              onBest={() => void chooseBest()}
            />
            <LeanKey {...{ visitId, roomId, without }} lean={pair.candidate.lean} />
          </span>
        </div>
      </div>
    </main>
  )
}
