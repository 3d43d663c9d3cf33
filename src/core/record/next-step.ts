import { counted } from '../words'
import type { Progress } from './progress'
import type { Surface } from './proposal'

/** How far the work in a room has come. */
export interface RoomSoFar {
  readonly id: string
  readonly name: string
  /** A window or a lamp is known. */
  readonly hasLight: boolean
  /** What candidates are judged against, and what is proposed and not ruled out. */
  readonly keepers: number
  readonly candidates: number
  readonly pairs: Progress
  /** The finish that a sweep is worth while past, by its name; null where what is left is looked at pair by pair. */
  readonly sweepPast: string | null
  /** Colours that go to board: without a board that is begun, and with one that nobody looked at in this room. */
  readonly boards: { readonly toPaint: number; readonly toLookAt: number }
  /** Something was seen to work there. */
  readonly works: boolean
  /** Surfaces that something is proposed for and nothing ruled, and how many are ruled on. */
  readonly open: readonly Surface[]
  readonly ruled: number
}

export type NextWhere = 'light' | 'keepers' | 'shortlist' | 'bench' | 'boards' | 'ruling' | 'sheets'

/** A step that is left to do: where, and in words that follow "Next:". */
export interface NextStep {
  /** Null of a step of the whole house. */
  readonly room: Pick<RoomSoFar, 'id' | 'name'> | null
  readonly where: NextWhere
  readonly words: string
}

/**
 * The next useful step: of the room at hand, else of the first room after it that has one; when every room is done, the sheets.
 *
 * @param atHand the id of the room one is in; undefined on a page of the house
 * @returns null of a house without a room
 */
export function nextStep(rooms: readonly RoomSoFar[], atHand: string | undefined): NextStep | null {
  if (rooms.length === 0) return null
  const at = Math.max(
    0,
    rooms.findIndex(({ id }) => id === atHand),
  )
  for (const room of [...rooms.slice(at), ...rooms.slice(0, at)]) {
    const left = leftIn(room)
    if (left) {
      const [where, words] = left
      return { room, where, words }
    }
  }
  return { room: null, where: 'sheets', words: 'send the sheets' }
}

function leftIn(room: RoomSoFar): readonly [NextWhere, string] | null {
  const { pairs, boards, open } = room
  if (!room.hasLight) return ['light', 'set up the light']
  if (room.keepers === 0) return ['keepers', 'enter what stays']
  // What is ruled on needs no more colours and no more looks.
  if (open.length === 0 && room.ruled > 0) return null
  if (room.candidates === 0) return ['shortlist', 'propose a colour']
  if (pairs.seen < pairs.of)
    return [
      'bench',
      room.sweepPast
        ? `sweep past ${room.sweepPast}`
        : `look at ${counted(pairs.of - pairs.seen, 'pair')}`,
    ]
  if (boards.toPaint > 0) return ['boards', `paint ${counted(boards.toPaint, 'board')}`]
  if (boards.toLookAt > 0) return ['boards', `look at ${counted(boards.toLookAt, 'board')}`]
  if (!room.works) return ['shortlist', 'propose another colour']
  return ['ruling', `rule on ${open[0]}`]
}
