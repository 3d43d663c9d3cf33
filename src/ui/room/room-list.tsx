'use client'

import Link from 'next/link'
import { useState } from 'react'
import { newId } from '../record/new-id'
import { useChange } from '../record/use-change'

export interface ListedRoom {
  readonly id: string
  readonly name: string
  readonly words: string
}

interface Props {
  readonly visitId: string
  readonly rooms: readonly ListedRoom[]
}

/** The rooms of a visit: in order, copied, taken out and put back. */
export function RoomList({ visitId, rooms }: Props) {
  const { change, message } = useChange()
  const [removed, setRemoved] = useState<ListedRoom | null>(null)

  function move(from: number, by: number): void {
    const ids = rooms.map(({ id }) => id)
    const [id] = ids.splice(from, 1)
    ids.splice(from + by, 0, id!)
    void change('order-rooms', { visitId, roomIds: ids })
  }

  return (
    <section aria-label="Rooms of the visit" className="mt-6 border-t border-ink pt-4">
      <h2 className="text-title">Rooms</h2>
      <ol>
        {rooms.map((room, i) => (
          <li
            key={room.id}
            className="flex flex-wrap items-center gap-x-2 border-b border-rule text-small"
          >
            <Link
              href={`/visits/${visitId}/rooms/${room.id}/light`}
              className="min-h-11 flex-1 content-center underline-offset-4 hover:underline"
            >
              <span className="font-medium">{room.name}</span>{' '}
              <span className="text-dim">{room.words}</span>
            </Link>
            <button
              type="button"
              className="key px-3"
              aria-label={`${room.name} earlier`}
              disabled={i === 0}
              onClick={() => move(i, -1)}
            >
              ↑
            </button>
            <button
              type="button"
              className="key px-3"
              aria-label={`${room.name} later`}
              disabled={i === rooms.length - 1}
              onClick={() => move(i, 1)}
            >
              ↓
            </button>
            <button
              type="button"
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Copy ${room.name}`}
              onClick={() =>
                void change(
                  'copy-room',
                  {
                    visitId,
                    roomId: room.id,
                    copyId: newId(),
                    name: copyName(
                      room.name,
                      rooms.map(({ name }) => name),
                    ),
                  },
                  `${room.name} copied, with its windows and lamps.`,
                )
              }
            >
              Copy
            </button>
            <button
              type="button"
              className="min-h-11 px-2 underline underline-offset-4"
              aria-label={`Take out ${room.name}`}
              onClick={() => {
                setRemoved(room)
                void change(
                  'remove-room',
                  { visitId, roomId: room.id, removed: true },
                  `${room.name} taken out.`,
                )
              }}
            >
              Take out
            </button>
          </li>
        ))}
      </ol>
      <p role="status" className="flex min-h-11 items-center gap-4 text-small font-semibold">
        {message}
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

/** "Bedroom 2", or the next number that is free. */
function copyName(name: string, taken: readonly string[]): string {
  const stem = name.replace(/ \d+$/, '')
  for (let number = 2; ; number++)
    if (!taken.includes(`${stem} ${number}`)) return `${stem} ${number}`
}
