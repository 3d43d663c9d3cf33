import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs'
import { dirname, join } from 'node:path'
import type { PGlite } from '@electric-sql/pglite'
import { openPglite } from '../db/pglite'
import { syncTree } from './disk'

/**
 * Opens the database of a directory; where there is none, on a copy of an empty one. The engine takes seconds to begin a database, so
 * it is begun once for this version of it and kept beside the program. A kept one that cannot be had, or does not open, is dropped, and
 * the engine begins one in place.
 */
export async function openOrBegin(dir: string): Promise<PGlite> {
  if (existsSync(/* turbopackIgnore: true */ dir)) return openPglite(dir)
  let kept: string | null = null
  try {
    kept = keptDir()
    await keepEmpty(kept)
    cpSync(/* turbopackIgnore: true */ kept, `${dir}.empty`, { recursive: true })
    renameSync(/* turbopackIgnore: true */ `${dir}.empty`, dir)
    return await openPglite(dir)
  } catch {
    for (const each of [`${dir}.empty`, dir, ...(kept === null ? [] : [kept])])
      rmSync(/* turbopackIgnore: true */ each, { recursive: true, force: true })
    return openPglite(dir)
  }
}

/** Where the empty database of this version of the engine is kept. */
function keptDir(): string {
  const root = process.cwd()
  const engine = join(
    /* turbopackIgnore: true */ root,
    'node_modules/@electric-sql/pglite/package.json',
  )
  const { version } = JSON.parse(readFileSync(/* turbopackIgnore: true */ engine, 'utf8')) as {
    readonly version: string
  }
  return join(/* turbopackIgnore: true */ root, `.cache/empty-postgres-${version}`)
}

/** Begins the empty database, unless it is there; under its name it is whole, and the disk has it. */
async function keepEmpty(kept: string): Promise<void> {
  if (existsSync(/* turbopackIgnore: true */ kept)) return
  mkdirSync(/* turbopackIgnore: true */ dirname(kept), { recursive: true })
  const aside = `${kept}.${process.pid}`
  rmSync(/* turbopackIgnore: true */ aside, { recursive: true, force: true })
  try {
    await (await openPglite(aside)).close()
    syncTree(aside)
    if (!existsSync(/* turbopackIgnore: true */ kept))
      renameSync(/* turbopackIgnore: true */ aside, kept)
  } finally {
    rmSync(/* turbopackIgnore: true */ aside, { recursive: true, force: true })
  }
}
