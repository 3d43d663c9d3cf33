import { clockTime, minuteAtClockTime, utcMsAt } from '@/core/light/day-clock'
import { lateSunMinute, type RoomDay } from '@/core/light/light-choice'
import type { LightMoment } from '@/core/light/room-light'
import { picturesOfRoom } from '@/workers/room-picture-client'
import { loadInside } from './room-inside'
import { loadLastSeq, loadRoom } from './visit-page'

/** The pictures of a room that a client is given, by their names in an address. */
export const ROOM_PICTURES = ['morning', 'evening', 'lamps'] as const
export type RoomPictureName = (typeof ROOM_PICTURES)[number]

const MORNING = '09:00'
// Minutes since midnight; in winter the low sun comes before anybody's evening.
const EVENING_FROM = 17 * 60

/** What of a room can be shown: its morning and its late sun where it has a window, its lamps where it has any. */
export function picturesOf({ room, place, day }: RoomDay): readonly {
  readonly name: RoomPictureName
  readonly words: string
  readonly moment: LightMoment
}[] {
  const morning = minuteAtClockTime(day, MORNING) ?? 540
  const late = lateSunMinute(place, day)
  const byDay = (minute: number): LightMoment => ({
    ...{ utcMs: utcMsAt(day, minute), sky: 'clear', lampsOn: false },
  })
  return [
    ...(room.windows.length > 0
      ? ([
          { name: 'morning', words: `in the morning, ${MORNING}`, moment: byDay(morning) },
          {
            name: 'evening',
            words: `${late >= EVENING_FROM ? 'in the evening sun' : 'in the low sun'}, ${clockTime(day, late)}`,
            moment: byDay(late),
          },
        ] as const)
      : []),
    ...(room.lamps.length > 0
      ? ([
          {
            name: 'lamps',
            words: 'after dark, under its lamps',
            moment: { ...byDay(0), lampsOn: true, lampsAlone: true },
          },
        ] as const)
      : []),
  ]
}

const WIDTH = 480
const HEIGHT = 280
const MOST_KNOWN = 60
// By room and the last change of its visit: three are drawn at once.
const known = new Map<string, Promise<readonly Uint8Array[]>>()

/** A picture of a room with what stands for its walls, as JPEG. */
export async function loadRoomPicture(
  visitId: string,
  roomId: string,
  name: RoomPictureName,
): Promise<Uint8Array | null> {
  const { visit, room, roomDay } = await loadRoom(visitId, roomId)
  const key = `${room.id} ${await loadLastSeq(visit.id)}`
  const drawn = known.get(key) ?? draw()
  known.set(key, drawn)
  if (known.size > MOST_KNOWN) known.delete(known.keys().next().value!)
  drawn.catch(() => known.delete(key))
  return (await drawn)[picturesOf(roomDay).findIndex((each) => each.name === name)] ?? null

  async function draw(): Promise<readonly Uint8Array[]> {
    const inside = await loadInside(visit.id, room.id)
    return picturesOfRoom({
      room: { ...inside, room: roomDay.room },
      paints: inside.options[0]!.paints,
      place: roomDay.place,
      moments: picturesOf(roomDay).map(({ moment }) => moment),
      ...{ width: WIDTH, height: HEIGHT },
    })
  }
}
