import { z } from 'zod'
import { placesSince } from '@/db/commands'
import { openDb } from '@/store/store'

const Params = z.object({ visitId: z.uuid(), seq: z.coerce.number().int().min(0) })

/** The places of a visit's changes after one, for another page that shows the visit. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ visitId: string; seq: string }> },
): Promise<Response> {
  const asked = Params.safeParse(await params)
  if (!asked.success)
    return Response.json({ message: 'Expected a visit and a number.' }, { status: 400 })
  return Response.json({
    places: await placesSince(await openDb(), asked.data.visitId, asked.data.seq),
  })
}
