// Imported by a server under test, so that the next test need not start one: told by SIGUSR2, it closes its store, lays
// fresh data into the same directory, and opens that at the next question.
import { execFileSync } from 'node:child_process'
import { readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { isMainThread } from 'node:worker_threads'

const dataDir = process.env.ELM_DATA_DIR

async function layFreshData() {
  const { store, at } = JSON.parse(process.env.ELM_FRESH_DATA)
  const opened = globalThis.elmStore
  // What a page that is gone still asks meanwhile must not open a store on what is being laid: it is refused when that is done.
  let refuse
  globalThis.elmStore = new Promise((_, reject) => (refuse = reject))
  globalThis.elmStore.catch(() => undefined)
  await (await opened)?.close()
  for (const name of readdirSync(dataDir)) rmSync(join(dataDir, name), { recursive: true })
  // With its times to the nanosecond: a store knows a copy by them.
  execFileSync('cp', ['-a', `${store}/.`, dataDir])
  globalThis.elmStore = undefined
  refuse(new Error('Asked by a page of the test before, while fresh data was laid.'))
  writeFileSync(at, '')
}

if (isMainThread && process.env.ELM_FRESH_DATA) process.on('SIGUSR2', () => void layFreshData())
