import { createHash } from 'node:crypto'
import { createWriteStream, mkdtempSync, rmSync } from 'node:fs'
import { mkdir, rename, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import type { Readable } from 'node:stream'
import { buffer, text } from 'node:stream/consumers'
import { pipeline } from 'node:stream/promises'
import yauzl from 'yauzl'
import yazl from 'yazl'
import { z } from 'zod'
import type { JsonRow } from '../db/codec'
import type { Db } from '../db/db'
import { newestMigration } from '../db/migrate'
import { syncPath } from './disk'
import { photoBytes, photoFile } from './photos'
import { readSnapshot, SnapshotHeader, writeSnapshot } from './snapshot'

/** What a backup says of itself. */
export const BackupManifest = SnapshotHeader.extend({
  format: z.literal('elm-swatch-backup').describe('What file this is.'),
  version: z.literal(1).describe('The version of this shape.'),
  madeAt: z.iso.datetime({ offset: true }),
  who: z.string().describe('Whose store it was.'),
  visits: z.array(z.object({ household: z.string(), visitDate: z.string(), isOut: z.boolean() })),
  decks: z.array(z.string()),
  looks: z.int(),
  photos: z.array(z.string().regex(/^[0-9a-f]{64}$/)).describe('Their SHA-256.'),
  missingPhotos: z
    .int()
    .describe('Photos that were described, and whose files were gone or harmed.'),
})
export type BackupManifest = z.infer<typeof BackupManifest>

/** A file is no backup, or is not whole, or was written by a later program. */
export class BackupError extends Error {
  override name = 'BackupError'
}

const READ_ME = `A backup of Elm Swatch.

manifest.json    what is in it
rows.ndjson.gz   every row of every table, 500 at most a line: {"table": …, "rows": […]}
photos/          the photos, each named by the SHA-256 of its bytes

It is put back with: npm run restore -- FILE
`
const ROWS = 'rows.ndjson.gz'

/**
 * Writes everything of a store to one file, while others are served, and reads it back before it counts.
 *
 * @throws BackupError when what was written does not read back
 */
export async function writeBackup(
  db: Db,
  dataDir: string,
  path: string,
  madeAt: string,
): Promise<BackupManifest> {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-backup-'))
  const aside = `${path}.new`
  try {
    await mkdir(/* turbopackIgnore: true */ dirname(path), { recursive: true, mode: 0o700 })
    const rows = join(scratch, ROWS)
    const header = await writeSnapshot(db, rows, newestMigration())
    const { manifest: said, hashes } = await contentsOf(rows)
    const zip = new yazl.ZipFile()
    const written = pipeline(
      zip.outputStream,
      createWriteStream(/* turbopackIgnore: true */ aside, { mode: 0o600, flush: true }),
    )
    zip.addBuffer(Buffer.from(READ_ME), 'README.txt')
    zip.addFile(rows, ROWS, { compress: false })
    const photos: string[] = []
    for (const hash of hashes) {
      if (!(await photoBytes(dataDir, hash))) continue
      photos.push(hash)
      zip.addFile(photoFile(dataDir, hash), `photos/${hash}.jpg`, { compress: false })
    }
    const manifest: BackupManifest = {
      ...header,
      ...said,
      ...{ format: 'elm-swatch-backup', version: 1, madeAt, photos },
      missingPhotos: hashes.length - photos.length,
    }
    zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), 'manifest.json')
    zip.end()
    await written
    await readBackup(aside)
    await rename(/* turbopackIgnore: true */ aside, path)
    syncPath(dirname(path))
    return manifest
  } finally {
    rmSync(scratch, { recursive: true, force: true })
    await rm(/* turbopackIgnore: true */ aside, { force: true })
  }
}

/** Tables of which a backup tells what they hold. */
const TOLD = ['settings', 'visit', 'deck', 'look', 'photo'] as const

/** What a snapshot holds, by the names that people give it. */
async function contentsOf(rows: string) {
  const told = Object.fromEntries(TOLD.map((name) => [name, new Map<unknown, JsonRow>()]))
  const hold = (table: string, row: JsonRow): void =>
    void told[table]?.set(row.hash ?? row.id, table === 'look' ? {} : row)
  await readSnapshot(rows, {
    page: ({ table, rows: all }) => all.forEach((row) => hold(table, row)),
    later(change) {
      for (const { subject, after } of 'events' in change ? change.events : [])
        if (after) hold(String(subject), after as JsonRow)
    },
  })
  const all = (name: (typeof TOLD)[number]): JsonRow[] => [...told[name]!.values()]
  return {
    manifest: {
      who: String(all('settings')[0]?.who ?? ''),
      visits: all('visit').map(({ household, visit_date, removed_at }) => ({
        household: String(household),
        visitDate: String(visit_date),
        isOut: removed_at !== null,
      })),
      decks: all('deck').map(({ maker, name }) => `${String(maker)}, ${String(name)}`),
      looks: told.look!.size,
    },
    hashes: all('photo').map(({ hash }) => String(hash)),
  }
}

/**
 * Reads a backup from its first byte to its last.
 *
 * @param into where its rows and photos are laid; left out, they are only looked at
 * @throws BackupError when it is none, not whole, or written by a later program
 */
export async function readBackup(
  path: string,
  into?: {
    readonly rows: string
    readonly photo: (jpeg: Uint8Array) => Promise<void>
  },
): Promise<BackupManifest> {
  const scratch = mkdtempSync(join(tmpdir(), 'elm-backup-'))
  try {
    let manifest: BackupManifest | null = null
    const rows = into?.rows ?? join(scratch, ROWS)
    const photos = new Set<string>()
    await eachEntry(path, async (name, bytes) => {
      const hash = /^photos\/([0-9a-f]{64})\.jpg$/.exec(name)?.[1]
      if (name === 'manifest.json') manifest = manifestIn(await text(bytes))
      else if (name === ROWS)
        await pipeline(bytes, createWriteStream(/* turbopackIgnore: true */ rows, { flush: true }))
      else if (hash) {
        const jpeg = await buffer(bytes)
        if (createHash('sha256').update(jpeg).digest('hex') !== hash)
          throw new BackupError(`${path}: the photo ${hash.slice(0, 12)}… is harmed.`)
        photos.add(hash)
        await into?.photo(jpeg)
      } else bytes.resume()
    })
    const said = manifest as BackupManifest | null
    if (!said) throw new BackupError(`${path} is no backup of Elm Swatch: it has no manifest.json.`)
    const { rows: version, seq } = await readSnapshot(rows, {})
    if (version !== said.rows || seq !== said.seq)
      throw new BackupError(`${path}: its rows are not those that its manifest tells of.`)
    const missing = said.photos.find((hash) => !photos.has(hash))
    if (missing) throw new BackupError(`${path}: the photo ${missing.slice(0, 12)}… is not in it.`)
    return said
  } catch (error) {
    if (error instanceof BackupError) throw error
    throw new BackupError(`${path} is not a whole backup: ${(error as Error).message}.`)
  } finally {
    rmSync(scratch, { recursive: true, force: true })
  }
}

function manifestIn(json: string): BackupManifest {
  const parsed = BackupManifest.safeParse(JSON.parse(json))
  if (!parsed.success)
    throw new BackupError(
      `manifest.json, ${parsed.error.issues[0]!.path.join('.')}: ${parsed.error.issues[0]!.message}`,
    )
  if (parsed.data.rows > newestMigration())
    throw new BackupError(
      `This backup was written by a newer Elm Swatch (rows ${parsed.data.rows}, this one knows ${newestMigration()}). Nothing was touched: put it back with the newer program.`,
    )
  return parsed.data
}

/** Each file of a zip, one after another; sizes and checksums are checked as it is read. */
async function eachEntry(
  path: string,
  take: (name: string, bytes: Readable) => Promise<unknown>,
): Promise<void> {
  const zip = await yauzl.openPromise(path, { autoClose: false })
  try {
    for await (const entry of zip.eachEntry()) {
      const bytes = await zip.openReadStreamPromise(entry)
      await take(entry.fileName, bytes)
    }
  } finally {
    zip.close()
  }
}
