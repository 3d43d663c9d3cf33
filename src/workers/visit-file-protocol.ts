import type { VisitFile } from '../formats/visit-file'

/** A visit to be put into its file: what the store says as text, so that nobody else waits while it is taken apart. */
export interface VisitFileRequest {
  readonly head: Omit<VisitFile, 'tables' | 'decks'>
  /** Each table's rows, a JSON list. */
  readonly tables: readonly (readonly [name: string, rows: string])[]
  /** Each deck, a JSON object, with its colours, JSON lists. */
  readonly decks: readonly { readonly deck: string; readonly colours: readonly string[] }[]
  /** By hash. */
  readonly photos: ReadonlyMap<string, Uint8Array>
}
