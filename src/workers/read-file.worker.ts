import { openVisitFile, type OpenVisitFileResult } from '../formats/open-visit-file'
import { readMeasurement, type MeasurementResult } from '../formats/read-measurement'
import { answerInThread } from './answer-in-thread'
import type { ReadFileRequest } from './read-file-protocol'

answerInThread(async (asked: ReadFileRequest): Promise<OpenVisitFileResult | MeasurementResult> =>
  asked.kind === 'visit' ? openVisitFile(asked.bytes) : readMeasurement(asked.text, asked.said),
)
