'use client'

import dynamic from 'next/dynamic'
import { useSearchParams } from 'next/navigation'
import { useMemo, useState, type ComponentProps } from 'react'
import { lrvPercent } from '@/core/paint/lrv'
import type { FinishLook } from '@/core/record/finish-look'
import { arrivingPairs } from '@/core/round/arriving'
import { roundOf } from '@/core/round/round'
import { nextToSweep, sweepOf, type Sweep } from '@/core/round/sweep'
import { isLeanOut } from '@/core/undertone/lean'
import { NOTHING_YET } from '../frame/nothing-yet'
import { writeAddress } from '../frame/page-address'
import { part } from '../frame/part'
import { useLight } from '../light-bar/light-context'
import { useLooks, useSweeps, type ShownLook } from '../record/visit-record'
import { placeInAddress, type Place } from './bench-model'
import { BenchView } from './bench-view'
import { mannerOf } from './held-sample'
import { SweepView } from './sweep-view'
import { useHeldSample } from './use-held-sample'

const ArrivingBench = dynamic(
  () => part(() => import('./arriving-bench').then(({ ArrivingBench }) => ArrivingBench)),
  { loading: NOTHING_YET },
)

/** How the bench holds things up: all candidates past one finish, or one pair. */
type Form = 'sweep' | 'pairs'

/** The bench of a room. It begins with the sweep, as by hand; what is left is held up pair by pair. */
export function Bench({
  finishLooks,
  sweeps,
  looks: known,
  without,
  ...room
}: Omit<
  ComponentProps<typeof BenchView>,
  'arriving' | 'holding' | 'manner' | 'out' | 'openAt' | 'opening' | 'onSweep' | 'looks'
> & {
  readonly finishLooks: readonly FinishLook[]
  readonly sweeps: readonly Sweep[]
  readonly looks: readonly ShownLook[]
}) {
  const { roomId, keepers, candidates } = room
  const parameters = useSearchParams()
  const { choice } = useLight()
  const looks = useLooks(known, roomId)
  const swept = useSweeps(sweeps, roomId)
  const holding = useHeldSample()
  const manner = mannerOf(holding.held, choice.source)
  const out = useMemo(
    () => new Set(candidates.flatMap(({ id, lean }) => (isLeanOut(without, lean) ? [id] : []))),
    [candidates, without],
  )
  // Side by side from light to dark: beside what is as light as it, a lean shows.
  const lightFirst = useMemo(
    () => candidates.toSorted((p, q) => lrvPercent(q.reflectance) - lrvPercent(p.reflectance)),
    [candidates],
  )
  const finishes = useMemo(
    () =>
      sweepOf(
        keepers,
        lightFirst.map(({ id }) => id),
        looks,
        swept,
        manner,
        out,
      ),
    [keepers, lightFirst, looks, swept, manner, out],
  )
  const [openAt, setOpenAt] = useState<Place | null>(() => placeInAddress(parameters))
  const [opening, setOpening] = useState('')
  const [form, setForm] = useState<Form>(() =>
    openAt !== null || parameters.get('by') === 'pair' || nextToSweep(finishes) === null
      ? 'pairs'
      : 'sweep',
  )
  const pairs = arrivingPairs(keepers).length
  // What arrives is held up in between.
  const [isArriving, setIsArriving] = useState(false)
  const arriving = pairs > 0 ? { pairs, open: () => setIsArriving(true) } : null

  function toPairs(at: Place | null, words: string): void {
    const to =
      at ??
      roundOf(
        keepers,
        candidates.map(({ id }) => id),
        looks,
        manner,
        roomId,
        out,
      ).left[0]
    // A board in hand is the one of the candidate that comes.
    const candidate = candidates.find(({ id }) => id === to?.candidateId)
    if (candidate) holding.moveOn(candidate.strengthPercent)
    setOpenAt(to ?? null)
    setOpening(words)
    setForm('pairs')
    writeAddress({ by: 'pair' })
  }

  function toSweep(at: Place): void {
    setOpenAt(at)
    setForm('sweep')
    writeAddress({ by: null, keeper: null, candidate: null })
  }

  if (isArriving && arriving)
    return <ArrivingBench {...room} looks={finishLooks} onBack={() => setIsArriving(false)} />
  if (form === 'sweep')
    return (
      <SweepView
        {...room}
        {...{ finishes, looks, holding, arriving, openAt }}
        candidates={lightFirst}
        onPairs={toPairs}
      />
    )
  return (
    <BenchView
      {...room}
      {...{ looks, without, holding, manner, out, arriving, openAt, opening }}
      onSweep={toSweep}
    />
  )
}
