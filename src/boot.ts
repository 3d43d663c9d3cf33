import { DataDirLockedError } from './db/data-dir-lock'
import { NewerDataError } from './db/migrate'
import { clearUnusedPhotos } from './db/photos'
import { applicationStore, dataDirFromEnvironment } from './db/store'

const DAY_MS = 86_400_000
const STOP_SIGNALS = ['SIGTERM', 'SIGINT', 'SIGHUP'] as const

/** Opens the data directory and sees to it that it is closed when the server is told to stop. */
export async function boot(): Promise<void> {
  try {
    const store = await applicationStore()
    setInterval(
      () => void clearUnusedPhotos(store.db, dataDirFromEnvironment(), Date.now()),
      DAY_MS,
    ).unref()
    let stopping = false
    for (const signal of STOP_SIGNALS)
      process.on(signal, () => {
        if (stopping) return
        stopping = true
        void store.close().finally(() => process.exit(0))
      })
  } catch (error) {
    console.error(
      error instanceof DataDirLockedError || error instanceof NewerDataError
        ? error.message
        : error,
    )
    process.exit(1)
  }
}
