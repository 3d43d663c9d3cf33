'use client'

import { useSearchParams } from 'next/navigation'
import { useState } from 'react'
import type { Surface } from '@/core/record/proposal'
import type { BenchKeeper } from '../bench/bench-model'
import { Finish } from '../bench/finish'
import { Link } from '../frame/page-link'
import { takingUp } from '../record/taking-up'
import { useChange } from '../record/use-change'
import { useTradeWords } from '../settings/settings-context'
import { RelitPatch } from '../swatch/relit-patch'
import { CandidateLine } from './candidate-line'
import { HouseSoFar } from './house-so-far'
import { Ruled } from './ruled'
import type { RuledRoom, RulingCandidate, StandingRuling } from './ruling-model'
import { ToRule } from './to-rule'

interface Props {
  readonly visitId: string
  readonly roomId: string
  readonly surfaces: readonly Surface[]
  readonly surface: Surface
  readonly keepers: readonly BenchKeeper[]
  /** Best first. */
  readonly candidates: readonly RulingCandidate[]
  readonly ruling: StandingRuling | null
  /** Rulings on it that were reopened. */
  readonly earlier: readonly {
    readonly id: string
    readonly called: string
    /** By the clocks of the place. */
    readonly on: string
    readonly because: string
  }[]
  /** Where nothing works by eye: the one whose worst pair is the least bad, said aloud. */
  readonly compromise: { readonly candidateId: string; readonly words: string } | null
  readonly house: readonly RuledRoom[]
}

/** A surface of a room comes to its ruling: what works and on what that rests, what is out and why, what is not known yet. */
export function RulingView(props: Props) {
  const inWords = useTradeWords()
  const { visitId, roomId, surfaces, surface, keepers, candidates, ruling, compromise } = props
  const [pickedId, setPickedId] = useState<string | null>(null)
  const { change, busy, message } = useChange()
  const parameters = useSearchParams()
  // The light goes along.
  const withSurface = (to: Surface): string =>
    `?${new URLSearchParams({ ...Object.fromEntries(parameters), surface: to })}`
  const standing = candidates.filter(({ ruledOut }) => ruledOut === null)
  const severalDecks = new Set(candidates.map(({ paint }) => paint.deckName)).size > 1
  const pick =
    candidates.find(({ paint }) => paint.id === (ruling?.candidateId ?? pickedId)) ??
    standing.find(({ paint }) => paint.id === compromise?.candidateId) ??
    standing[0] ??
    null

  return (
    <main className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto px-4 py-3">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <h1 className="text-head">Ruling</h1>
        <nav aria-label="Surfaces" className="flex flex-wrap">
          {surfaces.map((each) => (
            <Link
              key={each}
              href={withSurface(each)}
              aria-current={each === surface ? 'page' : undefined}
              className="key -ml-px px-3 first:ml-0 aria-[current]:bg-ink aria-[current]:text-paper"
            >
              {each}
            </Link>
          ))}
        </nav>
        <span role="status" aria-label="What came of it" className="text-small font-semibold">
          {message}
        </span>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_21rem] gap-6 max-lg:grid-cols-1">
        <div className="flex flex-col gap-3">
          {pick && <Field pick={pick} keepers={keepers} />}
          <section aria-label={`Candidates for ${inWords(surface)}`}>
            <ul>
              {candidates.map((candidate) => (
                <CandidateLine
                  key={candidate.paint.id}
                  {...{ candidate, severalDecks }}
                  isPick={candidate === pick}
                  isLocked={ruling !== null}
                  onPick={() => setPickedId(candidate.paint.id)}
                />
              ))}
            </ul>
          </section>
        </div>
        <aside className="flex flex-col gap-3">
          {ruling ? (
            <Ruled
              ruling={ruling}
              onReopen={(because) =>
                void change(
                  'reopen',
                  {
                    ...{ visitId, roomId, because },
                    ...{ rulingId: ruling.id, candidateId: ruling.candidateId },
                  },
                  'Reopened.',
                )
              }
            />
          ) : (
            pick && (
              <ToRule
                key={pick.paint.id}
                {...{ surface, pick, busy }}
                compromise={compromise?.candidateId === pick.paint.id ? compromise.words : ''}
                spokenFor={candidates.find(
                  ({ paint }) =>
                    paint.deckColourId === pick.paint.deckColourId &&
                    paint.strengthPercent === pick.spokenForPercent,
                )}
                onPick={setPickedId}
                onTakeUp={(strengthPercent) =>
                  void change(
                    'take-up',
                    takingUp({
                      ...{ visitId, roomId, surface, sheen: pick.sheen, strengthPercent },
                      deckColourId: pick.paint.deckColourId,
                    }),
                    `Taken up at ${strengthPercent} %.`,
                  )
                }
                isBestElsewhere={compromise !== null && compromise.candidateId !== pick.paint.id}
                said={compromise?.words ?? ''}
                onRule={(rulingId, sheen, givenUp) =>
                  void change(
                    'rule',
                    {
                      ...{ visitId, roomId, surface, sheen },
                      rulingId,
                      candidateId: pick.paint.id,
                      compromise: givenUp,
                      gaps: [...pick.gaps],
                    },
                    'Ruled.',
                  )
                }
              />
            )
          )}
          {props.earlier.map(({ id, called, on, because }) => (
            <p key={id} className="border-t border-rule pt-2 text-small text-dim">
              Ruled before, {on}: {called}. Reopened: {because}
            </p>
          ))}
          <HouseSoFar {...{ visitId, roomId }} rooms={props.house} />
        </aside>
      </div>
    </main>
  )
}

/** The pick edge to edge with all that stays. */
function Field({
  pick,
  keepers,
}: {
  readonly pick: RulingCandidate
  readonly keepers: readonly BenchKeeper[]
}) {
  const { name, strengthPercent, reflectance } = pick.paint
  return (
    <div className="flex h-44 max-sm:h-32" aria-label="The pick beside what stays" role="group">
      <RelitPatch
        reflectance={reflectance}
        label={`${name} at ${strengthPercent} per cent`}
        className="h-full flex-[2]"
      />
      {keepers.map((keeper) => (
        <div key={keeper.id} className="h-full min-w-0 flex-1">
          <Finish keeper={keeper} />
        </div>
      ))}
    </div>
  )
}
