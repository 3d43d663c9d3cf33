import { z } from 'zod'
import { LIGHT_SOURCES } from '../core/light/light-choice'
import { SKIES } from '../core/light/sky'
import { PLANES, SPOT_NAMES } from '../core/light/spot'
import { JUDGEMENTS } from '../core/pairing/chance'
import { SHEENS } from '../core/paint/sheen'
import { CLIENT_SAID, HELD, LEANS, type Against, type Look, type Seen } from '../core/record/look'
import { REASONS, VERDICTS } from '../core/record/verdict'
import { TRIM_KINDS } from '../core/scheme/trim'

/** The light of a look as it is kept, but for what a meter said. */
export const LIGHT = {
  source: z.enum(LIGHT_SOURCES),
  date: z.iso.date().nullable(),
  minute: z.number(),
  sky: z.enum(SKIES),
  lampsOn: z.boolean(),
  spot: z.enum(SPOT_NAMES),
  place: z.string(),
}

/** A look as it lies in its table, and as the core knows it. */
export const LookRow = z
  .object({
    id: z.uuid(),
    commandId: z.uuid().nullable(),
    roomId: z.uuid(),
    candidateId: z.uuid(),
    strengthPercent: z.number(),
    sheen: z.enum(SHEENS),
    against: z.enum(['keeper', 'wall', 'trim', 'candidate', 'comparator', 'paint']),
    keeperId: z.uuid().nullable(),
    part: z.string().nullable(),
    plane: z.enum(PLANES).nullable(),
    trim: z.enum(TRIM_KINDS).nullable(),
    besideId: z.uuid().nullable(),
    comparator: z.string().nullable(),
    paintId: z.uuid().nullable(),
    seenAs: z.enum(['sample', 'screen', 'not noted']),
    held: z.enum(HELD).nullable(),
    heldStrengthPercent: z.number().nullable(),
    ...LIGHT,
    meteredLux: z.number().nullable(),
    meteredCctK: z.number().nullable(),
    verdict: z.enum(VERDICTS).nullable(),
    reasons: z.array(z.enum(REASONS)),
    bestOf: z.array(z.uuid()),
    lean: z.enum(LEANS).nullable(),
    note: z.string(),
    clientSays: z.enum(CLIENT_SAID).nullable(),
    clientWords: z.string(),
    photoHash: z.string().nullable(),
    by: z.string(),
    madeAt: z.string(),
    modelSeenBefore: z.boolean().nullable(),
    modelVersion: z.string().nullable(),
    modelJudgement: z.enum(JUDGEMENTS).nullable(),
    modelChance: z.number().nullable(),
    modelSentence: z.string().nullable(),
    modelStrengthPercent: z.number().nullable(),
    retracted: z.boolean(),
  })
  .transform((row): KeptLook => ({
    id: row.id,
    commandId: row.commandId,
    roomId: row.roomId,
    candidate: {
      candidateId: row.candidateId,
      strengthPercent: row.strengthPercent,
      sheen: row.sheen,
    },
    against: againstOf(row),
    seen: seenOf(row),
    light: {
      source: row.source,
      date: row.date,
      minute: row.minute,
      sky: row.sky,
      lampsOn: row.lampsOn,
      spot: row.spot,
      place: row.place,
      metered:
        row.meteredLux !== null && row.meteredCctK !== null
          ? { lux: row.meteredLux, cctK: row.meteredCctK }
          : null,
    },
    verdict: row.verdict,
    reasons: row.reasons,
    bestOf: row.bestOf,
    lean: row.lean,
    note: row.note,
    client: row.clientSays === null ? null : { says: row.clientSays, words: row.clientWords },
    photoHash: row.photoHash,
    by: row.by,
    madeAt: row.madeAt,
    modelSeenBefore: row.modelSeenBefore,
    model:
      row.modelVersion === null
        ? null
        : {
            version: row.modelVersion,
            judgement: row.modelJudgement!,
            chance: row.modelChance!,
            sentence: row.modelSentence!,
            strengthPercent: row.modelStrengthPercent,
          },
    retracted: row.retracted,
  }))

/** A look with the change that brought it, by which it is taken back; null for those of before changes were listed. */
export interface KeptLook extends Look {
  readonly commandId: string | null
}

interface HeldColumns {
  readonly against: Against['kind']
  readonly keeperId: string | null
  readonly part: string | null
  readonly plane: (typeof PLANES)[number] | null
  readonly trim: (typeof TRIM_KINDS)[number] | null
  readonly besideId: string | null
  readonly comparator: string | null
  readonly paintId: string | null
}

// The table's checks see to it that the column of each kind is there.
function againstOf(row: HeldColumns): Against {
  switch (row.against) {
    case 'keeper':
      return { kind: 'keeper', keeperId: row.keeperId!, part: row.part }
    case 'wall':
      return { kind: 'wall', plane: row.plane! }
    case 'trim':
      return { kind: 'trim', trim: row.trim! }
    case 'candidate':
      return { kind: 'candidate', candidateId: row.besideId! }
    case 'comparator':
      return { kind: 'comparator', name: row.comparator! }
    case 'paint':
      return { kind: 'paint', deckColourId: row.paintId! }
  }
}

export function columnsOf(against: Against): HeldColumns {
  const none = {
    against: against.kind,
    keeperId: null,
    part: null,
    plane: null,
    trim: null,
    besideId: null,
    comparator: null,
    paintId: null,
  }
  switch (against.kind) {
    case 'keeper':
      return { ...none, keeperId: against.keeperId, part: against.part }
    case 'wall':
      return { ...none, plane: against.plane }
    case 'trim':
      return { ...none, trim: against.trim }
    case 'candidate':
      return { ...none, besideId: against.candidateId }
    case 'comparator':
      return { ...none, comparator: against.name }
    case 'paint':
      return { ...none, paintId: against.deckColourId }
  }
}

function seenOf({
  seenAs,
  held,
  heldStrengthPercent,
}: {
  readonly seenAs: Seen['as']
  readonly held: (typeof HELD)[number] | null
  readonly heldStrengthPercent: number | null
}): Seen {
  if (seenAs !== 'sample') return { as: seenAs }
  return { as: 'sample', held: held!, strengthPercent: heldStrengthPercent! }
}
