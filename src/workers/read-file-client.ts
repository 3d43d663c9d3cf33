import type { SaidOfFile } from '../formats/measured-colour'
import type { OpenVisitFileResult } from '../formats/open-visit-file'
import type { MeasurementResult } from '../formats/read-measurement'
import type { ReadFileRequest } from './read-file-protocol'
import { askThread } from './server-thread'

// A file that takes longer was made to.
const MOST_MS = 60_000

const ask = <Answer>(request: ReadFileRequest): Promise<Answer> =>
  askThread<ReadFileRequest, Answer>('./read-file.worker.ts', request, MOST_MS)

/** Opens a visit's file in a thread of its own, while other pages answer. */
export const visitOfFile = (bytes: Uint8Array): Promise<OpenVisitFileResult> =>
  ask({ kind: 'visit', bytes })

/** Reads a measurement file there. */
export const measurementOfFile = (text: string, said: SaidOfFile): Promise<MeasurementResult> =>
  ask({ kind: 'measurement', text, said })
