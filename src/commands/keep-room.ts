import { z } from 'zod'
import { bearingOf, wallFacing, wallWidthMm } from '../core/light/walls'
import { USE_HOURS } from '../core/light/use-hours'
import { TREATMENTS } from '../core/paint/treatment'
import { lengthWords } from '../core/units'
import { lengthUnits } from '../db/settings'
import { turnOpenings } from '../db/fittings'
import { findRoom, saveRoom, saveSights } from '../db/rooms'
import { kind, Refusal } from './kind'
import { roomNameTaken } from './room-words'
import { id, millimetres, name } from './values'

/** A room's name, size, use and neighbours, new or changed. */
export const keepRoom = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    name: name('a name for the room'),
    northSouthMm: millimetres(500, 50_000),
    eastWestMm: millimetres(500, 50_000),
    heightMm: millimetres(1500, 15_000),
    /** Where its north wall faces; changes of before it was asked stand square to the compass. */
    northDeg: z.number().min(-45).max(45).default(0),
    useHours: z.enum(USE_HOURS),
    treatment: z.enum(TREATMENTS),
    seenFrom: z.array(id).max(100),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, seenFrom, ...room }, { receivedAt }) {
    const before = await findRoom(tx, roomId)
    const openings = before ? [...before.windows, ...before.doors] : []
    // What faces as its wall does turns with the house; what was given a bearing of its own keeps it.
    const bearingNow = ({ bearingDeg }: { readonly bearingDeg: number }): number => {
      const wall = wallFacing(before!, bearingDeg)
      return bearingOf(before!, wall) === bearingDeg ? bearingOf(room, wall) : bearingDeg
    }
    const tooWide = openings.find(
      (opening) => opening.widthMm > wallWidthMm(room, wallFacing(room, bearingNow(opening))),
    )
    if (tooWide)
      throw new Refusal(
        `What stands at ${tooWide.bearingDeg}° is ${lengthWords(tooWide.widthMm, await lengthUnits(tx))} wide: the wall it stands in cannot be narrower.`,
      )
    if (!(await saveRoom(tx, { id: roomId, visitId, ...room }, receivedAt)))
      throw new Refusal('That room is of another visit, or was removed.')
    await saveSights(tx, roomId, seenFrom)
    await turnOpenings(
      tx,
      openings.map((opening) => ({ id: opening.id, bearingDeg: bearingNow(opening) })),
    )
  },
  taken: { room_name_in_visit: (room) => roomNameTaken(room.name) },
  sentence: (room, nameOf) =>
    `Room: ${room.name}` +
    (room.seenFrom.length > 0
      ? `, open to or seen from ${room.seenFrom.map(nameOf).join(', ')}`
      : ''),
})
