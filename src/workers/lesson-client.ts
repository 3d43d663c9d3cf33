import type { Lesson, ToTeach } from '../core/eye/learn'
import { askThread } from './server-thread'

export type LessonRequest = ToTeach

/** What was found: null from too few looks. */
export interface LessonAnswer {
  readonly lesson: Lesson | null
  /** Looks whose light could be made again. */
  readonly looks: number
}

const MOST_MS = 120_000

/** What the eye's looks teach, worked out in a thread of its own while other pages answer. */
export const lessonInThread = (request: LessonRequest): Promise<LessonAnswer> =>
  askThread('./lesson.worker.ts', request, MOST_MS)
