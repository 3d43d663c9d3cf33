'use client'

import { useMemo } from 'react'
import type { Reflectance } from '@/core/colour/spectrum'
import type { RoomDay } from '@/core/light/light-choice'
import { judgementOf, JUDGEMENT_WORDS } from '@/core/pairing/chance'
import type { Sheen } from '@/core/paint/sheen'
import type { ReadingSource } from '@/core/paint/reading'
import { askedRoomOn, rankedRoomOf, type RoomBrief } from '@/core/ranking/asked-room'
import { refusalOf, type EyeSaid, type LookedPaint } from '@/core/record/eye-said'
import { judgeInRoom } from '@/core/ranking/rank-for-room'
import { EyeLine } from '../verdict/eye-line'
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

const besideWhat = ({ brief }: HouseRoom, { keeperId }: EyeSaid): string =>
  `beside ${brief.finishes.find((finish) => finish.keeperId === keeperId)?.name ?? 'what stays'}`

/** How a colour stands in rooms of the house, judged anew in each: its own lights, what stays there. */
export function InRooms({
  rooms,
  paint,
  reflectance,
  source,
  action,
}: {
  readonly rooms: readonly HouseRoom[]
  readonly paint: LookedPaint
  readonly reflectance: Reflectance
  readonly source: ReadingSource
  /** What can be done in a room. */
  readonly action?: (room: HouseRoom) => React.ReactNode
}) {
  const stands = useMemo(
    () =>
      rooms.map((room) => {
        const refusal = refusalOf(room.brief.eye, paint)
        if (refusal) return { room, refusal, judgement: null, words: besideWhat(room, refusal) }
        const asked = askedRoomOn(room.brief, room.roomDay)
        const ranked = rankedRoomOf(asked, room.roomDay)
        if (ranked.lights.length === 0 || ranked.finishes.length === 0)
          return {
            room,
            refusal,
            judgement: null,
            words: 'no light or nothing that stays entered yet',
          }
        const { chance, finish, light } = judgeInRoom(ranked)(reflectance, source)
        return {
          room,
          refusal,
          judgement: judgementOf(chance),
          words: `weakest beside ${asked.finishes[finish]!.name} ${ranked.lights[light]!.name}`,
        }
      }),
    [rooms, paint, reflectance, source],
  )
  return (
    <ul className="text-fine">
      {stands.map(({ room, refusal, judgement, words }) => (
        <li key={room.id} className="flex min-h-8 flex-wrap items-center gap-x-2">
          {refusal && <EyeLine said={refusal} />}
          {judgement && <JudgementMark judgement={judgement} />}
          <span>
            <span className="font-medium">
              {room.name}
              {judgement && `: ${JUDGEMENT_WORDS[judgement]}`}
            </span>
            , {words}
          </span>
          {!refusal && action?.(room)}
        </li>
      ))}
    </ul>
  )
}
