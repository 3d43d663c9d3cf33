import { isUnderLamps, type Look } from './look'
import { cellsSeen, seenPairOf, type RoomToSee } from './progress'

/** What of a room decides what is left to do in it. */
export interface RoomToDo extends RoomToSee {
  readonly name: string
  readonly windows: number
  readonly lamps: number
}

const NUMBERS = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
] as const

const counted = (count: number, one: string, many: string): string =>
  `${NUMBERS[count] ?? String(count)} ${count === 1 ? one : many}`

/** "Hall", "Hall and Study", "four rooms". */
const named = (rooms: readonly RoomToDo[]): string =>
  rooms.length > 2
    ? counted(rooms.length, 'room', 'rooms')
    : rooms.map(({ name }) => name).join(' and ')

const was = (rooms: readonly unknown[]): string => (rooms.length === 1 ? 'was' : 'were')

/**
 * What is left to do in a house, in words, what comes first in the work first; nothing where all is seen.
 *
 * @param looks that stand
 */
export function leftToDo(rooms: readonly RoomToDo[], looks: readonly Look[]): readonly string[] {
  if (rooms.length === 0) return ['no room yet']
  const dark = rooms.filter(({ windows, lamps }) => windows + lamps === 0)
  const bare = rooms.filter(({ keeperIds }) => keeperIds.length === 0)
  const empty = rooms.filter(({ candidateIds }) => candidateIds.length === 0)
  const { seen, of } = cellsSeen(rooms, looks.flatMap(seenPairOf))
  const lookedAt = (room: RoomToDo, underLamps: boolean): boolean =>
    looks.some(
      (look) =>
        look.roomId === room.id && look.seen.as !== 'screen' && isUnderLamps(look) === underLamps,
    )
  const neverUnderLamps = rooms.filter(
    (room) => room.lamps > 0 && lookedAt(room, false) && !lookedAt(room, true),
  )
  return [
    ...(dark.length > 0 ? [`no window or lamp yet in ${named(dark)}`] : []),
    ...(bare.length > 0 ? [`nothing that stays is entered in ${named(bare)}`] : []),
    ...(empty.length > 0 ? [`no candidate yet for ${named(empty)}`] : []),
    ...(of > seen
      ? [
          seen === 0
            ? `${counted(of, 'colour in its room', 'colours in their rooms')} not looked at yet`
            : `${of - seen} of ${of} colours in their rooms not looked at yet`,
        ]
      : []),
    ...(neverUnderLamps.length > 0
      ? [`${named(neverUnderLamps)} ${was(neverUnderLamps)} never seen under lamps`]
      : []),
  ]
}
