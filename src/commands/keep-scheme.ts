import { z } from 'zod'
import { MOST_SCHEMES, SCHEME_ORIGINS } from '../core/scheme/whole-scheme'
import { listSchemes, saveScheme, SchemePart } from '../db/schemes'
import { kind, Refusal } from './kind'
import { id, name } from './values'

/** A whole scheme of a room, new or changed: what each surface would be, and its accents. */
export const keepScheme = kind({
  payload: z.object({
    visitId: id,
    schemeId: id,
    roomId: id,
    name: name('a name for the scheme'),
    origin: z.enum(SCHEME_ORIGINS),
    parts: z
      .array(SchemePart)
      .min(1, 'Expected a colour for one surface at least.')
      .max(11)
      .refine((parts) => new Set(parts.map(({ surface }) => surface)).size === parts.length, {
        message: 'Expected one colour a surface.',
      }),
    accents: z.array(id).max(4, 'Expected at most 4 accents.'),
    removed: z.boolean().default(false),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, schemeId, ...scheme }, { receivedAt }) {
    const others = (await listSchemes(tx, visitId)).filter(
      ({ id: other, roomId }) => roomId === scheme.roomId && other !== schemeId,
    )
    if (!scheme.removed && others.length >= MOST_SCHEMES)
      throw new Refusal(
        `A room holds at most ${MOST_SCHEMES} schemes side by side: take one out first.`,
      )
    if (!(await saveScheme(tx, visitId, { ...scheme, id: schemeId }, receivedAt)))
      throw new Refusal('That room, or a colour of the scheme, is not in this visit.')
  },
  taken: {
    scheme_name_in_room: ({ name: called }) =>
      new Refusal('', { name: `There is a scheme “${called}” in this room already.` }),
  },
  sentence: ({ roomId, name: called, removed }, nameOf) =>
    removed
      ? `Scheme “${called}” of ${nameOf(roomId)} taken out`
      : `Scheme “${called}” for ${nameOf(roomId)}`,
})
