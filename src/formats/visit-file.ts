import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate'
import { z } from 'zod'
import { DEEPEST, isDeeperThan } from '../core/nesting'

/** The version of the file's own shape; that of its rows is `rows`. */
export const VISIT_FILE_VERSION = 1

const Row = z.record(z.string().regex(/^[a-z_0-9]{1,60}$/), z.unknown())

/** What `visit.json` holds. */
export const VisitFileShape = z.object({
  format: z.literal('elm-swatch-visit').describe('What file this is.'),
  version: z.literal(VISIT_FILE_VERSION).describe('The version of this shape.'),
  rows: z
    .int()
    .min(1)
    .describe('The version of the rows: the migration that they were written after.'),
  household: z.string(),
  exportedAt: z.iso.datetime({ offset: true }),
  tables: z
    .record(z.string(), z.array(Row))
    .describe(
      'Every row of the visit, by table, by its column names; also what was taken out (removed_at) or back (retracted_at). Lengths are millimetres, instants ISO 8601, colours L*a*b* under D65 for the 2° observer, reflectances 0 to 1.',
    ),
  decks: z
    .array(z.object({ deck: Row, colours: z.array(Row) }))
    .describe('The decks that its colours come from, whole.'),
})
export type VisitFile = z.infer<typeof VisitFileShape>

export interface OpenedVisitFile {
  readonly file: VisitFile
  /** By hash. */
  readonly photos: ReadonlyMap<string, Uint8Array>
}

const READ_ME = `A visit of Elm Swatch.

visit.json     every row of the visit, by table, and the decks that its colours come from
schema.json    what visit.json may hold (JSON Schema, draft 2020-12)
photos/        its photos, each named by the SHA-256 of its bytes

It is read back by Elm Swatch (Visits, Open a visit file), and by anything that reads JSON.
`

/** A visit as one zip: its rows as JSON with their schema, its photos beside them. */
export function writeVisitFile(
  file: VisitFile,
  photos: ReadonlyMap<string, Uint8Array>,
): Uint8Array {
  const entries: Zippable = {
    'README.txt': strToU8(READ_ME),
    'visit.json': strToU8(JSON.stringify(file)),
    'schema.json': strToU8(JSON.stringify(z.toJSONSchema(VisitFileShape), null, 1)),
  }
  for (const [hash, bytes] of photos) entries[`photos/${hash}.jpg`] = [bytes, { level: 0 }]
  return zipSync(entries, { level: 6 })
}

export type VisitFileResult =
  | { readonly ok: true; readonly opened: OpenedVisitFile }
  | { readonly ok: false; readonly message: string }

const PHOTO = /^photos\/([0-9a-f]{64})\.jpg$/
// What a visit unpacks to; more is no visit, but something made to fill a disk.
const MOST_UNPACKED_BYTES = 400_000_000
const MOST_FILES = 2000

/** Opens a visit file, or says what was expected and what came; nothing in it is trusted. */
export function readVisitFile(bytes: Uint8Array): VisitFileResult {
  let unpacked = 0
  let files = 0
  let entries: Record<string, Uint8Array>
  try {
    entries = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        files += 1
        unpacked += originalSize
        return (
          (name === 'visit.json' || PHOTO.test(name)) &&
          files <= MOST_FILES &&
          unpacked <= MOST_UNPACKED_BYTES
        )
      },
    })
  } catch {
    return refused('Expected a zip with a visit in it; this one cannot be unpacked.')
  }
  if (files > MOST_FILES || unpacked > MOST_UNPACKED_BYTES)
    return refused(
      `Expected at most ${MOST_FILES} files and ${MOST_UNPACKED_BYTES / 1e6} MB unpacked, got ${files} and ${Math.round(unpacked / 1e6)} MB.`,
    )
  const json = entries['visit.json']
  if (!json) return refused('Expected visit.json in the zip; it is not there.')
  let parsed: unknown
  try {
    parsed = JSON.parse(strFromU8(json))
  } catch {
    return refused('Expected JSON in visit.json; it is broken.')
  }
  if (isDeeperThan(parsed))
    return refused(`visit.json: expected at most ${DEEPEST} levels of lists and objects.`)
  const read = VisitFileShape.safeParse(parsed)
  if (!read.success) {
    const [issue] = read.error.issues
    return refused(`visit.json, ${issue!.path.join('.') || 'its top'}: ${issue!.message}`)
  }
  const photos = new Map<string, Uint8Array>()
  for (const [name, photo] of Object.entries(entries)) {
    const hash = PHOTO.exec(name)?.[1]
    if (hash) photos.set(hash, photo)
  }
  return { ok: true, opened: { file: read.data, photos } }
}

const refused = (message: string): VisitFileResult => ({ ok: false, message })
