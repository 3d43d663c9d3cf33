import { readdirSync, rmSync, statSync } from 'node:fs'
import { join, resolve } from 'node:path'
import type { Db } from '../db/db'
import { clockInZone, dateInZone } from '../time/date-in-zone'
import { findSettings } from '../db/settings'
import { writeBackup } from './backup'

/** Where backups that are made by themselves lie: in the data directory, unless another disk is named. */
export const backupsDir = (dataDir: string): string =>
  resolve(/* turbopackIgnore: true */ process.env.ELM_BACKUP_DIR ?? join(dataDir, 'backups'))

/** An instant as part of a file's name, by the clocks of this machine: 2026-11-26T0915. */
export const stampOf = (at: string, timeZone?: string): string =>
  `${dateInZone(at, timeZone)}T${clockInZone(at, timeZone).replace(':', '')}`

export interface KeptBackup {
  readonly name: string
  readonly bytes: number
}

/** Backups that lie there, latest first. */
export function keptBackups(dataDir: string): KeptBackup[] {
  try {
    const dir = backupsDir(dataDir)
    return readdirSync(/* turbopackIgnore: true */ dir)
      .filter((name) => name.endsWith('.zip'))
      .map((name) => ({ name, bytes: statSync(join(dir, name)).size }))
      .sort((p, q) => (p.name < q.name ? 1 : -1))
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return []
    throw error
  }
}

const DAILY = 'daily-'
const DAILY_KEPT = 7

/** Backs a store up where that is wanted daily and was not done today; the last seven are kept. */
export async function backUpDaily(db: Db, dataDir: string, at: string): Promise<void> {
  if (!(await findSettings(db))?.dailyBackup) return
  const name = `${DAILY}${dateInZone(at)}.zip`
  const daily = () => keptBackups(dataDir).filter((each) => each.name.startsWith(DAILY))
  if (daily().some((each) => each.name === name)) return
  await writeBackup(db, dataDir, join(backupsDir(dataDir), name), at)
  for (const old of daily().slice(DAILY_KEPT)) rmSync(join(backupsDir(dataDir), old.name))
}
