import type { VisitInFile, VisitUpToDate } from '../store/old-visit'
import { askThread } from './server-thread'

// It begins a database of its own, which takes seconds.
const MOST_MS = 180_000

/** A visit from a file of an earlier version brought up to date, in a thread of its own, while other pages answer. */
export const oldVisitUpToDate = (visit: VisitInFile): Promise<VisitUpToDate> =>
  askThread<VisitInFile, VisitUpToDate>('./old-visit.worker.ts', visit, MOST_MS)
