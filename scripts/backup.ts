/**
 * `npm run backup [-- FILE]`: everything of the store as one file, read back before it counts; also while the application runs.
 */
import { createWriteStream } from 'node:fs'
import { resolve } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { readBackup, writeBackup, type BackupManifest } from '../src/store/backup'
import { stampOf } from '../src/store/backups-dir'
import { CONTROL_HEADER, readControl } from '../src/store/control'
import { DataDirLockedError } from '../src/store/data-dir-lock'
import { havingData } from '../src/store/restore'
import { ownDataDir, sayContents, told } from './lib/own-store'

await told(async () => {
  const dataDir = ownDataDir()
  const at = new Date().toISOString()
  const file = resolve(process.argv[2] ?? `elm-swatch-${stampOf(at)}.zip`)
  let manifest: BackupManifest
  try {
    manifest = await havingData(dataDir, async (db) => writeBackup(db, dataDir, file, at))
  } catch (error) {
    if (!(error instanceof DataDirLockedError)) throw error
    manifest = await fromServer(dataDir, file)
  }
  sayContents(manifest)
  console.log(`It is in ${file}, and was read back.`)
})

/** The running application has the data: it makes the backup. */
async function fromServer(dataDir: string, file: string): Promise<BackupManifest> {
  const control = readControl(dataDir)
  if (!control)
    throw new Error('The data is in use, and no running Elm Swatch says where it answers.')
  const answer = await fetch(`${control.url}/api/backup`, {
    headers: { [CONTROL_HEADER]: control.token },
  })
  if (!answer.ok || !answer.body)
    throw new Error(`The running Elm Swatch answered ${answer.status}.`)
  await pipeline(
    Readable.fromWeb(answer.body as never),
    createWriteStream(file, { mode: 0o600, flush: true }),
  )
  return readBackup(file)
}
