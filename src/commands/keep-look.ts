import { z } from 'zod'
import { LIGHT_SOURCES } from '../core/light/light-choice'
import { SKIES } from '../core/light/sky'
import { PLANES, SPOT_NAMES } from '../core/light/spot'
import { JUDGEMENTS } from '../core/pairing/chance'
import { SHEENS } from '../core/paint/sheen'
import { CLIENT_SAID, HELD, LEANS } from '../core/record/look'
import { againstSaid, lookSaid } from '../core/record/look-words'
import { judgementKey, reasonKey } from '../core/record/said-before'
import { REASONS, VERDICTS } from '../core/record/verdict'
import { TRIM_KINDS } from '../core/scheme/trim'
import { COMPARATORS } from '../core/undertone/comparators'
import { insertLook } from '../db/looks'
import { kind, Refusal } from './kind'
import { date, id, minute, note, shortText, strengthPercent } from './values'

const against = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('keeper'),
    keeperId: id,
    part: z.string().trim().min(1).max(40).nullable(),
  }),
  z.object({ kind: z.literal('wall'), plane: z.enum(PLANES) }),
  z.object({ kind: z.literal('trim'), trim: z.enum(TRIM_KINDS) }),
  z.object({ kind: z.literal('candidate'), candidateId: id }),
  z.object({
    kind: z.literal('comparator'),
    name: z.enum(COMPARATORS.map(({ name }) => name)),
  }),
  z.object({ kind: z.literal('paint'), deckColourId: id }),
])

const seen = z.discriminatedUnion('as', [
  z.object({ as: z.literal('sample'), held: z.enum(HELD), strengthPercent }),
  z.object({ as: z.literal('screen') }),
])

/** The light of a look, as the hand that gave it knew it. */
export const lookLight = z.object({
  source: z.enum(LIGHT_SOURCES),
  date,
  minute,
  sky: z.enum(SKIES),
  lampsOn: z.boolean(),
  spot: z.enum(SPOT_NAMES),
  place: shortText,
  metered: z
    .object({
      lux: z.number().positive().max(150_000),
      cctK: z.number().min(1500).max(25_000),
    })
    .nullable(),
})

/** A key of a list; a change that waited on a device may still have the words of before. */
const orInWordsOfBefore = <K extends string>(
  keyOf: (said: unknown) => unknown,
  keys: readonly [K, ...K[]],
) => z.preprocess(keyOf, z.enum(keys)) as z.ZodType<K, K>

/** What the model said of a pair then. */
export const modelThen = z.object({
  version: z.string().min(1).max(20),
  judgement: orInWordsOfBefore(judgementKey, JUDGEMENTS),
  chance: z.number().min(0).max(1),
  sentence: note,
  strengthPercent: strengthPercent.nullable(),
})

/** Why. */
export const reasonsGiven = z.array(orInWordsOfBefore(reasonKey, REASONS)).max(REASONS.length)

/** One look, as the hand that gave it knew it. */
export const keepLook = kind({
  payload: z
    .object({
      visitId: id,
      lookId: id,
      roomId: id,
      candidate: z.object({
        candidateId: id,
        // What it is, also where another device took the same up under another id.
        deckColourId: id,
        strengthPercent,
        sheen: z.enum(SHEENS),
      }),
      against,
      seen,
      light: lookLight,
      // Null where the eye said a lean and nothing more.
      verdict: z.enum(VERDICTS).nullable(),
      reasons: reasonsGiven,
      // Of a fan: what it was the best of.
      bestOf: z.array(id).max(10).default([]),
      lean: z.enum(LEANS).nullable(),
      note,
      client: z.object({ says: z.enum(CLIENT_SAID), words: note }).nullable(),
      modelSeenBefore: z.boolean(),
      model: modelThen.nullable(),
    })
    .refine(
      ({ verdict, reasons, lean, bestOf, client }) =>
        verdict !== null ||
        (reasons.length === 0 && (lean !== null || bestOf.length > 0 || client !== null)),
      {
        path: ['verdict'],
        message:
          'Expected a verdict, a lean that was seen, the best of several, or what the client said.',
      },
    ),
  visitOf: ({ visitId }) => visitId,
  observes: true,
  async write(tx, look, at) {
    const kept = await insertLook(tx, look, at)
    if (!kept)
      throw new Refusal(
        'What was held together is not of this room: its keeper or its colour is not known here.',
      )
    const gone = [
      ...(kept.visitRemoved ? ['the visit'] : []),
      ...(kept.roomRemoved ? ['the room'] : []),
      ...(kept.candidateRemoved ? ['the candidate'] : []),
      ...(kept.keeperRemoved ? ['what it was held against'] : []),
    ]
    return gone.length > 0 ? `Removed meanwhile: ${gone.join(', ')}.` : undefined
  },
  sentence: (look, nameOf, { words }) =>
    `${nameOf(look.candidate.deckColourId)} at ${look.candidate.strengthPercent} % beside ` +
    `${againstSaid(look.against, nameOf, words)} in ${nameOf(look.roomId)}: ${lookSaid(look)}` +
    (look.verdict === null && look.client ? `, who says ${look.client.says}` : '') +
    (look.seen.as === 'screen' ? ' (on the screen)' : ''),
})
