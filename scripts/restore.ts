/**
 * `npm run restore -- FILE`: shows what a backup holds; with `--yes` after it puts it in the place of what is there, which is
 * backed up first. The application has to be stopped.
 */
import { resolve } from 'node:path'
import { readBackup } from '../src/store/backup'
import { restoreBackup } from '../src/store/restore'
import { ownDataDir, sayContents, told } from './lib/own-store'

const [, , file, yes] = process.argv
await told(async () => {
  if (!file) throw new Error('Expected the file of a backup: npm run restore -- FILE')
  const dataDir = ownDataDir()
  if (yes !== '--yes') {
    sayContents(await readBackup(resolve(file)))
    console.log(
      `It would come in the place of what is in ${dataDir}, which would be backed up first. To do it: npm run restore -- ${file} --yes`,
    )
    return
  }
  const { manifest, copy } = await restoreBackup(resolve(file), dataDir, new Date().toISOString())
  sayContents(manifest)
  console.log(`It is in ${dataDir} now.${copy ? ` What was there before is in ${copy}.` : ''}`)
})
