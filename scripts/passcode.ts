/**
 * `npm run passcode`: sets the passcode that other devices are asked for, typed or piped in; `-- --end` ends every entry.
 */
import { mkdirSync } from 'node:fs'
import { createInterface } from 'node:readline/promises'
import { endEntries, setPasscode, SHORTEST_PASSCODE } from '../src/store/passcode'
import { ownDataDir, told } from './lib/own-store'

await told(async () => {
  const dataDir = ownDataDir()
  mkdirSync(dataDir, { recursive: true, mode: 0o700 })
  if (process.argv[2] === '--end') {
    endEntries(dataDir)
    return console.log('Every device has to say the passcode again.')
  }
  const asked = createInterface({ input: process.stdin, output: process.stdout })
  const passcode = await asked.question(`Passcode, ${SHORTEST_PASSCODE} characters or more: `)
  asked.close()
  await setPasscode(dataDir, passcode.trim())
  console.log('Set. Every device has to say it once.')
})
