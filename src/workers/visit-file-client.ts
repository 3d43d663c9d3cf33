import { askThread } from './server-thread'
import type { VisitFileRequest } from './visit-file-protocol'

const MOST_MS = 120_000

/** The bytes of a visit's file, zipped in a thread of its own while other pages answer. */
export const visitFileOf = (request: VisitFileRequest): Promise<Uint8Array> =>
  askThread<VisitFileRequest, Uint8Array>('./visit-file.worker.ts', request, MOST_MS)
