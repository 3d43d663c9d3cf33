import type { Db } from './db/db'
import { NewerDataError } from './db/migrate'
import { DataDirLockedError } from './store/data-dir-lock'
import { backUpDaily } from './store/backups-dir'
import { writeControl } from './store/control'
import { notePeers } from './store/peer'
import { clearUnusedPhotos } from './store/photos'
import { DamagedDataError } from './store/kept'
import { applicationStore, DataDirError, dataDirFromEnvironment } from './store/store'

const HOUR_MS = 3_600_000
const STOP_SIGNALS = ['SIGTERM', 'SIGINT', 'SIGHUP'] as const

/** What is told in words; anything else is told whole. */
const TOLD = [DataDirLockedError, DataDirError, DamagedDataError, NewerDataError]

/** Opens the data directory and sees to it that it is closed when the server is told to stop. */
export async function boot(): Promise<void> {
  notePeers()
  try {
    const store = await applicationStore()
    for (const note of store.notes) console.error(note)
    const dataDir = dataDirFromEnvironment()
    // Where `npm run backup` finds it; only what starts it knows where it listens.
    const forgetControl = process.env.ELM_URL
      ? writeControl(dataDir, process.env.ELM_URL)
      : () => undefined
    const careFor = () =>
      keepInOrder(store.db, dataDir).catch((error: unknown) => console.error(error))
    void careFor()
    setInterval(careFor, HOUR_MS).unref()
    let stopping = false
    for (const signal of STOP_SIGNALS)
      process.on(signal, () => {
        if (stopping) return
        stopping = true
        forgetControl()
        void store.close().finally(() => process.exit(0))
      })
  } catch (error) {
    console.error(TOLD.some((kind) => error instanceof kind) ? (error as Error).message : error)
    process.exit(1)
  }
}

/** What a store asks for from time to time. */
async function keepInOrder(db: Db, dataDir: string): Promise<void> {
  await backUpDaily(db, dataDir, new Date().toISOString())
  await clearUnusedPhotos(db, dataDir, Date.now())
}
