'use client'

import { useMemo, useState } from 'react'
import { nextAlong, nextTilt } from '@/core/light/spot-steps'
import { isSameLight } from '@/core/record/cell'
import { isVerdict, type ClientResponse } from '@/core/record/look'
import { VERDICTS, type Verdict } from '@/core/record/verdict'
import { lightThatMatters } from '@/core/round/light-that-matters'
import { roundOf, type RoundManner } from '@/core/round/round'
import { closestSoFar, whatCame } from '@/core/round/what-stands'
import { keyLights } from '@/core/light/key-lights'
import type { Lean } from '@/core/undertone/lean'
import { writeAddress } from '../frame/page-address'
import { Spared } from '../frame/spared'
import { useKeys } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { useLightKeys } from '../light-bar/light-keys'
import { sayingsOf, type ShownLook } from '../record/visit-record'
import { useSettings } from '../settings/settings-context'
import {
  faultsOfLooks,
  indexOf,
  ofLook,
  pairsOf,
  type Place,
  lookLight,
  namesOf,
  looksAt,
  type BenchKeeper,
  type BenchPair,
  type ProposedCandidate,
} from './bench-model'
import { AGAIN_KEY, PAIR_KEYS } from './bench-keys'
import { ClientSays } from './client-says'
import { LeanKey } from './lean-key'
import { HeldKeys } from './held-keys'
import { BenchKey, HoldUpKeys, useHeldUp } from './hold-up-keys'
import { heldAs, nextHeld } from './held-sample'
import { ClientView, OnFourWalls, WhatNext } from './later-parts'
import { LastLook } from './last-look'
import { PairLine } from './pair-line'
import { Readings } from './readings'
import { RoundIsThrough } from './round-is-through'
import { useGiving } from './use-giving'
import type { useHeldSample } from './use-held-sample'
import { SwatchField } from './swatch-field'
import { VerdictKeys } from './verdict-keys'
import type { RoomToSearch } from './what-next'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly roomName: string
  readonly keepers: readonly BenchKeeper[]
  readonly candidates: readonly ProposedCandidate[]
  /** Leans that are out of this room, and the candidates that are out with them. */
  readonly without: readonly Lean[]
  readonly out: ReadonlySet<string>
  /** Of the room, oldest first. */
  readonly looks: readonly ShownLook[]
  /** What is there now and leaves: never judged against. */
  readonly leaving: readonly BenchKeeper[]
  readonly search: RoomToSearch
  readonly holding: ReturnType<typeof useHeldSample>
  readonly manner: RoundManner
  /** How many pairs there are of what arrives and what stays, and how to hold those; null without any. */
  readonly arriving: { readonly pairs: number; readonly open: () => void } | null
  /** The pair to begin with; null where the round goes on where it was left. */
  readonly openAt: Place | null
  /** What came of the sweep before. */
  readonly opening: string
  readonly onSweep: (at: Place) => void
}

/** One pair at a time, as large as the screen allows; the eye rules, then the model shows its reading. */
export function BenchView(props: Props) {
  const { words } = useSettings()
  const { visitId, roomId, keepers, candidates, without, looks, out, manner } = props
  const heldUp = useHeldUp(keepers.length > 1, props.leaving.length > 0)
  const [part, setPart] = useState<string | null>(null)
  // Turned to the client.
  const [isTurned, setIsTurned] = useState(false)
  const { choice, light, prepared, roomDay, settle } = useLight()
  const { held, hold, moveOn, problem } = props.holding
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
  const [at, setAt] = useState<Place | null>(() => props.openAt ?? round.left[0] ?? null)
  const index = indexOf(pairs, at)
  const pair = pairs[index]!
  const second = heldUp.isTwo
    ? (keepers[(keepers.indexOf(pair.keeper) + 1) % keepers.length] ?? null)
    : null
  const pairLooks = looksAt(looks, pair)
  const giving = useGiving({
    ...{ visitId, roomId, pair, part, held, pairLooks, show },
    opening: props.opening,
  })
  const last = looks.find(({ id }) => id === giving.lastId)
  const lastVerdict = last && isVerdict(last) ? last : null
  const heard =
    pairLooks.findLast(
      ({ retracted, verdict, client }) => !retracted && verdict === null && client !== null,
    ) ?? null
  const isNamed = pairLooks.some(isVerdict)
  // By day; under lamps there is one light.
  const days = useMemo(() => keyLights(roomDay).filter(({ name }) => name !== 'lamps'), [roomDay])
  const hardest = useMemo(() => {
    const lights = days.map(({ prepared: each }) => each)
    if (lights.length === 0) return null
    const { place, isAlike } = lightThatMatters(lights, pair.keeper, candidates)
    return isAlike ? null : days[place]!
  }, [days, pair.keeper, candidates])

  /** The next pair. */
  const go = (by: number): void => {
    giving.clear()
    const to = pairs[(index + by + pairs.length) % pairs.length]!
    if (looksAt(looks, to).length > 0) giving.leave()
    show(to)
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
    lastVerdict !== null &&
    !lastVerdict.retracted &&
    pairLooks.some(({ id }) => id === lastVerdict.id) &&
    isSameLight(lastVerdict, { light: lookLight(roomDay, choice, light, lastVerdict.light.place) })
  const [again, setAgain] = useState<string | null>(null)
  const isLocked = isJustRuled && again !== lastVerdict.id

  function rule(verdict: Verdict): void {
    if (isLocked) return giving.remark(`Ruled just now; ${AGAIN_KEY} rules on it again.`)
    void giving.keep({ verdict }, nextAfter(verdict))
  }

  /** What the client says of the pair at hand; it rules nothing. */
  function hearClient(says: ClientResponse['says']): void {
    setIsTurned(false)
    if (!heard) return void giving.keep({ verdict: null, client: { says, words: '' } }, null)
    void giving.sayMore(heard, {
      ...sayingsOf(heard),
      client: { says, words: heard.client?.words ?? '' },
    })
  }

  const lightKeys = useLightKeys()
  const sweep = (): void =>
    props.onSweep({ keeperId: pair.keeper.id, candidateId: pair.candidate.id })
  useKeys(
    {
      ArrowRight: () => go(1),
      ArrowLeft: () => go(-1),
      ...lightKeys,
      ...(props.arriving && { a: props.arriving.open }),
      [AGAIN_KEY]: () => isJustRuled && setAgain(lastVerdict.id),
      c: () => setIsTurned(true),
      d: () => settle({ spot: nextAlong(choice.spot) }),
      f: sweep,
      v: () => settle({ spot: nextTilt(choice.spot) }),
      h: () => hold(heldAs(held, nextHeld(held.held), pair.candidate.strengthPercent)),
    },
    PAIR_KEYS,
  )

  const field = (
    <SwatchField
      {...{ pair, second, part, isNamed }}
      surround={heldUp.surround}
      isLaidOn={heldUp.isLaidOn && !second}
      around={
        heldUp.surround === 'leaving'
          ? props.leaving
          : keepers.filter((each) => each !== pair.keeper && each !== second)
      }
    />
  )
  // What asks for something else: what was just said, or of a round that is through what was said last.
  const asksFor =
    lastVerdict ??
    (isOver ? looks.filter(({ retracted }) => !retracted).findLast(isVerdict) : undefined)
  return (
    <main className="flex min-h-0 flex-1 flex-col overflow-y-auto">
      <h1 className="sr-only">Bench</h1>
      {isTurned && (
        <ClientView
          {...{ pair, second }}
          roomName={props.roomName}
          onAnswer={hearClient}
          onClose={() => setIsTurned(false)}
        />
      )}
      {heldUp.isOnWalls ? (
        <OnFourWalls key={pair.candidate.id} reflectance={pair.candidate.reflectance}>
          {field}
        </OnFourWalls>
      ) : (
        field
      )}
      <div className="flex flex-col gap-1 px-4 py-1">
        <PairLine
          {...{ pair, index, part, round, isNamed }}
          hardest={hardest && { name: hardest.name, show: () => settle(hardest.choice) }}
          onGo={go}
          onPart={setPart}
        />
        {isOver && (
          <RoundIsThrough
            visitId={visitId}
            came={whatCame(namesOf(candidates), looks, manner === 'screen')}
            works={
              closestSoFar(
                candidates.map(({ id }) => id),
                looks,
                manner === 'screen',
              )?.verdict === 'works'
            }
          />
        )}
        {/* As high before a verdict as after it: the swatches stay as large as they are. */}
        <div className="min-h-14 border-t border-rule pt-1 text-small max-sm:min-h-0">
          {lastVerdict && (
            <LastLook
              key={lastVerdict.id}
              look={lastVerdict}
              of={ofLook(lastVerdict, keepers, candidates, words)}
              fitting={faultsOfLooks([lastVerdict], keepers, candidates, prepared)}
              onSay={(said) => void giving.sayMore(lastVerdict, said)}
              onStrike={() => void giving.takeBack(lastVerdict)}
            />
          )}
          {(!lastVerdict || pairLooks.includes(lastVerdict)) && (
            <Readings
              pair={pair}
              looks={pairLooks}
              onStrike={(look) => void giving.takeBack(look)}
            />
          )}
        </div>
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
        <div className="flex min-h-11 flex-wrap items-center gap-x-4 text-small">
          <ClientSays
            said={heard}
            onSay={hearClient}
            onWords={(said) =>
              heard?.client &&
              void giving.sayMore(heard, {
                ...sayingsOf(heard),
                client: { ...heard.client, words: said },
              })
            }
            onStrike={() => heard && void giving.takeBack(heard)}
          />
          <span role="status" aria-label="What came of it" className="font-semibold">
            {problem || giving.words}
          </span>
          {isLocked && (
            <BenchKey onClick={() => setAgain(lastVerdict.id)} letter={AGAIN_KEY}>
              Rule on it again
            </BenchKey>
          )}
          {asksFor && !asksFor.retracted && asksFor.verdict !== 'works' && (
            <Spared key={`next ${asksFor.id}`}>
              <WhatNext
                {...{ visitId, roomId, keepers, candidates, looks }}
                search={props.search}
                look={asksFor}
                onScreen={manner === 'screen'}
                isAllAsked={isOver}
              />
            </Spared>
          )}
        </div>
        <div className="flex flex-wrap items-center justify-between gap-x-4 text-fine text-dim">
          <HeldKeys
            sample={held}
            candidatePercent={pair.candidate.strengthPercent}
            onChange={hold}
          />
          <span className="flex flex-wrap items-center justify-end gap-x-4">
            <LeanKey {...{ visitId, roomId, without }} lean={pair.candidate.lean} />
            <BenchKey onClick={sweep} letter="F">
              Sweep
            </BenchKey>
            <HoldUpKeys {...{ heldUp, second }} canBeTwo={keepers.length > 1}>
              <BenchKey onClick={() => setIsTurned(true)} letter="C">
                Show the client
              </BenchKey>
              {props.arriving && (
                <BenchKey onClick={props.arriving.open} letter="A">
                  What arrives ({props.arriving.pairs})
                </BenchKey>
              )}
            </HoldUpKeys>
          </span>
        </div>
      </div>
    </main>
  )
}
