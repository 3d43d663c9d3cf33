import { visitUpToDate } from '../store/old-visit'
import { answerInThread } from './answer-in-thread'

answerInThread(visitUpToDate)
