import { z } from 'zod'
import { clockOfMinutes } from '../core/light/day-clock'
import { SHEENS } from '../core/paint/sheen'
import { lengthWords } from '../core/units'
import { saveBoard } from '../db/boards'
import { kind, Refusal } from './kind'
import { date, id, millimetres } from './values'

/** A board of a candidate, or a strip of it on a room's wall: its size, how many, and when it is painted. */
export const keepBoard = kind({
  payload: z
    .object({
      visitId: id,
      boardId: id,
      candidateId: id,
      roomId: id.nullable(),
      sheen: z.enum(SHEENS),
      widthMm: millimetres(50, 10_000),
      heightMm: millimetres(50, 15_000),
      borderMm: millimetres(0, 500),
      count: z.int().min(1, 'Expected 1 to 12 boards.').max(12, 'Expected 1 to 12 boards.'),
      begun: z.object({ date, clockMinute: z.int().min(0).max(1439) }).nullable(),
      removed: z.boolean().default(false),
    })
    .refine(({ widthMm, heightMm, borderMm }) => 2 * borderMm < Math.min(widthMm, heightMm), {
      path: ['borderMm'],
      message: 'Expected a border that leaves something to paint.',
    }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { boardId, ...board }, { receivedAt }) {
    if (!(await saveBoard(tx, { ...board, id: boardId }, receivedAt)))
      throw new Refusal('That candidate or room is not in this visit, or was removed.')
  },
  taken: {
    board_of_candidate: () =>
      new Refusal('There is a board of this colour at this strength in this sheen already.'),
  },
  sentence(
    { candidateId, roomId, widthMm, heightMm, count, sheen, begun, removed },
    nameOf,
    { lengths },
  ) {
    const what =
      roomId === null ? `${count === 1 ? 'Board' : `${count} boards`}` : 'Strip on the wall'
    if (removed) return `${what} of ${nameOf(candidateId)} removed`
    const size = `${lengthWords(widthMm, lengths)} × ${lengthWords(heightMm, lengths)}`
    const when = begun ? `, painted from ${begun.date} ${clockOfMinutes(begun.clockMinute)}` : ''
    return `${what} of ${nameOf(candidateId)}, ${sheen}, ${size}${roomId === null ? '' : ` in ${nameOf(roomId)}`}${when}`
  },
})
