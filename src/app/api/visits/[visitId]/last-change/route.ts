import { loadSettings } from '@/app/_load/settings'
import { z } from 'zod'
import { sentenceOf } from '@/commands/sentence'
import { latestOfDevice, namesInVisit } from '@/db/commands'
import { openDb } from '@/db/store'

const Asked = z.object({ visitId: z.uuid(), device: z.string().min(1).max(80) })

/** The latest change made with a device that still stands, for the key that takes it back. */
export async function GET(
  request: Request,
  { params }: { params: Promise<{ visitId: string }> },
): Promise<Response> {
  const device = new URL(request.url).searchParams.get('device')
  const asked = Asked.safeParse({ ...(await params), device })
  if (!asked.success)
    return Response.json({ message: 'Expected a visit and a device.' }, { status: 400 })
  const db = await openDb()
  const last = await latestOfDevice(db, asked.data.visitId, asked.data.device)
  if (!last) return Response.json(null)
  const names = await namesInVisit(db, asked.data.visitId)
  return Response.json({
    id: last.id,
    sentence: sentenceOf(last, names, (await loadSettings()).lengths),
  })
}
