'use client'

import { useMemo, useState } from 'react'
import type { Placing } from '@/core/room/usual-places'
import { lampPlaces, litWith, NOTHING_ELSE, type WhatIf } from '@/core/room/what-if'
import { listed } from '@/core/words'
import { Choice } from '../form/choice'
import { useKeys } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { useLightKeys } from '../light-bar/light-keys'
import { useChange } from '../record/use-change'
import { withWhatIf, type Inside } from './inside-room'
import { PlacePlan, type Placeable } from './place-plan'
import { RoomPicture } from './room-picture'
import { SeenTable } from './seen-table'
import { lampThings, placedIn, standingThings, toFurnish } from './things'
import { ThingSizes } from './thing-sizes'
import { useBuilt } from './use-built'
import { WhatIfPanel } from './what-if-panel'

const NONE = '—'
const WHAT_IF = 'what if'

/** One room in pictures and figures: which paint, beside which, from where, and what if. */
export function RoomSeen({
  inside,
  onChange,
}: {
  readonly inside: Inside
  readonly onChange: (change: (now: Inside) => Inside) => void
}) {
  const { roomDay } = useLight()
  const [view, setView] = useState(0)
  const [at, setAt] = useState(0)
  const [besideId, setBesideId] = useState(NONE)
  const [whatIf, setWhatIf] = useState<WhatIf>(NOTHING_ELSE)
  const { change, message } = useChange()
  const { room } = roomDay
  const beyondRooms = useMemo(
    () => inside.beyond.map((each) => ({ id: each.roomId, ...toFurnish(each), room: each.room })),
    [inside.beyond],
  )
  const rooms = useMemo(
    () => [{ id: inside.roomId, ...toFurnish(inside), room }, ...beyondRooms],
    [inside, room, beyondRooms],
  )
  const { worker, built, done, failed } = useBuilt(rooms)
  const asks = besideId === WHAT_IF
  const others = useMemo(
    () =>
      asks
        ? [
            {
              ...{ id: inside.roomId, ...toFurnish(inside), room: litWith(room, whatIf) },
              ...(whatIf.lamps && { lampsAt: lampPlaces(room, whatIf.lamps) }),
            },
            ...beyondRooms,
          ]
        : null,
    [asks, inside, room, whatIf, beyondRooms],
  )
  const other = useBuilt(others)
  const { options } = inside
  const option = options[at % options.length]!
  const beside = options.find(({ id }) => id === besideId) ?? null
  const changed = useMemo(() => withWhatIf(option, whatIf, inside), [option, whatIf, inside])
  const step = (by: number) => () => setAt((at + by + options.length) % options.length)
  const views = built?.views ?? []
  const lightKeys = useLightKeys()
  const turn = () => setView((view + 1) % Math.max(1, views.length))
  useKeys(
    {
      ...lightKeys,
      ...{ ArrowRight: step(1), ArrowLeft: step(-1), v: turn },
      b: () =>
        setBesideId(
          besideId === NONE && options.length > 1 ? options[(at + 1) % options.length]!.id : NONE,
        ),
      w: () => setBesideId(asks ? NONE : WHAT_IF),
    },
    [
      ['→ ←', 'the next paint on the walls, the one before'],
      [', .', 'earlier and later in the day'],
      ['R O E P', 'the room’s day, even north light, late west sun, its lamps'],
      ['V', 'from another corner or doorway'],
      ['B', 'two paints side by side'],
      ['W', 'what if it had something else'],
    ],
  )
  const beyond = useMemo(() => inside.beyond.map((each) => each.options[0]!), [inside.beyond])
  const things = useMemo(
    () => [...standingThings(inside, built?.standing ?? []), ...lampThings(inside, room)],
    [inside, built, room],
  )
  async function place(thing: Placeable, placing: Placing | null): Promise<void> {
    const { visitId, roomId } = inside
    // Shown at once: the next key goes on from here.
    onChange((now) => placedIn(now, thing.id, placing))
    const answer = await change('place-thing', {
      ...{ visitId, roomId, thingId: thing.id, name: thing.name, placing },
    })
    if (answer && !answer.ok) onChange((now) => placedIn(now, thing.id, thing.placing))
  }
  return (
    <>
      <div className="grid grid-cols-[1fr_1fr_1fr_auto] items-end gap-x-4 gap-y-1 text-small max-lg:grid-cols-2 max-sm:grid-cols-1">
        <Choice
          label="On the walls"
          value={option.id}
          options={options.map(({ id, words }) => [id, words] as const)}
          onChange={(id) => setAt(options.findIndex((each) => each.id === id))}
        />
        <Choice
          label="Beside it"
          value={besideId}
          options={[
            [NONE, 'nothing'],
            [WHAT_IF, 'what if it had …'],
            ...options.map(({ id, words }) => [id, words] as const),
          ]}
          onChange={setBesideId}
        />
        {views.length > 0 && (
          <Choice
            label="Seen"
            value={String(view)}
            options={views.map((name, n) => [String(n), name] as const)}
            onChange={(n) => setView(Number(n))}
          />
        )}
        <button type="button" className="key" onClick={step(1)}>
          Next paint <kbd className="ml-2 text-fine text-dim">→</kbd>
        </button>
      </div>
      {(failed || other.failed) && (
        <p role="alert" className="text-small">
          This room could not be computed.
        </p>
      )}
      {((!built && !failed) || (others && !other.built && !other.failed)) && (
        <progress
          className="w-full"
          aria-label="Computing how light goes through this room"
          value={built ? other.done : done}
        />
      )}
      {worker && built && (
        <div className="flex shrink-0 gap-4 max-md:flex-col">
          <RoomPicture
            {...{ worker, view, beyond, option }}
            slot={0}
            title={inside.name}
            viewWords={views[view] ?? ''}
          />
          {beside && (
            <RoomPicture
              {...{ worker, view, beyond }}
              slot={1}
              option={beside}
              title={inside.name}
              viewWords={views[view] ?? ''}
            />
          )}
          {other.worker && (
            <RoomPicture
              {...{ view, beyond }}
              worker={other.worker}
              slot={0}
              option={changed}
              title={inside.name}
              viewWords={views[view] ?? ''}
            />
          )}
          {besideId === NONE && <SeenTable {...{ worker, view, beyond, option }} />}
        </div>
      )}
      {asks && (
        <WhatIfPanel
          {...{ inside, option, beyond, whatIf, changed }}
          now={worker}
          then={other.worker}
          onWhatIf={setWhatIf}
          onKept={(whatIfs) => onChange((now) => ({ ...now, whatIfs }))}
        />
      )}
      <p className="text-fine text-dim">
        Computed, not photographed: from this room’s sizes, windows, lamps, finishes and hour. How
        light goes from wall to wall is sure to a few per cent; how bright the sky really is, is
        not: by a sunny hour the figures here and on the light bar may be two fifths apart.
        {inside.taken.length > 0 && ` Nobody has said, so ${listed(inside.taken)}.`}
        {roomDay.readings?.length ? ' What a light meter said here is not in it.' : ''}
        {built && built.leftOut.length > 0 && ` Not drawn: ${listed(built.leftOut)}.`} Outside is
        shown darker than it is.
      </p>
      {things.length > 0 && (
        <details className="text-small">
          <summary className="min-h-11 content-center">Where things stand</summary>
          <div className="flex gap-6 max-sm:flex-col">
            <PlacePlan
              {...{ room, things }}
              doors={inside.doors}
              onPlace={(thing, placing) => void place(thing, placing)}
            />
            <ThingSizes things={things} onPlace={(thing, placing) => void place(thing, placing)} />
          </div>
          <p role="status">{message}</p>
        </details>
      )}
      {worker && built && besideId !== NONE && <SeenTable {...{ worker, view, beyond, option }} />}
    </>
  )
}
