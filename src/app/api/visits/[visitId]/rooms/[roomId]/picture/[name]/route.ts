import { loadRoomPicture, ROOM_PICTURES } from '@/app/_load/room-pictures'

/** A room as it will look, computed: in the morning, in the evening sun, under its lamps. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ visitId: string; roomId: string; name: string }> },
): Promise<Response> {
  const { visitId, roomId, name: asked } = await params
  const name = ROOM_PICTURES.find((each) => each === asked)
  const jpeg = name && (await loadRoomPicture(visitId, roomId, name))
  if (!jpeg) return new Response('There is no such picture.', { status: 404 })
  return new Response(Buffer.from(jpeg), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'no-cache' },
  })
}
