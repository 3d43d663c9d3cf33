'use client'

import { useEffect, useRef, useState } from 'react'
import { mostStrengthPercent } from '@/core/paint/strength'
import type { NamedFinish } from '@/core/ranking/asked-room'
import { LEAN_NAMES, PLAIN_WISHES, type LeanName, type LikeThis } from '@/core/ranking/like-this'
import type { Lean } from '@/core/undertone/lean'
import { undertoneOf } from '@/core/undertone/undertone'
import { findInWorker } from '@/workers/rank-client'
import type { AtStrength, FoundColour } from '@/workers/rank-protocol'
import { PaintLine } from './paint-line'
import type { RankedFor } from './ranked-for'
import { useLight } from '../light-bar/light-context'
import type { DeckName } from '@/workers/fetch-deck'
import type { ListedDecks } from '../deck/listed-decks'

const MOST = 6

/** "Like this, but …": real colours of the decks at real strengths, and what else they change. */
export function LikeThisBut({
  decks,
  names,
  room,
  from,
  without,
  onPick,
}: {
  readonly decks: ListedDecks
  readonly names: readonly DeckName[]
  readonly room: RankedFor
  readonly from: AtStrength
  readonly without: readonly Lean[]
  readonly onPick: (colour: AtStrength) => void
}) {
  const { prepared } = useLight()
  const [asked, setAsked] = useState<string | null>(null)
  const [found, setFound] = useState<readonly FoundColour[] | null>(null)
  const [lean, setLean] = useState<LeanName>('pink')
  const [keeper, setKeeper] = useState(0)
  const [typed, setTyped] = useState('75')
  const turn = useRef(0)
  useEffect(() => () => void (turn.current = -1), [])
  if (!prepared) return <p className="text-small">Too dark to see it.</p>

  async function ask(name: string, wish: LikeThis): Promise<void> {
    const own = ++turn.current
    setAsked(name)
    setFound(null)
    const answer = await findInWorker({
      task: 'like',
      decks: names,
      weakestPercent: room.weakestPercent,
      from,
      wish,
      light: prepared!,
      without,
      willNotHave: room.character.willNotHave,
      most: MOST,
    })
    if (own === turn.current) setFound(answer ?? [])
  }

  const finish: NamedFinish | undefined = room.finishes[keeper]
  const colour = decks.colours[from.place]!
  const percent = Number(typed.replace(',', '.'))
  const most = mostStrengthPercent(colour.base)
  const isStrength = typed.trim() !== '' && percent >= 25 && percent <= most
  return (
    <section aria-label="Like this, but" className="flex flex-col gap-3">
      <div className="flex flex-wrap">
        {PLAIN_WISHES.map((kind) => (
          <button
            key={kind}
            type="button"
            className="key -ml-px first:ml-0"
            aria-pressed={asked === kind}
            onClick={() => void ask(kind, { kind })}
          >
            {kind}
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <select
          aria-label="Lean"
          className="min-h-11 border border-ash bg-paper px-2 text-small"
          value={lean}
          onChange={(event) => setLean(event.target.value as LeanName)}
        >
          {LEAN_NAMES.map((name) => (
            <option key={name}>{name}</option>
          ))}
        </select>
        {(['less', 'more'] as const).map((kind) => (
          <button
            key={kind}
            type="button"
            className="key"
            aria-pressed={asked === `${kind} ${lean}`}
            onClick={() => void ask(`${kind} ${lean}`, { kind, of: lean })}
          >
            {kind} {lean}
          </button>
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        {finish && (
          <>
            <select
              aria-label="Keeper"
              className="min-h-11 min-w-0 border border-ash bg-paper px-2 text-small"
              value={keeper}
              onChange={(event) => setKeeper(Number(event.target.value))}
            >
              {room.finishes.map(({ keeperId, name, part }, i) => (
                <option key={`${keeperId} ${part}`} value={i}>
                  {name}, {part}
                </option>
              ))}
            </select>
            <button
              type="button"
              className="key"
              aria-pressed={asked === `halfway ${keeper}`}
              onClick={() =>
                void ask(`halfway ${keeper}`, {
                  kind: 'halfway',
                  to: undertoneOf(prepared, finish.reflectance),
                })
              }
            >
              halfway to it
            </button>
          </>
        )}
        <label className="flex items-center gap-2 text-small">
          at
          <input
            className="field w-16"
            inputMode="numeric"
            autoComplete="off"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          %
        </label>
        <button
          type="button"
          className="key"
          disabled={!isStrength}
          onClick={() => onPick({ place: from.place, strengthPercent: Math.round(percent) })}
        >
          Show it so
        </button>
        {!isStrength && (
          <span role="alert" className="text-small">
            Expected 25 to {most} %, got “{typed}”.
          </span>
        )}
      </div>
      <div role="status" className="text-small">
        {asked && found === null && 'Looking.'}
        {found?.length === 0 && 'No colour in these decks is that and otherwise alike.'}
      </div>
      {found && found.length > 0 && (
        <ul className="grid gap-x-4 sm:grid-cols-2">
          {found.map((each) => (
            <PaintLine key={each.place} at={each} {...{ decks, onPick }}>
              Besides: {each.words}
            </PaintLine>
          ))}
        </ul>
      )}
    </section>
  )
}
