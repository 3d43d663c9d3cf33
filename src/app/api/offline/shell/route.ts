import { buildId, shellFiles } from '@/app/_load/build'

/** The files of the program, for a device to take along. */
export function GET(): Response {
  return Response.json(
    { build: buildId(), files: [...shellFiles(), '/offline', '/icons/elm.svg'] },
    { headers: { 'cache-control': 'no-store' } },
  )
}
