import { z } from 'zod'
import { WALL_NAMES } from '../core/light/walls'
import { KEEPER_KINDS, KEEPER_STATES, kindWords, VIEW_SHARES } from '../core/pairing/keeper-kind'
import { TEXTURES } from '../core/pairing/role'
import { SHIFT_DIRECTIONS, SHIFT_SIZES } from '../core/paint/by-eye'
import { READING_SOURCES } from '../core/paint/reading'
import { saveKeeper } from '../db/keepers'
import { LabReading, SrgbReading } from '../db/reading-columns'
import { ReadingEvidenceShape } from '../db/reading-evidence'
import { kind, Refusal } from './kind'
import { id, name, note, photoHash, shortText } from './values'

const part = name('what part this colour is', 40)
const sharePercent = z.int().min(1).max(100)

const reading = z.discriminatedUnion('kind', [
  LabReading,
  SrgbReading,
  z.object({
    kind: z.literal('spectral'),
    wavelengthsNm: z.array(z.number()).min(2).max(1000),
    reflectance: z.array(z.number()).min(2).max(1000),
  }),
])

/** A colour that was read, or one that was matched to a deck by eye. */
const colour = z.union([
  z.object({
    part,
    sharePercent,
    reading,
    source: z.enum(READING_SOURCES).nullable(),
    evidence: ReadingEvidenceShape.nullable().default(null),
  }),
  z.object({
    part,
    sharePercent,
    deckColourId: id,
    shift: z
      .array(z.object({ towards: z.enum(SHIFT_DIRECTIONS), size: z.enum(SHIFT_SIZES) }))
      .max(2),
  }),
])

const MOST_COLOURS = 5

/** What stays, with its rooms and its one to five colours, new or changed. */
export const keepKeeper = kind({
  payload: z.object({
    visitId: id,
    keeperId: id,
    /** The room it was entered in. */
    roomId: id,
    /** The others it is in. */
    roomIds: z.array(id).max(100),
    name: name('a name for what stays'),
    kind: z.enum(KEEPER_KINDS),
    state: z.enum(KEEPER_STATES),
    place: shortText,
    note,
    varies: z.boolean(),
    replacedBy: shortText,
    viewShare: z.enum(VIEW_SHARES),
    /** Null goes by the kind. */
    texture: z.enum(TEXTURES).nullable().default(null),
    /** Walls that it touches. */
    walls: z.array(z.enum(WALL_NAMES)).max(WALL_NAMES.length).default([]),
    dearness: z.int().min(1).max(5).nullable(),
    photoHash: photoHash.nullable(),
    /** The part of its corrected photo that stands for it. */
    patchHash: photoHash.nullable().default(null),
    colours: z
      .array(colour)
      .min(1, 'Expected at least one colour.')
      .max(MOST_COLOURS)
      .refine(
        (colours) => colours.reduce((sum, each) => sum + each.sharePercent, 0) <= 100,
        'Expected shares of at most 100 % together.',
      ),
  }),
  visitOf: ({ visitId }) => visitId,
  async write(tx, { visitId, keeperId, colours, ...keeper }, { receivedAt }) {
    if (!(await saveKeeper(tx, { visitId, id: keeperId, ...keeper }, colours, receivedAt)))
      throw new Refusal('Its room is not in this visit, or was removed.')
  },
  taken: {
    keeper_name_in_room: (keeper) =>
      new Refusal('', { name: `This room has a “${keeper.name}” already.` }),
  },
  sentence: (keeper, nameOf, { words }) =>
    `${keeper.name} in ${nameOf(keeper.roomId)}: ${kindWords(keeper.kind, words)}, ${keeper.state}`,
})
