'use client'

import type { ComponentProps } from 'react'
import { capital } from '@/core/words'
import { Fold } from '../form/fold'
import type { Sheen } from '@/core/paint/sheen'
import type { BenchKeeper } from '../bench/bench-model'
import { useChange } from '../record/use-change'
import { PaintLink } from '../frame/paint-link'
import { RelitPatch } from '../swatch/relit-patch'
import { BoardForm } from './board-form'
import type { ShownBoard, ShownStanding } from './board-model'
import { StandingList } from './standing-list'
import { NeverHeld, ToFetch } from './to-fetch'

/** What goes to paint for a room, and where and when each board is stood. */
export function BoardsView({
  visitId,
  roomId,
  rule,
  patchWords,
  fetching,
  neverHeld,
  boards,
  tooMany,
  standings,
  possible,
  keepers,
  visitDate,
  isBegun,
}: {
  readonly visitId: string
  readonly roomId: string
  /** The house rule on sampling, by name. */
  readonly rule: string
  /** Where a strip goes, where the rule samples on the wall; else null. */
  readonly patchWords: string | null
  /** What is to be fetched, for the whole house. */
  readonly fetching: ComponentProps<typeof ToFetch>
  readonly neverHeld: ComponentProps<typeof NeverHeld>['neverHeld']
  readonly boards: readonly ShownBoard[]
  readonly tooMany: boolean
  readonly standings: readonly ShownStanding[]
  /** Places × lights that there are. */
  readonly possible: number
  readonly keepers: readonly BenchKeeper[]
  readonly visitDate: string
  /** Whether it is said of one when it is painted. */
  readonly isBegun: boolean
}) {
  const { change, busy, message } = useChange()
  return (
    <main className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 py-3">
      <div className="flex flex-wrap items-baseline gap-x-5">
        <h1 className="text-head">Samples</h1>
        <p className="text-small text-dim">{patchWords ?? rule}</p>
        <span role="status" aria-label="What came of it" className="text-small font-semibold">
          {message}
        </span>
      </div>
      {tooMany && (
        <p className="border-l-4 border-ink pl-3 text-small font-medium">
          {boards.length} colours go to board here. Three at most tell more than four: which one is
          it not? It can go all the same.
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,26rem)_minmax(0,1fr)] gap-6 max-xl:grid-cols-1">
        <div className="flex flex-col gap-4">
          <ToFetch {...fetching} />
          <section aria-label="What goes to paint" className="relative">
            <h2 className={fetching.toFetch.length > 0 ? 'text-title' : 'sr-only'}>To paint</h2>
            <ul>
              {boards.map((board) => (
                <li key={board.paint.id} className="border-b border-rule py-2">
                  <Line {...{ board }} />
                  <BoardForm
                    {...{ visitId, roomId, board, busy, visitDate }}
                    isStrip={patchWords !== null}
                    onKeep={(payload, said) => void change('keep-board', payload, said)}
                  />
                </li>
              ))}
            </ul>
          </section>
        </div>
        <StandingList
          {...{ visitId, roomId, standings, possible, keepers, boards, isBegun }}
          isStrip={patchWords !== null}
        />
      </div>
      <NeverHeld neverHeld={neverHeld} />
    </main>
  )
}

const sheens = (wanted: readonly Sheen[]): string => wanted.join(' and ')

function Line({ board }: { readonly board: ShownBoard }) {
  const { paint, sheen, wanted, pots, ground, apart, steps, elsewhere, missing, isReopened } = board
  const ready = steps.at(-1)
  return (
    <div className="flex gap-3">
      <RelitPatch
        reflectance={paint.reflectance}
        label={`${paint.name} at ${paint.strengthPercent} per cent`}
        className="h-24 w-24 shrink-0"
      />
      <div className="min-w-0 text-small">
        <h3 className="text-body leading-6 font-display">
          <PaintLink deckColourId={paint.deckColourId} strengthPercent={paint.strengthPercent}>
            {paint.code}, {paint.name} at {paint.strengthPercent} %
          </PaintLink>
        </h3>
        <p>
          <span className="font-medium">{pots}</span> for two coats
          {paint.strengthPercent !== 100 && `, mixed at ${paint.strengthPercent} %`}.
        </p>
        {elsewhere.length > 0 && (
          <p className="font-medium">
            There is a board at {elsewhere.map((percent) => `${percent} %`).join(', ')}: it shows
            another colour. This strength needs its own.
          </p>
        )}
        {ready && (
          <p>
            {capital(ready.what)} <span className="tabular-nums">{ready.when}</span>
          </p>
        )}
        <Fold title="How to paint it">
          <p>
            {ground} Wanted in {sheens(wanted)}, of {paint.deckName}.
          </p>
          {apart
            .filter((_, at) => wanted[at] !== sheen)
            .map((words) => (
              <p key={words}>{words}</p>
            ))}
          {steps.length > 0 && (
            <ol className="list-decimal pl-5" aria-label={`Painting ${paint.name}`}>
              {steps.map(({ what, when }) => (
                <li key={what}>
                  {what}: <span className="tabular-nums">{when}</span>
                </li>
              ))}
            </ol>
          )}
        </Fold>
        {missing === '' ? (
          <p className="text-fine">Seen all round: nothing is missing.</p>
        ) : (
          <Fold title="What was not seen yet">
            <p className="text-fine">
              {capital(missing)}.
              {isReopened &&
                ' It had been seen all round as boards were before: since then each wall is asked for by day, and each fixed finish by day and under the lamps.'}
            </p>
          </Fold>
        )}
      </div>
    </div>
  )
}
