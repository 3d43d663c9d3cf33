import { lessonOf, teachingLooks } from '../core/eye/learn'
import { answerInThread } from './answer-in-thread'
import type { LessonAnswer, LessonRequest } from './lesson-client'

answerInThread((request: LessonRequest): LessonAnswer => {
  const looks = teachingLooks(request)
  return { lesson: lessonOf(looks), looks: looks.length }
})
