import { findPhoto } from '@/store/photos'
import { dataDirFromEnvironment, openDb } from '@/store/store'

/** A kept photo. */
export async function GET(
  _: Request,
  { params }: { params: Promise<{ hash: string }> },
): Promise<Response> {
  const jpeg = await findPhoto(await openDb(), dataDirFromEnvironment(), (await params).hash)
  if (!jpeg) return new Response('There is no such photo.', { status: 404 })
  return new Response(new Uint8Array(jpeg), {
    headers: {
      'content-type': 'image/jpeg',
      'cache-control': 'private, max-age=31536000, immutable',
    },
  })
}
