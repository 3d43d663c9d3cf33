import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, open, readFile, rename } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { z } from 'zod'
import { maybeOne, type Db } from './db'

const fileOf = (dataDir: string, hash: string): string =>
  join(dataDir, 'photos', hash.slice(0, 2), `${hash}.jpg`)

/**
 * Lays the bytes of a photo into the data directory by their hash; the same photo again is laid there once.
 *
 * @returns SHA-256 of its bytes, 64 hex digits
 */
export async function storePhoto(dataDir: string, jpeg: Uint8Array): Promise<string> {
  const hash = createHash('sha256').update(jpeg).digest('hex')
  const file = fileOf(dataDir, hash)
  if (!existsSync(/* turbopackIgnore: true */ file)) {
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

/** The bytes of a kept photo, or null where there is none of that hash, or its file is gone. */
export async function findPhoto(db: Db, dataDir: string, hash: string): Promise<Uint8Array | null> {
  const row = await maybeOne(
    db,
    z.object({ hash: z.string() }),
    'select hash from photo where hash = $1',
    [hash],
  )
  if (!row) return null
  return readFile(/* turbopackIgnore: true */ fileOf(dataDir, row.hash)).catch(
    (error: NodeJS.ErrnoException) => {
      if (error.code === 'ENOENT') return null
      throw error
    },
  )
}
