import { z } from 'zod'
import { CLIENT_SAID, LEANS } from '../core/record/look'
import { REASON_WORDS } from '../core/record/verdict'
import { saveSayings } from '../db/looks'
import { reasonsGiven } from './keep-look'
import { kind, Refusal } from './kind'
import { id, note, photoHash } from './values'

/** What was said of a look after its verdict: why, a note, the lean, the client. The whole of it, each time. */
export const sayWhy = kind({
  payload: z.object({
    visitId: id,
    lookId: id,
    /** The change that kept the look. */
    keptBy: id,
    reasons: reasonsGiven,
    lean: z.enum(LEANS).nullable(),
    note,
    client: z.object({ says: z.enum(CLIENT_SAID), words: note }).nullable(),
    /** A photo of the moment. */
    photoHash: photoHash.nullable().default(null),
  }),
  visitOf: ({ visitId }) => visitId,
  observes: true,
  async write(tx, { visitId, lookId, ...said }) {
    if (!(await saveSayings(tx, visitId, lookId, said)))
      throw new Refusal('That look is not in this visit, or was taken back: give it anew.')
  },
  sentence: ({ keptBy, reasons, lean, note: words, client, photoHash: photo }, nameOf) =>
    `Said of “${nameOf(keptBy)}”: ` +
    ([
      ...reasons.map((reason) => REASON_WORDS[reason]),
      ...(lean === null ? [] : [lean === 'no lean' ? lean : `leans ${lean}`]),
      ...(client === null
        ? []
        : [`the client: ${client.says}${client.words && ` “${client.words}”`}`]),
      ...(words === '' ? [] : [`“${words}”`]),
      ...(photo === null ? [] : ['with a photo']),
    ].join(', ') || 'nothing more'),
})
