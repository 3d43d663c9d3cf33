import { isOwnPage } from '@/app/loopback'
import { keepPhoto } from '@/db/photos'
import { dataDirFromEnvironment, openDb } from '@/db/store'
import { cleanPhoto } from '@/formats/photo'

// Under the 10 MB at which a proxied body is cut off.
const MOST_BYTES = 8_000_000

/** Keeps a photo that the browser has scaled down, once it is checked and written anew; answers with its hash. */
export async function POST(request: Request): Promise<Response> {
  if (!isOwnPage(request))
    return new Response('Elm Swatch takes photos from its own page only.', { status: 403 })
  if (Number(request.headers.get('content-length') ?? Infinity) > MOST_BYTES)
    return refused('Expected a photo of at most 8 MB.', 413)
  const clean = await cleanPhoto(new Uint8Array(await request.arrayBuffer()))
  if (!clean.ok) return refused(clean.message, 422)
  const hash = await keepPhoto(await openDb(), dataDirFromEnvironment(), clean.photo)
  return Response.json({ ok: true, hash })
}

const refused = (message: string, status: number): Response =>
  Response.json({ ok: false, message }, { status })
