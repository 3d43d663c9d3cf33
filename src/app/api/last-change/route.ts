import { z } from 'zod'
import { tell } from '@/commands/sentence'
import { latestOfDevice } from '@/db/commands'
import { openDb } from '@/store/store'

const Asked = z.object({
  /** Null for what is of no visit. */
  visitId: z.uuid().nullable(),
  device: z.string().min(1).max(80),
})

/** The latest change made with a device that still stands, of a visit or of the store, for the key that takes it back. */
export async function GET(request: Request): Promise<Response> {
  const query = new URL(request.url).searchParams
  const asked = Asked.safeParse({ visitId: query.get('visit'), device: query.get('device') })
  if (!asked.success)
    return Response.json({ message: 'Expected a visit or none, and a device.' }, { status: 400 })
  const { visitId, device } = asked.data
  const db = await openDb()
  const last = await latestOfDevice(db, visitId, device)
  return Response.json(last && { id: last.id, sentence: await tell(db, last) })
}
