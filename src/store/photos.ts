import { createHash } from 'node:crypto'
import { mkdir, open, readdir, readFile, rename, stat, unlink } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { z } from 'zod'
import { many, maybeOne, type Db } from '../db/db'
import { syncPath } from './disk'

/** Where the bytes of a photo lie. */
export const photoFile = (dataDir: string, hash: string): string =>
  join(dataDir, 'photos', hash.slice(0, 2), `${hash}.jpg`)

/**
 * Lays the bytes of a photo into the data directory by their hash; the same photo again is laid there once.
 *
 * @returns SHA-256 of its bytes, 64 hex digits
 */
export async function storePhoto(dataDir: string, jpeg: Uint8Array): Promise<string> {
  const hash = hashOf(jpeg)
  const file = photoFile(dataDir, hash)
  // Sent again, a photo whose file was harmed is whole again.
  if ((await wholeFile(file, hash)) === null) {
    await mkdir(/* turbopackIgnore: true */ dirname(file), { recursive: true, mode: 0o700 })
    const aside = `${file}.new-${process.pid}-${Date.now()}`
    const handle = await open(/* turbopackIgnore: true */ aside, 'w', 0o600)
    try {
      await handle.writeFile(jpeg)
      await handle.sync()
    } finally {
      await handle.close()
    }
    await rename(/* turbopackIgnore: true */ aside, file)
    for (const dir of [dirname(file), dirname(dirname(file)), dataDir]) syncPath(dir)
  }
  return hash
}

/** Describes a photo whose bytes are there; once. */
export async function insertPhoto(
  tx: Db,
  photo: {
    readonly hash: string
    readonly widthPx: number
    readonly heightPx: number
    readonly byteLength: number
  },
  at: string,
): Promise<void> {
  await tx.query(
    `insert into photo (hash, width_px, height_px, byte_length, kept_at) values ($1, $2, $3, $4, $5::timestamptz)
     on conflict (hash) do nothing`,
    [photo.hash, photo.widthPx, photo.heightPx, photo.byteLength, at],
  )
}

/** The bytes of a kept photo, or null where there is none of that hash, or its file is gone or harmed. */
export async function findPhoto(db: Db, dataDir: string, hash: string): Promise<Uint8Array | null> {
  const row = await maybeOne(
    db,
    z.object({ hash: z.string() }),
    'select hash from photo where hash = $1',
    [hash],
  )
  if (!row) return null
  return photoBytes(dataDir, row.hash)
}

/** The bytes of a photo by its hash alone, or null where its file is gone or harmed. */
export const photoBytes = (dataDir: string, hash: string): Promise<Uint8Array | null> =>
  wholeFile(photoFile(dataDir, hash), hash)

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')

/** The bytes of a file, if it is there and they are those of its name: they are served as never changing. */
async function wholeFile(file: string, hash: string): Promise<Uint8Array | null> {
  const bytes = await readFile(/* turbopackIgnore: true */ file).catch(
    (error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return null
      throw error
    },
  )
  return bytes && hashOf(bytes) === hash ? bytes : null
}

const UNUSED_DAYS = 30
const MS_PER_DAY = 86_400_000

/**
 * Clears the bytes of photos that nobody uses: no keeper has had them for thirty days, and they have lain there as long. A
 * photo that a keeper had is spared as long as a change of the last thirty days may be taken back to it. What describes
 * them stays; sent again, they are kept again.
 *
 * @param nowMs by the server's clock
 * @returns how many were cleared
 */
export async function clearUnusedPhotos(db: Db, dataDir: string, nowMs: number): Promise<number> {
  const since = nowMs - UNUSED_DAYS * MS_PER_DAY
  const used = new Set(
    (
      await many(
        db,
        z.object({ hash: z.string() }),
        `select photo_hash as hash from keeper where photo_hash is not null
         union select patch_hash from keeper where patch_hash is not null
         union select photo_hash from look where photo_hash is not null
         union select hash from photo where kept_at > $1::timestamptz
         union select hash from event e join command c on c.id = e.command_id,
           lateral (values (e.before), (e.after)) as rows(row),
           lateral (values (row ->> 'photo_hash'), (row ->> 'patch_hash')) as hashes(hash)
           where e.subject in ('keeper', 'look') and c.received_at > $1::timestamptz and hash is not null`,
        [new Date(since).toISOString()],
      )
    ).map(({ hash }) => hash),
  )
  let cleared = 0
  for (const file of await photoFiles(dataDir)) {
    if (used.has(file.hash) || (await stat(file.path)).mtimeMs > since) continue
    await unlink(file.path)
    cleared++
  }
  return cleared
}

/** Every photo that lies in the data directory, and what a write that was cut off left behind. */
async function photoFiles(
  dataDir: string,
): Promise<{ readonly hash: string; readonly path: string }[]> {
  const root = join(dataDir, 'photos')
  const names = await readdir(/* turbopackIgnore: true */ root, { recursive: true }).catch(
    (error: NodeJS.ErrnoException): string[] => {
      if (error.code === 'ENOENT') return []
      throw error
    },
  )
  return names
    .filter((name) => name.includes('.jpg'))
    .map((name) => ({ hash: /([0-9a-f]{64})\.jpg$/.exec(name)?.[1] ?? '', path: join(root, name) }))
}
