'use client'

import { useMemo } from 'react'
import { compassWord, isCoolAndEven } from '@/core/light/aspect'
import { HOUSE_RULES, type HouseRules } from '@/core/advice/house-rules'
import { shadedBearingDeg } from '@/core/light/light-choice'
import { daySentences } from '@/core/light/light-words'
import type { LitRoom } from '@/core/light/room'
import { lengthWords } from '@/core/units'
import { Figures } from '../form/figures'
import { useSettings } from '../settings/settings-context'
import { useLight } from '../light-bar/light-context'
import { DaySwitch } from './day-switch'
import { LampPanel } from './lamp-panel'
import type { LightRoom } from './light-room'
import { LightFigures } from './light-figures'
import { MeterPanel, type KeptReading } from './meter-panel'
import { RoomForm } from './room-form'
import { SlideBand, type SlidSample } from './slide-band'
import { WindowPanel } from './window-panel'

interface Props {
  readonly room: LightRoom
  readonly otherRooms: readonly {
    readonly id: string
    readonly name: string
    /** It has a window or a lamp. */
    readonly isSetUp: boolean
  }[]
  readonly houseRules: HouseRules
  readonly readings: readonly KeptReading[]
  readonly samples: readonly SlidSample[]
}

/** Where a room's light comes from, and what it does over the day. */
export function RoomLightView({ room, otherRooms, houseRules, readings, samples }: Props) {
  const { roomDay, choice } = useLight()
  const sentences = useMemo(() => daySentences(roomDay, choice.sky), [roomDay, choice.sky])
  return (
    <main className="min-h-0 flex-1 overflow-y-auto">
      <h1 className="sr-only">Light of {room.name}</h1>
      <div className="grid gap-x-8 gap-y-6 p-5 lg:grid-cols-2">
        <div className="flex flex-col gap-6">
          <RoomDetails room={room} otherRooms={otherRooms} />
          <WindowPanel room={room} likeRooms={otherRooms.filter(({ isSetUp }) => isSetUp)} />
          <LampPanel room={room} />
        </div>
        <div className="flex flex-col gap-5">
          <DaySwitch />
          <section aria-label="The day in words">
            {sentences.map((sentence) => (
              <p key={sentence} className="font-display text-title">
                {sentence}
              </p>
            ))}
            <NorthRoomAdvice room={room} rules={houseRules} />
          </section>
          <MeterPanel roomId={room.id} visitId={room.visitId} readings={readings} />
          <SlideBand samples={samples} />
          <Figures of="where the light of the moment comes from">
            <LightFigures />
          </Figures>
        </div>
      </div>
    </main>
  )
}

/** Name, size, turn and use, said in a line until they are changed. */
function RoomDetails({ room, otherRooms }: Pick<Props, 'room' | 'otherRooms'>) {
  const { lengths } = useSettings()
  const [northSouth, eastWest, height] = [room.northSouthMm, room.eastWestMm, room.heightMm].map(
    (mm) => lengthWords(mm, lengths),
  )
  return (
    <details>
      <summary className="min-h-11 content-center text-small">
        <span className="font-medium">Name, size and use:</span> {northSouth} north to south,{' '}
        {eastWest} east to west, {height} high
        {room.northDeg !== 0 && `, its north at ${room.northDeg}°`}{' '}
        <span className="underline underline-offset-4">change</span>
      </summary>
      <RoomForm
        key={`${room.northSouthMm} ${room.eastWestMm} ${room.heightMm}`}
        room={room}
        otherRooms={otherRooms}
        submit="Save the room"
      />
    </details>
  )
}

/** What the house rule says of a room that looks away from the sun. */
function NorthRoomAdvice({ room, rules }: { readonly room: LitRoom; readonly rules: HouseRules }) {
  const { place } = useLight().roomDay
  if (!isCoolAndEven(room, place)) return null
  const { label, says } = HOUSE_RULES['north-room'].schools[rules['north-room']]
  return (
    <p className="mt-2 text-small">
      <span className="font-medium">
        House rule for a cool {compassWord(shadedBearingDeg(place))} room, {label.toLowerCase()}:
      </span>{' '}
      {says}
    </p>
  )
}
