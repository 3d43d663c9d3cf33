import { z } from 'zod'
import { isTimeZone, localDay } from '@/time/local-day'

const Query = z.object({ date: z.iso.date(), zone: z.string().refine(isTimeZone) })

/** A calendar day at a time zone in UTC, with its clock changes. */
export function GET(request: Request): Response {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!query.success)
    return Response.json(
      { message: 'Expected a date that exists, as 2026-06-21.' },
      { status: 400 },
    )
  return Response.json(localDay(query.data.date, query.data.zone))
}
