import { z } from 'zod'
import { SHEENS } from '../core/paint/sheen'
import { SURFACES } from '../core/record/proposal'
import { MOST_SCHEMES, SCHEME_ORIGINS, type Scheme } from '../core/scheme/whole-scheme'
import { candidateFor } from '../db/candidates'
import { listSchemes, saveScheme } from '../db/schemes'
import { kind, Refusal } from './kind'
import { id, name, strengthPercent } from './values'

/** A whole scheme of a room, new or changed: what each surface would be, and its accents. */
export const keepScheme = kind({
  payload: z.object({
    visitId: id,
    schemeId: id,
    roomId: id,
    name: name('a name for the scheme'),
    origin: z.enum(SCHEME_ORIGINS),
    parts: z
      .array(
        z.object({
          surface: z.enum(SURFACES),
          sheen: z.enum(SHEENS),
          deckColourId: id,
          strengthPercent,
          /** Of the candidate that it becomes where there is none of that colour at that strength. */
          candidateId: id,
        }),
      )
      .min(1, 'Expected a colour for one surface at least.')
      .max(11)
      .refine((parts) => new Set(parts.map(({ surface }) => surface)).size === parts.length, {
        message: 'Expected one colour a surface.',
      }),
    accents: z.array(id).max(4, 'Expected at most 4 accents.'),
    /** Furnishings that come with it; null: everything that arrives in the room. Changes of before it was asked say nothing. */
    comes: z.array(id).max(20, 'Expected at most 20 furnishings.').nullable().default(null),
    removed: z.boolean().default(false),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, schemeId, parts, ...scheme }, { receivedAt }) {
    const others = (await listSchemes(tx, visitId)).filter(
      ({ id: other, roomId }) => roomId === scheme.roomId && other !== schemeId,
    )
    if (!scheme.removed && others.length >= MOST_SCHEMES)
      throw new Refusal(
        `A room holds at most ${MOST_SCHEMES} schemes side by side: take one out first.`,
      )
    const named: Scheme['parts'][number][] = []
    for (const { surface, sheen, ...wanted } of parts)
      named.push({
        ...{ surface, sheen },
        candidateId: await candidateFor(tx, visitId, wanted, receivedAt),
      })
    const kept = { ...scheme, id: schemeId, parts: named }
    if (!(await saveScheme(tx, visitId, kept, receivedAt)))
      throw new Refusal(
        'That room, or a colour or a furnishing of the scheme, is not in this visit.',
      )
  },
  taken: {
    scheme_name_in_room: ({ name: called }) =>
      new Refusal('', { name: `There is a scheme “${called}” in this room already.` }),
  },
  sentence: ({ roomId, name: called, removed }, nameOf) =>
    removed
      ? `Scheme “${called}” of ${nameOf(roomId)} removed`
      : `Scheme “${called}” for ${nameOf(roomId)}`,
})
