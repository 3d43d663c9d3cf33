'use client'

import { useEffect, useState } from 'react'
import type { Inside, InsideOption } from './inside-room'
import { utcMsAt } from '@/core/light/day-clock'
import type { RoomDay } from '@/core/light/light-choice'
import type { LightMoment } from '@/core/light/room-light'
import {
  differenceWords,
  NOTHING_ELSE,
  WHITE_NAME,
  type WallsOverDay,
  type WhatIf,
} from '@/core/room/what-if'
import type { RoomInWorker } from '@/workers/room-client'
import { Field } from '../form/field'
import { useLight } from '../light-bar/light-context'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'
import { showing } from './showing'
import { WhatIfFields } from './what-if-fields'

const WALLS_SLOT = 8
const HOURS = [7, 10, 13, 16, 19]

/** What a room might have instead: what comes of it in lux, over the day and for this colour; kept as a proposal. */
export function WhatIfPanel({
  inside,
  option,
  changed,
  beyond,
  whatIf,
  now,
  then,
  onWhatIf,
  onKept,
}: {
  readonly inside: Inside
  readonly option: InsideOption
  readonly changed: InsideOption
  readonly beyond: readonly InsideOption[]
  readonly whatIf: WhatIf
  readonly now: RoomInWorker | null
  readonly then: RoomInWorker | null
  readonly onWhatIf: (whatIf: WhatIf) => void
  readonly onKept: (whatIfs: Inside['whatIfs']) => void
}) {
  const before = useWalls(now, option, beyond)
  const after = useWalls(then, changed, beyond)
  const [name, setName] = useState('')
  const { change, message, say } = useChange()
  const isSomething = Object.values(whatIf).some((each) => each !== null)
  const says = before && after && isSomething ? differenceWords(before, after, option.words) : ''
  async function keep(): Promise<void> {
    const { visitId, roomId, whatIfs } = inside
    const called = name.trim()
    if (!called) return say('Expected a name for it, got nothing.')
    const kept = { id: newId(), roomId, name: called, change: whatIf, says }
    const answer = await change(
      'keep-what-if',
      { visitId, roomId, whatIfId: kept.id, name: called, change: whatIf, says, removed: false },
      'Saved as a proposal; the room stays as it is.',
    )
    if (!answer?.ok) return
    onKept([...whatIfs, kept])
    setName('')
  }
  async function takeOut(id: string): Promise<void> {
    const { visitId, roomId, whatIfs } = inside
    const of = whatIfs.find((each) => each.id === id)!
    const answer = await change('keep-what-if', {
      ...{ visitId, roomId, whatIfId: id, name: of.name, change: of.change, says: of.says },
      removed: true,
    })
    if (answer?.ok) onKept(whatIfs.filter((each) => each.id !== id))
  }
  return (
    <section aria-label="What if" className="flex flex-col gap-1 border-t border-rule py-2">
      <p role="status" aria-label="What comes of it">
        {says || 'Choose what would be different.'}
      </p>
      <WhatIfFields
        value={whatIf}
        colours={[
          [WHITE_NAME, 'white'],
          ...inside.options
            .filter(({ kind }) => kind === 'candidate')
            .map(({ id, words }) => [id, words] as const),
        ]}
        onChange={onWhatIf}
      />
      {isSomething && (
        <div className="flex flex-wrap items-end gap-3">
          <Field
            label="Save it as"
            name="what-if"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <button type="button" className="key" onClick={() => void keep()}>
            Save as a proposal
          </button>
          <button type="button" className="key" onClick={() => onWhatIf(NOTHING_ELSE)}>
            As it is
          </button>
        </div>
      )}
      <p role="status" className="text-small">
        {message}
      </p>
      {inside.whatIfs.length > 0 && (
        <ul aria-label="Saved what-ifs" className="text-small">
          {inside.whatIfs.map((each) => (
            <li key={each.id} className="flex flex-wrap items-center gap-3 border-t border-rule">
              <span className="min-w-0 flex-1">
                <b className="font-semibold">{each.name}</b>: {each.says}
              </span>
              <button type="button" className="key" onClick={() => onWhatIf(each.change)}>
                Show
              </button>
              <button type="button" className="key" onClick={() => void takeOut(each.id)}>
                Remove
              </button>
            </li>
          ))}
        </ul>
      )}
    </section>
  )
}

/** The walls of a room as it was built, now and over the day. */
function useWalls(
  worker: RoomInWorker | null,
  option: InsideOption,
  beyond: readonly InsideOption[],
): WallsOverDay | null {
  const [walls, setWalls] = useState<WallsOverDay | null>(null)
  const { roomDay, choice, light } = useLight()
  useEffect(() => {
    if (!worker) return
    worker.show(
      WALLS_SLOT,
      {
        ...showing(roomDay, choice, light, [option, ...beyond]),
        ...{ view: 0, width: 16, height: 10, step: 1, withTable: false, over: overDay(roomDay) },
      },
      (shown) => setWalls(shown.walls),
    )
  }, [worker, roomDay, choice, light, option, beyond])
  return worker ? walls : null
}

/** Hours of a day, and its lamps alone. */
const overDay = ({ day }: RoomDay): LightMoment[] => [
  ...HOURS.map((hour): LightMoment => ({
    ...{ utcMs: utcMsAt(day, hour * 60), sky: 'partly', lampsOn: false },
  })),
  { utcMs: utcMsAt(day, 0), sky: 'clear', lampsOn: true, lampsAlone: true },
]
