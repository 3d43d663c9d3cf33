'use client'

import { useState } from 'react'
import { PLAIN_LAMP } from '@/core/light/room'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'
import { useSettings } from '../settings/settings-context'
import { FittingList } from './fitting-list'
import type { LightRoom } from './light-room'
import { OpeningForm, type TappedPlace } from './opening-form'
import { openingsOf, openingWords, plainOpening, type Opening } from './openings'
import { RoomPlan } from './room-plan'

/** Windows and doors on a plan: tap a wall to put one in, tap one to change it, drag it along its wall. */
export function WindowPanel({
  room,
  likeRooms,
}: {
  readonly room: LightRoom
  /** Rooms that are set up, to be like. */
  readonly likeRooms: readonly { readonly id: string; readonly name: string }[]
}) {
  const { lengths } = useSettings()
  const { change, busy, message } = useChange()
  const [edited, setEdited] = useState<string | null>(null)
  const [put, setPut] = useState(0)
  const openings = openingsOf(room)
  const opening = openings.find(({ id }) => id === edited)

  function done(): void {
    setEdited(null)
    setPut(put + 1)
  }

  /** A window of the usual size, at once; its form is there for whoever knows better. */
  function putIn(place: TappedPlace): void {
    // Tapped twice, or a key held down: one was meant.
    if (busy) return
    const windowId = newId()
    void change('keep-window', {
      ...plainOpening('window'),
      ...place,
      ...{ visitId: room.visitId, roomId: room.id, windowId },
    }).then((answer) => {
      if (answer?.ok) setEdited(windowId)
    })
  }

  function move({ id, ...rest }: Opening, alongPercent: number): void {
    void change('keep-window', {
      ...rest,
      visitId: room.visitId,
      roomId: room.id,
      windowId: id,
      alongPercent,
    })
  }

  return (
    <section aria-label="Windows and doors">
      <RoomPlan
        openings={openings}
        edited={edited}
        lamps={room.lamps}
        onWall={putIn}
        onSize={(side) => {
          const { visitId, id: roomId, name, northSouthMm, eastWestMm, heightMm } = room
          const { northDeg, useHours, treatment, seenFrom } = room
          void change('keep-room', {
            ...{ visitId, roomId, name, northSouthMm, eastWestMm, heightMm },
            ...{ northDeg, useHours, treatment, seenFrom: [...seenFrom] },
            ...side,
          })
        }}
        onLamp={(place) =>
          !busy &&
          void change('keep-lamp', {
            ...PLAIN_LAMP,
            ...{ visitId: room.visitId, roomId: room.id, lampId: newId(), place },
          })
        }
        onOpening={setEdited}
        onMove={move}
      />
      {room.windows.length === 0 && room.lamps.length === 0 && (
        <p className="mt-2 border-l-4 border-ink pl-3 text-small">
          No window and no lamp yet: nothing can be seen in here. Drag the walls to size, tap a wall
          to put a window in it, and the floor for a lamp.
          {likeRooms.length > 0 && (
            <span className="flex flex-wrap items-center gap-x-3">
              Or all of it like
              {likeRooms.map(({ id, name }) => (
                <button
                  key={id}
                  type="button"
                  className="min-h-11 underline underline-offset-4"
                  onClick={() =>
                    void change(
                      'make-alike',
                      { visitId: room.visitId, roomId: room.id, likeRoomId: id },
                      `Like ${name} now.`,
                    )
                  }
                >
                  {name}
                </button>
              ))}
            </span>
          )}
        </p>
      )}
      <OpeningForm
        // Another place or opening is another form; one that is taken in leaves a fresh one.
        key={opening ? `${opening.id} ${opening.alongPercent}` : put}
        visitId={room.visitId}
        roomId={room.id}
        opening={opening}
        onDone={done}
      />
      {message && (
        <p role="status" className="text-small font-semibold">
          {message}
        </p>
      )}
      <FittingList
        visitId={room.visitId}
        what="window"
        fittings={openings.map((each) => ({ id: each.id, words: openingWords(each, lengths) }))}
        edited={edited}
        onEdit={setEdited}
      />
    </section>
  )
}
