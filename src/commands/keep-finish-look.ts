import { z } from 'zod'
import { FINISH_VERDICTS } from '../core/record/finish-look'
import { insertFinishLook } from '../db/finish-looks'
import { lookLight, modelThen } from './keep-look'
import { kind, Refusal } from './kind'
import { id } from './values'

/** What is arriving, held against what stays. */
export const keepFinishLook = kind({
  payload: z
    .object({
      visitId: id,
      lookId: id,
      roomId: id,
      arrivingId: id,
      besideId: id,
      seenAs: z.enum(['sample', 'screen']),
      light: lookLight,
      verdict: z.enum(FINISH_VERDICTS),
      model: modelThen.omit({ strengthPercent: true }).nullable(),
    })
    .refine(({ arrivingId, besideId }) => arrivingId !== besideId, {
      path: ['besideId'],
      message: 'Expected two finishes, got one.',
    }),
  visitOf: ({ visitId }) => visitId,
  observes: true,
  async write(tx, look, at) {
    if (!(await insertFinishLook(tx, look, at)))
      throw new Refusal('What was held together is not of this house.')
  },
  sentence: ({ arrivingId, besideId, roomId, verdict, seenAs }, nameOf) =>
    `${nameOf(arrivingId)}, arriving, beside ${nameOf(besideId)} in ${nameOf(roomId)}: ${verdict}` +
    (seenAs === 'screen' ? ' (on the screen)' : ''),
})
