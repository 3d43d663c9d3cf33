import { ensurePostgres, startPostgres } from '../scripts/lib/postgres.mjs'

// One server for the whole run; each test file gets a database of its own.
export default async function setup() {
  await ensurePostgres()
  const server = startPostgres()
  globalThis.elmPostgres = server
  process.env.ELM_TEST_POSTGRES = server.host
}
