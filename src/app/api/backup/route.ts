import { createReadStream } from 'node:fs'
import { rm, stat } from 'node:fs/promises'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { writeBackup } from '@/store/backup'
import { backupsDir, stampOf } from '@/store/backups-dir'
import { applicationStore, dataDirFromEnvironment } from '@/store/store'

/** Everything of the store as one file, read back before it is given. */
export async function GET(): Promise<Response> {
  const { db } = await applicationStore()
  const dataDir = dataDirFromEnvironment()
  const at = new Date().toISOString()
  const file = join(backupsDir(dataDir), `given-${crypto.randomUUID()}.part`)
  await writeBackup(db, dataDir, file, at)
  const { size } = await stat(file)
  const bytes = createReadStream(file)
  // It is the browser's now.
  bytes.on('close', () => void rm(file, { force: true }))
  return new Response(Readable.toWeb(bytes) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(size),
      'content-disposition': `attachment; filename="elm-swatch-${stampOf(at)}.zip"`,
      'cache-control': 'no-store',
    },
  })
}
