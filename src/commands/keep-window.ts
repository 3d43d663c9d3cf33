import { z } from 'zod'
import { compassWord } from '../core/light/aspect'
import { CURTAINS, GLAZINGS, GROUNDS, kindsOf, OPPOSITES, SOLID } from '../core/light/fittings'
import { wallFacing, wallWidthMm } from '../core/light/walls'
import { lengthWords } from '../core/units'
import { saveWindow } from '../db/fittings'
import { findRoom } from '../db/rooms'
import { lengthUnits } from '../db/settings'
import { kind, Refusal } from './kind'
import { id, millimetres } from './values'

/** A window or a door of a room, new or changed. */
export const keepWindow = kind({
  payload: z.object({
    visitId: id,
    roomId: id,
    windowId: id,
    bearingDeg: z.number().min(0).lt(360),
    widthMm: millimetres(100, 50_000),
    heightMm: millimetres(100, 15_000),
    sillMm: millimetres(0, 15_000),
    pitchDeg: z.int().min(0).max(90),
    /** `solid`: a door that lets no light in. */
    glazing: z.enum([...kindsOf(GLAZINGS), SOLID]),
    curtain: z.enum(kindsOf(CURTAINS)),
    overhangMm: millimetres(0, 10_000),
    opposite: z.enum(kindsOf(OPPOSITES)),
    oppositeDeg: z.int().min(0).max(85),
    ground: z.enum(kindsOf(GROUNDS)),
    /** Where its middle stands along its wall; null where it is spread evenly with the others. */
    alongPercent: z.number().min(0).max(100).nullable().default(null),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, roomId, windowId, ...window }) {
    const room = await findRoom(tx, roomId)
    if (room?.visitId !== visitId)
      throw new Refusal('That room is not in this visit, or was removed.')
    const units = await lengthUnits(tx)
    const wall = wallFacing(room, window.bearingDeg)
    const width = wallWidthMm(room, wall)
    if (window.widthMm > width)
      throw new Refusal('', {
        widthMm: `Expected at most ${lengthWords(width, units)}, the width of the ${wall} wall, got ${lengthWords(window.widthMm, units)}.`,
      })
    const top = window.heightMm + window.sillMm
    if (window.pitchDeg === 90 && top > room.heightMm)
      throw new Refusal('', {
        heightMm: `Expected sill and height together at most ${lengthWords(room.heightMm, units)}, the height of the room, got ${lengthWords(top, units)}.`,
      })
    if (!(await saveWindow(tx, roomId, { id: windowId, ...window })))
      throw new Refusal('That window is of another room.')
  },
  sentence: ({ roomId, bearingDeg, widthMm, heightMm, glazing }, nameOf, { lengths }) =>
    `${glazing === SOLID ? 'Door' : 'Window'} in ${nameOf(roomId)}: faces ${compassWord(bearingDeg)}, ${lengthWords(widthMm, lengths)} × ${lengthWords(heightMm, lengths)}`,
})
