import { z } from 'zod'
import { listAnswers } from '@/db/practice'
import { openDb } from '@/store/store'

/** What somebody answered in practice, oldest first. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ learnerId: string }> },
): Promise<Response> {
  const { learnerId } = await params
  if (!z.uuid().safeParse(learnerId).success)
    return Response.json({ message: 'Expected somebody who practises.' }, { status: 400 })
  return Response.json(await listAnswers(await openDb(), learnerId))
}
