import { findTowns } from '@/time/towns'

export function GET(request: Request): Response {
  return Response.json(findTowns(new URL(request.url).searchParams.get('q') ?? ''))
}
