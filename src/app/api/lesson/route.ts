import { loadTeaching } from '@/app/_load/teaching'
import { lessonInThread } from '@/workers/lesson-client'

/** What the eye's looks of all visits teach, and what that is worth on those kept aside; nothing is taken up by asking. */
export async function GET(): Promise<Response> {
  return Response.json(await lessonInThread(await loadTeaching()))
}
