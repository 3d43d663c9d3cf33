import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { z } from 'zod'
import { maybeOne, type Db } from './db'

/** Bytes of a photo and what is known of them. */
export interface NewPhoto {
  readonly jpeg: Uint8Array
  readonly widthPx: number
  readonly heightPx: number
}

const fileOf = (dataDir: string, hash: string): string =>
  join(dataDir, 'photos', hash.slice(0, 2), `${hash}.jpg`)

/**
 * Keeps a photo under the data directory by the hash of its bytes, the file before its row; the same photo again is
 * kept once.
 *
 * @returns SHA-256 of its bytes, 64 hex digits
 */
export async function keepPhoto(db: Db, dataDir: string, photo: NewPhoto): Promise<string> {
  const hash = createHash('sha256').update(photo.jpeg).digest('hex')
  const file = fileOf(dataDir, hash)
  if (!existsSync(/* turbopackIgnore: true */ file)) {
    await mkdir(/* turbopackIgnore: true */ dirname(file), { recursive: true, mode: 0o700 })
    const aside = `${file}.new-${process.pid}-${Date.now()}`
    await writeFile(/* turbopackIgnore: true */ aside, photo.jpeg, { mode: 0o600 })
    await rename(/* turbopackIgnore: true */ aside, file)
  }
  await db.query(
    `insert into photo (hash, width_px, height_px, byte_length) values ($1, $2, $3, $4)
     on conflict (hash) do nothing`,
    [hash, photo.widthPx, photo.heightPx, photo.jpeg.byteLength],
  )
  return hash
}

/** The bytes of a kept photo, or null where there is none of that hash. */
export async function findPhoto(db: Db, dataDir: string, hash: string): Promise<Uint8Array | null> {
  const row = await maybeOne(
    db,
    z.object({ hash: z.string() }),
    'select hash from photo where hash = $1',
    [hash],
  )
  return row && readFile(/* turbopackIgnore: true */ fileOf(dataDir, row.hash))
}
