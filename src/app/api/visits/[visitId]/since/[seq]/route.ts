import { z } from 'zod'
import { CODEC_VERSION } from '@/db/codec'
import { changesSince } from '@/db/commands'
import { openDb } from '@/store/store'

const Params = z.object({ visitId: z.uuid(), seq: z.coerce.number().int().min(0) })

/** What was changed in a visit after a change, with its rows by the codec, for another browser that shows it. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ visitId: string; seq: string }> },
): Promise<Response> {
  const asked = Params.safeParse(await params)
  if (!asked.success)
    return Response.json({ message: 'Expected a visit and a number.' }, { status: 400 })
  const changes = await changesSince(await openDb(), asked.data.visitId, asked.data.seq)
  const seq = changes.at(-1)?.seq ?? asked.data.seq
  return Response.json({ rows: CODEC_VERSION, seq, changes })
}
