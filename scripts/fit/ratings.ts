import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { reflectanceOfReading } from '../../src/core/paint/reading'
import { RATED_KINDS } from '../../src/core/pairing/traits'
import { DAYLIGHT } from '../../src/core/undertone/daylight'
import { undertoneOf, type Undertone } from '../../src/core/undertone/undertone'

const Lab = z.tuple([z.number(), z.number(), z.number()])
const Kind = z.enum(RATED_KINDS)
const two = <S extends z.ZodType>(of: S) => z.tuple([of, of])
const Scores = two(z.number().min(0).max(10))

const Pair = z.object({
  wall: Lab,
  finish: Lab,
  kind: Kind,
  finishName: z.string(),
  scores: Scores,
  reasons: two(z.string()),
  directions: two(z.string().nullable()).optional(),
  looksDirty: two(z.enum(['wall', 'finish']).nullable()).optional(),
  set: z.string(),
})
export type RatedPair = z.infer<typeof Pair>

const Saying = z.object({
  expect: z.enum(['works', 'not']),
  wall: Lab,
  finish: Lab,
  kind: Kind,
  says: z.string(),
  share: z.number().min(0).max(1),
  family: z.string(),
})
export type Saying = z.infer<typeof Saying>

const Room = z.object({
  room: z.object({
    use: z.string(),
    aspect: z.enum(['north', 'east', 'south', 'west', 'none']),
    daylight: z.enum(['dim', 'middling', 'bright', 'none']),
    lampsK: z.number(),
    hours: z.enum(['day', 'both', 'evening']),
    latitude: z.number(),
    month: z.number(),
  }),
  wish: z.string(),
  keepers: z.array(z.object({ kind: Kind, name: z.string(), lab: Lab })).min(1),
  paints: z.array(Lab),
  scores: z.array(Scores),
})
export type RatedRoom = z.infer<typeof Room>

// Ratings may be added by anybody, in the same form: what is not is refused by place.
const DIR = new URL('../../ratings', import.meta.url).pathname
const read = <T>(name: string, shape: z.ZodType<T>): T =>
  shape.parse(JSON.parse(readFileSync(join(DIR, `${name}.json`), 'utf8')))

export const ratedPairs = (): readonly RatedPair[] =>
  read('pairs', z.object({ pairs: z.array(Pair) })).pairs
export const sayings = (): readonly Saying[] =>
  read('sayings', z.object({ sayings: z.array(Saying) })).sayings
export const ratedRooms = (): readonly RatedRoom[] =>
  read('rooms', z.object({ rooms: z.array(Room) })).rooms

const seen = new Map<string, Undertone>()

/** A colour as it is seen by daylight, as all ratings are. */
export function byDaylight(lab: readonly [number, number, number]): Undertone {
  const key = lab.join(' ')
  if (!seen.has(key))
    seen.set(key, undertoneOf(DAYLIGHT, reflectanceOfReading({ kind: 'lab', lab: [...lab] })))
  return seen.get(key)!
}

export const meanScore = ([one, other]: readonly [number, number]): number => (one + other) / 2

/** Both are sure of it: 7 and more, or 3 and less. */
export const isSure = ({ scores }: { readonly scores: readonly [number, number] }): boolean =>
  Math.min(...scores) >= 7 || Math.max(...scores) <= 3

const Named = z.object({
  lab: Lab,
  name: z.string().optional(),
  /** Names that would be accepted, the commonest first. */
  family: z.array(z.string()).min(1),
  undertone: z.array(z.string()).min(1),
})
export type NamedColour = z.infer<typeof Named>

/** The panel’s names, and our own where the panel has few. */
export const NAMED_FILES = ['names', 'strong-names', 'neutral-names'] as const

export const namedColours = (file: (typeof NAMED_FILES)[number]): readonly NamedColour[] =>
  read(file, z.object({ names: z.array(Named) })).names
