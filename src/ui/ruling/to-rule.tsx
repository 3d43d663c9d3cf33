import { useState } from 'react'
import { SHEENS, type Sheen } from '@/core/paint/sheen'
import type { Surface } from '@/core/record/proposal'
import { newId } from '../record/new-id'
import { useTradeWords } from '../settings/settings-context'
import type { RulingCandidate } from './ruling-model'
import { PaintLink } from '../frame/paint-link'

/** The pick before it is ruled on: its sheen, what is not known of it, what it gives up. */
export function ToRule({
  surface,
  pick,
  busy,
  compromise,
  spokenFor,
  onPick,
  onTakeUp,
  isBestElsewhere,
  said,
  onRule,
}: {
  readonly surface: Surface
  readonly pick: RulingCandidate
  readonly busy: boolean
  /** What this pick gives up, as it is proposed to be said. */
  readonly compromise: string
  /** The candidate at the strength that looks speak for, where there is one for this surface. */
  readonly spokenFor: RulingCandidate | undefined
  readonly onPick: (candidateId: string) => void
  readonly onTakeUp: (strengthPercent: number) => void
  readonly isBestElsewhere: boolean
  /** The compromise of the room, whichever it is. */
  readonly said: string
  readonly onRule: (rulingId: string, sheen: Sheen, compromise: string) => void
}) {
  const inWords = useTradeWords()
  // Pressed again it is the same ruling.
  const [rulingId] = useState(newId)
  const [sheen, setSheen] = useState(pick.sheen)
  const [givenUp, setGivenUp] = useState(compromise)
  const called = `${pick.paint.name} at ${pick.paint.strengthPercent} %`
  const asItIs = pick.verdict === 'works'
  const wants =
    pick.verdict === 'works-lighter'
      ? 'lighter'
      : pick.verdict === 'works-stronger'
        ? 'stronger'
        : null
  return (
    <form
      aria-label="To rule"
      data-at-hand
      className="flex flex-col gap-2"
      onSubmit={(event) => {
        event.preventDefault()
        onRule(rulingId, sheen, givenUp.trim())
      }}
    >
      <h2 className="text-title">
        <PaintLink
          deckColourId={pick.paint.deckColourId}
          strengthPercent={pick.paint.strengthPercent}
        >
          {called}
        </PaintLink>
      </h2>
      <label className="flex items-center gap-2 text-small">
        Sheen
        <select
          className="min-h-11 border border-ash bg-paper px-1"
          value={sheen}
          onChange={(event) => setSheen(event.target.value as Sheen)}
        >
          {SHEENS.map((each) => (
            <option key={each}>{each}</option>
          ))}
        </select>
      </label>
      {isBestElsewhere && <p className="text-small">Nothing works by eye. {said}</p>}
      {pick.gaps.length > 0 ? (
        <div>
          <h3 className="text-small font-semibold">Not known yet</h3>
          <ul className="list-disc pl-5 text-small">
            {pick.gaps.map((gap) => (
              <li key={gap}>{gap}</li>
            ))}
          </ul>
        </div>
      ) : (
        <p className="text-small">Nothing is missing that this tool knows of.</p>
      )}
      {!asItIs && (
        <label className="text-small">
          Said aloud: what it gives up
          <textarea
            className="field w-full"
            rows={3}
            maxLength={2000}
            // Against a no one rules only with words.
            required={pick.verdict === 'no'}
            value={givenUp}
            onChange={(event) => setGivenUp(event.target.value)}
          />
        </label>
      )}
      {wants && (
        <div className="text-small">
          {pick.spokenForPercent === null ? (
            <p>
              It works {wants}, and no {wants} strength that works was looked at.
            </p>
          ) : (
            <>
              <p>
                It works {wants}: looks speak for {pick.spokenForPercent} %.
              </p>
              <button
                type="button"
                className="key key-first mt-1 w-full"
                onClick={() =>
                  spokenFor ? onPick(spokenFor.paint.id) : onTakeUp(pick.spokenForPercent!)
                }
              >
                {spokenFor
                  ? `Rule on ${pick.paint.name} at ${pick.spokenForPercent} %`
                  : `Take it up at ${pick.spokenForPercent} %`}
              </button>
            </>
          )}
        </div>
      )}
      <button type="submit" className={wants ? 'key' : 'key key-first'} aria-disabled={busy}>
        {wants
          ? `Rule it all the same: ${called} for ${inWords(surface)}`
          : `Rule it: ${called} for ${inWords(surface)}`}
      </button>
      <p className="text-fine text-dim">
        A screen is not paint: rule from dry two-coat boards, and by eye.
      </p>
    </form>
  )
}
