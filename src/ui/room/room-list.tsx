'use client'

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { Link } from '../frame/page-link'
import { useState } from 'react'
import { RoomNameField } from '../brief/rooms-by-name'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'
import { plainRoom } from './plain-room'

export interface ListedRoom {
  readonly id: string
  readonly name: string
  readonly words: string
}

/** The rooms of a visit: added by name, sorted by drag or by key, copied, taken out and put back. */
export function RoomList({
  visitId,
  rooms,
  northDeg,
}: {
  readonly visitId: string
  readonly rooms: readonly ListedRoom[]
  /** The north of a room that is added: rooms of one house mostly stand as one. */
  readonly northDeg: number
}) {
  const { change, message } = useChange()
  // Nothing else waits for a new order to be kept.
  const order = useChange()
  const [removed, setRemoved] = useState<ListedRoom | null>(null)
  const [moved, setMoved] = useState<readonly string[] | null>(null)
  const sensors = useSensors(
    // A thumb that scrolls drags nothing.
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const ids = rooms.map(({ id }) => id)
  // The order as it was left, until the page comes with it.
  const shown =
    moved && moved.length === ids.length && moved.every((id) => ids.includes(id)) ? moved : ids
  const names = rooms.map(({ name }) => name)

  const nameOf = (id: UniqueIdentifier): string => rooms.find((room) => room.id === id)?.name ?? ''
  const placeOf = (id: UniqueIdentifier): number => shown.indexOf(String(id)) + 1

  function end({ active, over }: DragEndEvent): void {
    if (!over || active.id === over.id) return
    const sorted = arrayMove(
      [...shown],
      shown.indexOf(String(active.id)),
      shown.indexOf(String(over.id)),
    )
    setMoved(sorted)
    void order.change('order-rooms', { visitId, roomIds: sorted }).then(() => setMoved(null))
  }

  return (
    <section aria-label="Rooms of the visit" className="flex flex-col gap-1">
      <h2 className="text-small font-medium">Rooms</h2>
      <DndContext
        id={`rooms-${visitId}`}
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{
          announcements: {
            onDragStart: ({ active }) => `${nameOf(active.id)} is lifted; arrow keys move it.`,
            onDragOver: ({ active, over }) =>
              over ? `${nameOf(active.id)}: place ${placeOf(over.id)} of ${shown.length}.` : '',
            onDragEnd: ({ active }) => `${nameOf(active.id)} is put down.`,
            onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
          },
        }}
        onDragEnd={end}
      >
        <SortableContext items={[...shown]} strategy={verticalListSortingStrategy}>
          <ol>
            {shown.map((id) => {
              const room = rooms.find((each) => each.id === id)!
              return (
                <RoomLine
                  key={id}
                  visitId={visitId}
                  room={room}
                  onCopy={() =>
                    void change(
                      'copy-room',
                      { visitId, roomId: id, copyId: newId(), name: copyName(room.name, names) },
                      `${room.name} copied, with its windows and lamps.`,
                    )
                  }
                  onTakeOut={() => {
                    setRemoved(room)
                    void change(
                      'remove-room',
                      { visitId, roomId: id, removed: true },
                      `${room.name} removed.`,
                    )
                  }}
                />
              )
            })}
          </ol>
        </SortableContext>
      </DndContext>
      <RoomNameField
        taken={names}
        onAdd={(added) => {
          for (const name of added)
            void change('keep-room', plainRoom(visitId, newId(), name, northDeg))
        }}
      />
      <p
        role="status"
        aria-label="What came of it"
        className="flex items-center gap-4 text-small font-semibold"
      >
        {message || order.message}
        {removed && (
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => {
              void change(
                'remove-room',
                { visitId, roomId: removed.id, removed: false },
                `${removed.name} is back.`,
              )
              setRemoved(null)
            }}
          >
            Undo
          </button>
        )}
      </p>
    </section>
  )
}

function RoomLine({
  visitId,
  room,
  onCopy,
  onTakeOut,
}: {
  readonly visitId: string
  readonly room: ListedRoom
  readonly onCopy: () => void
  readonly onTakeOut: () => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: room.id })
  return (
    <li
      ref={setNodeRef}
      className="flex items-center gap-x-1 border-b border-rule bg-paper text-small"
      style={{
        transform: transform ? `translateY(${transform.y}px)` : undefined,
        transition,
      }}
    >
      <button
        type="button"
        {...attributes}
        {...listeners}
        className="min-h-11 cursor-grab touch-none px-2 text-dim"
        aria-label={`Move ${room.name}`}
      >
        ⋮⋮
      </button>
      <Link
        href={`/visits/${visitId}/rooms/${room.id}/light`}
        className="min-h-11 flex-1 content-center underline-offset-4 hover:underline"
      >
        <span className="font-medium">{room.name}</span>{' '}
        <span className="text-dim">{room.words}</span>
      </Link>
      <button
        type="button"
        className="min-h-11 px-2 underline underline-offset-4"
        aria-label={`Copy ${room.name}`}
        onClick={onCopy}
      >
        Copy
      </button>
      <button
        type="button"
        className="min-h-11 px-2 whitespace-nowrap underline underline-offset-4"
        aria-label={`Remove ${room.name}`}
        onClick={onTakeOut}
      >
        Remove
      </button>
    </li>
  )
}

/** "Bedroom 2", or the next number that is free. */
function copyName(name: string, taken: readonly string[]): string {
  const stem = name.replace(/ \d+$/, '')
  for (let number = 2; ; number++)
    if (!taken.includes(`${stem} ${number}`)) return `${stem} ${number}`
}
