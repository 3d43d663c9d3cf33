'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import type { RoomDay } from '@/core/light/light-choice'
import { judgementOf } from '@/core/pairing/chance'
import type { Sheen } from '@/core/paint/sheen'
import type { ReadingSource } from '@/core/paint/reading'
import { askedRoomOn, rankedRoomOf, type RoomBrief } from '@/core/ranking/asked-room'
import { judgeInRoom } from '@/core/ranking/rank-for-room'
import { JudgementMark } from '../verdict/verdict-mark'

/** A room of the house as a colour is judged in it. */
export interface HouseRoom {
  readonly id: string
  readonly name: string
  readonly brief: RoomBrief
  readonly roomDay: RoomDay
  /** What its walls ask for. */
  readonly sheen: Sheen
}

/** How a colour stands in rooms of the house, judged anew in each: its own lights, what stays there. */
export function InRooms({
  rooms,
  reflectance,
  source,
  action,
}: {
  readonly rooms: readonly HouseRoom[]
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  /** What can be done in a room. */
  readonly action?: (room: HouseRoom) => React.ReactNode
}) {
  const stands = useMemo(
    () =>
      rooms.map((room) => {
        const asked = askedRoomOn(room.brief, room.roomDay)
        const ranked = rankedRoomOf(asked, room.roomDay)
        if (ranked.lights.length === 0 || ranked.finishes.length === 0)
          return { room, judgement: null, words: 'no light or nothing that stays entered yet' }
        const { chance, finish, light } = judgeInRoom(ranked)(reflectance, source)
        return {
          room,
          judgement: judgementOf(chance),
          words: `weakest beside ${asked.finishes[finish]!.name} ${ranked.lights[light]!.name}`,
        }
      }),
    [rooms, reflectance, source],
  )
  return (
    <ul className="text-fine">
      {stands.map(({ room, judgement, words }) => (
        <li key={room.id} className="flex min-h-8 flex-wrap items-center gap-x-2">
          {judgement && <JudgementMark judgement={judgement} />}
          <span>
            <span className="font-medium">
              {room.name}
              {judgement && `: ${judgement}`}
            </span>
            , {words}
          </span>
          {action?.(room)}
        </li>
      ))}
    </ul>
  )
}
