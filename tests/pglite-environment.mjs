import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { TestEnvironment } from 'jest-environment-node'

// PGlite cannot start inside Jest's VM, so it is opened out here and handed in as a global. An empty
// database takes seconds to create and a fraction of one to load from a dump, so the dump is kept.
const version = JSON.parse(
  readFileSync(new URL('../node_modules/@electric-sql/pglite/package.json', import.meta.url)),
).version
const cache = new URL('../.cache/', import.meta.url).pathname
const dumpPath = join(cache, `empty-pglite-${version}.tar`)

export default class PgliteEnvironment extends TestEnvironment {
  async setup() {
    await super.setup()
    this.global.pglite = await openEmpty()
  }

  async teardown() {
    await this.global.pglite?.close()
    await super.teardown()
  }
}

async function openEmpty() {
  if (existsSync(dumpPath)) {
    const database = new PGlite({ loadDataDir: new Blob([readFileSync(dumpPath)]) })
    await database.waitReady
    return database
  }
  const database = new PGlite()
  await database.waitReady
  const dump = await database.dumpDataDir('none')
  mkdirSync(cache, { recursive: true })
  const aside = `${dumpPath}.${process.pid}`
  writeFileSync(aside, Buffer.from(await dump.arrayBuffer()))
  renameSync(aside, dumpPath)
  return database
}
