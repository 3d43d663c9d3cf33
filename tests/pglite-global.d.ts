import type { PGlite } from '@electric-sql/pglite'

declare global {
  /** An empty database, opened outside Jest's VM by tests/pglite-environment.mjs. */
  var pglite: PGlite
}
