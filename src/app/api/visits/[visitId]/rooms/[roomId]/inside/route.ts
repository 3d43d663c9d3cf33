import { loadInside } from '@/app/_load/room-inside'

/** A room as it is put together to be looked at from within; reflectances as lists of 36 numbers. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ visitId: string; roomId: string }> },
): Promise<Response> {
  const { visitId, roomId } = await params
  const inside = JSON.stringify(await loadInside(visitId, roomId), (_key, value: unknown) =>
    value instanceof Float64Array ? [...value] : value,
  )
  return new Response(inside, {
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  })
}
