'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import type { Inside, InsideOption } from './inside-room'
import { PLAIN_WHITE, type RoomToFurnish } from '@/core/room/furnish'
import type { Placing } from '@/core/room/usual-places'
import { lampPlaces, litWith, NOTHING_ELSE, WHITE_NAME, type WhatIf } from '@/core/room/what-if'
import { lampAt } from '@/core/light/spot'
import { LAMP_PLACES } from '@/core/light/fittings'
import { listed } from '@/core/words'
import { Choice } from '../form/choice'
import { useKeys } from '../keys/use-keys'
import { useLight } from '../light-bar/light-context'
import { useLightKeys } from '../light-bar/light-keys'
import { useChange } from '../record/use-change'
import { loadInside } from './load-inside'
import { PlacePlan, type Placeable } from './place-plan'
import { RoomPicture } from './room-picture'
import { SeenTable } from './seen-table'
import { ThingSizes } from './thing-sizes'
import { useBuilt } from './use-built'
import { WhatIfPanel } from './what-if-panel'

/** The room itself, computed from its own sizes, windows, finishes and the hour. */
export function InsideView({
  visitId,
  roomId,
  onBack,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly onBack: () => void
}) {
  const [inside, setInside] = useState<Inside | 'away' | null>(null)
  useEffect(() => {
    let isHere = true
    void loadInside(visitId, roomId).then((loaded) => {
      if (isHere) setInside(loaded ?? 'away')
    })
    return () => void (isHere = false)
  }, [visitId, roomId])
  const heading = useRef<HTMLHeadingElement>(null)
  useEffect(() => heading.current?.focus(), [])
  return (
    <main className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto px-4 py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <h1 ref={heading} tabIndex={-1} className="text-title outline-none">
          In the room{inside && inside !== 'away' ? `: ${inside.name}` : ''}
        </h1>
        <button type="button" className="key ml-auto" onClick={onBack}>
          Back <kbd className="ml-2 text-fine text-dim">Q</kbd>
        </button>
      </div>
      {inside === 'away' && (
        <p role="alert" className="text-small">
          The room cannot be had just now: the server does not answer, and this device has not taken
          it along.
        </p>
      )}
      {inside && inside !== 'away' && (
        <Room
          inside={inside}
          onChange={(change) => setInside((now) => (now && now !== 'away' ? change(now) : now))}
        />
      )}
    </main>
  )
}

const NONE = '—'
const WHAT_IF = 'what if'

function Room({
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
          <summary className="flex min-h-11 items-center">Where things stand</summary>
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

const toFurnish = ({
  keepers,
  doors,
  featureWall,
  lampsAt,
}: Pick<Inside, 'keepers' | 'doors' | 'featureWall' | 'lampsAt'>): Omit<RoomToFurnish, 'room'> => ({
  ...{ keepers, doors, featureWall, lampsAt },
})

const standingThings = (
  { keepers }: Inside,
  standing: readonly { readonly id: string; readonly placing: Placing }[],
): Placeable[] =>
  standing.flatMap(({ id, placing }) => {
    const keeper = keepers.find((each) => each.id === id)
    // Where it was just put, it is at once; the light follows.
    return keeper ? [{ id, name: keeper.name, placing: keeper.placing ?? placing }] : []
  })

const LAMP_MM = { widthMm: 260, depthMm: 260, heightMm: 260 }

const lampThings = (
  { lampIds, lampsAt }: Inside,
  room: Parameters<typeof lampAt>[0],
): Placeable[] =>
  lampIds.flatMap((id, n) => {
    const lamp = room.lamps[n]
    if (!lamp) return []
    const [eastMm, northMm, fromMm] = lampsAt[n] ?? lampAt(room, lamp)
    return [
      {
        ...{ id, name: LAMP_PLACES[lamp.place].words },
        placing: { ...LAMP_MM, eastMm, northMm, fromMm: Math.round(fromMm) },
      },
    ]
  })

/** The room with a thing where it was just put. */
const placedIn = (inside: Inside, thingId: string, placing: Placing | null): Inside => ({
  ...inside,
  keepers: inside.keepers.map((keeper) =>
    keeper.id === thingId ? { ...keeper, placing } : keeper,
  ),
  lampsAt: inside.lampsAt.map((at, n) =>
    inside.lampIds[n] !== thingId
      ? at
      : placing && [placing.eastMm, placing.northMm, placing.fromMm],
  ),
})

/** A way to paint a room, with what is different in a what-if. */
function withWhatIf(option: InsideOption, whatIf: WhatIf, { options }: Inside): InsideOption {
  const colourOf = (name: string | null) =>
    name === null
      ? null
      : name === WHITE_NAME
        ? PLAIN_WHITE
        : (options.find(({ id }) => id === name)?.paints.walls ?? null)
  const { paints } = option
  return {
    ...option,
    id: `${option.id} ${JSON.stringify(whatIf)}`,
    words: `${option.words}, with what if`,
    paints: {
      ...paints,
      ceiling: colourOf(whatIf.ceiling) ?? paints.ceiling,
      floor: colourOf(whatIf.floor),
      cabinets: colourOf(whatIf.cabinets),
    },
  }
}
