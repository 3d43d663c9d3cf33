'use client'

import { JUDGEMENT_WORDS } from '@/core/pairing/chance'
import { useMemo } from 'react'
import type { EyeSaid } from '@/core/record/eye-said'
import type { HouseRules } from '@/core/advice/house-rules'
import {
  depthPart,
  doorway,
  fromDoorway,
  hallwayOf,
  hallwaySaid,
  threadSaid,
  wantsWayOut,
} from '@/core/scheme/doorways'
import { DAYLIGHT } from '@/core/undertone/daylight'
import { undertoneOf } from '@/core/undertone/undertone'
import type { DeckName } from '@/workers/fetch-deck'
import { useDecks } from '../deck/use-decks'
import { Link } from '../frame/page-link'
import { useLight, useMovingLight } from '../light-bar/light-context'
import { InLight } from '../swatch/in-light'
import { RelitPatch } from '../swatch/relit-patch'
import { EyeLine } from '../verdict/eye-line'
import { JudgementMark } from '../verdict/verdict-mark'
import { litRooms, pairsOf, type HouseWalls, type LitRoom } from './lit-rooms'
import { WaysOut } from './ways-out'

/** The rooms as they open to each other: each doorway's two colours touching, in the light of the moment on both sides. */
export function TogetherView({
  visitId,
  rooms,
  decks: names,
  rules,
  eye,
}: {
  readonly visitId: string
  readonly rooms: readonly HouseWalls[]
  /** What the eye said of two walls held to each other, by the ids of their paints. */
  readonly eye: readonly (Pick<EyeSaid, 'verdict' | 'reasons'> & {
    readonly oneId: string
    readonly otherId: string
  })[]
  readonly decks: readonly DeckName[]
  readonly rules: HouseRules
}) {
  const { choice, roomDay } = useLight()
  const moving = useMovingLight()
  const decks = useDecks(names)
  const atRest = useMemo(() => litRooms(rooms, choice, roomDay.day), [rooms, choice, roomDay.day])
  const now = useMemo(
    () => litRooms(rooms, moving.choice, roomDay.day),
    [rooms, moving.choice, roomDay.day],
  )
  const pairs = pairsOf(atRest)
  const judged = pairs.map(([p, q]) => ({
    pair: [p, q] as const,
    judged: doorway([p.lit, q.lit], rules),
  }))
  const hall = hallwayOf(rooms.filter(({ walls }) => walls !== null))
  const hallWalls = atRest.find(({ id }) => id === hall?.id)
  const hallWords =
    hallWalls &&
    hallwaySaid(
      { name: hallWalls.name, lrvPercent: hallWalls.walls.lrvPercent },
      atRest
        .filter(({ id }) => hall!.seenFrom.includes(id))
        .map(({ name, walls }) => ({ name, lrvPercent: walls.lrvPercent })),
    )
  const thread = threadSaid(
    rooms.flatMap(({ name, walls }) =>
      walls ? [{ name, undertone: undertoneOf(DAYLIGHT, walls.reflectance) }] : [],
    ),
  )
  const bare = rooms.filter(({ walls }) => walls === null)
  const painted = rooms.length - bare.length

  return (
    <main
      // Scrolled by keys where nothing on it takes the focus.
      tabIndex={0}
      className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto px-4 py-3"
    >
      <h1 className="text-head">Room to room</h1>
      <House rooms={now} />
      <p className="text-small">{thread}</p>
      {hallWords && (
        <p className="border-l-4 border-ink pl-3 text-small font-medium">{hallWords}</p>
      )}
      {bare.length > 0 && painted > 0 && (
        <p className="text-small">
          Without a colour for their walls yet: {bare.map(({ name }) => name).join(', ')}.
        </p>
      )}
      {judged.length === 0 && painted > 1 && (
        <p className="text-small">
          No two rooms with a colour are seen from one another. Which rooms open to which is said at{' '}
          <Link href={`/visits/${visitId}/brief`} className="underline underline-offset-4">
            the rooms
          </Link>
          .
        </p>
      )}
      <ul className="grid grid-cols-2 gap-x-8 gap-y-5 max-lg:grid-cols-1">
        {judged.map(({ pair: [p, q], judged: each }) => {
          const said = eye.find(
            ({ oneId, otherId }) => oneId === p.walls.id && otherId === q.walls.id,
          )
          const lit = [p, q].map(({ id }) => now.find((room) => room.id === id))
          return (
            <li key={`${p.id} ${q.id}`} aria-label={`${p.name} and ${q.name}`}>
              <h2 className="text-title">
                {p.name} and {q.name}
              </h2>
              {lit[0] && lit[1] && <Through rooms={[lit[0], lit[1]]} />}
              {said && <EyeLine said={said} />}
              <p className="mt-1 flex items-start gap-2 text-small">
                <JudgementMark judgement={each.judgement} />
                <span>
                  <span className="font-medium">{JUDGEMENT_WORDS[each.judgement]}</span>: {each.why}
                  ; {each.sharesUndertone ? 'one undertone' : 'undertones apart'}. LRV{' '}
                  {Math.round(p.walls.lrvPercent)} to {Math.round(q.walls.lrvPercent)}:{' '}
                  {each.stepWords}.
                </span>
              </p>
              {wantsWayOut(each) && decks && (
                <WaysOut {...{ visitId, decks, rules }} pair={[p, q]} />
              )}
            </li>
          )
        })}
      </ul>
    </main>
  )
}

/** Both walls as they meet in the doorway, each in its own light. */
function Through({ rooms }: { readonly rooms: readonly [LitRoom, LitRoom] }) {
  const [p, q] = rooms
  const lights = useMemo(() => fromDoorway([p.lit, q.lit]), [p.lit, q.lit])
  return (
    <>
      <div className="flex h-40">
        {rooms.map(({ id, name, walls }, at) => (
          <InLight key={id} light={lights[at]!}>
            <RelitPatch
              reflectance={walls.reflectance}
              label={`${walls.name}, the walls of ${name}`}
              className="h-full flex-1"
            />
          </InLight>
        ))}
      </div>
      <div className="flex">
        {rooms.map(({ id, name, walls, lit }) => (
          <p key={id} className="flex flex-1 items-center gap-2 pt-1 pr-2 text-fine text-dim">
            <InLight light={lit.prepared}>
              <RelitPatch
                reflectance={walls.reflectance}
                label={`${walls.name} as it is known from within ${name}`}
                className="h-6 w-10 shrink-0"
              />
            </InLight>
            from within {name}
          </p>
        ))}
      </div>
    </>
  )
}

/** The whole house, lightest walls first, each in its own light. */
function House({ rooms }: { readonly rooms: readonly LitRoom[] }) {
  const sorted = rooms.toSorted((p, q) => q.walls.lrvPercent - p.walls.lrvPercent)
  return (
    <section aria-label="The house, from light to deep" className="flex flex-wrap">
      {sorted.map(({ id, name, walls, lit }) => (
        <div key={id} className="min-w-28 flex-1">
          <InLight light={lit.prepared}>
            <RelitPatch
              reflectance={walls.reflectance}
              label={`${name}: ${walls.name} at ${walls.strengthPercent} per cent`}
              className="h-20"
            />
          </InLight>
          <p className="pr-2 text-fine">
            <span className="font-medium">{name}</span>, {depthPart(walls.lrvPercent)}, LRV{' '}
            {Math.round(walls.lrvPercent)}
            <span className="block text-dim">
              {walls.code} at {walls.strengthPercent} %, {walls.status}
            </span>
          </p>
        </div>
      ))}
    </section>
  )
}
