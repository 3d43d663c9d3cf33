import { isOwnPage } from '@/app/door'
import { uuidOfHex } from '@/core/uuid'
import { keepChange } from '@/commands/keep-change'
import { storePhoto } from '@/store/photos'
import { applicationStore, dataDirFromEnvironment } from '@/store/store'
import { cleanPhoto } from '@/formats/photo'

// Under the 10 MB at which a proxied body is cut off.
const MOST_BYTES = 8_000_000

/** Keeps a photo that the browser has scaled down, once it is checked and written anew; answers with its hash. */
export async function POST(request: Request): Promise<Response> {
  if (!(await isOwnPage(request)))
    return new Response('Elm Swatch takes photos from its own page only.', { status: 403 })
  if (Number(request.headers.get('content-length') ?? Infinity) > MOST_BYTES)
    return refused('Expected a photo of at most 8 MB.', 413)
  const clean = await cleanPhoto(new Uint8Array(await request.arrayBuffer()))
  if (!clean.ok) return refused(clean.message, 422)
  const { jpeg, widthPx, heightPx } = clean.photo
  const hash = await storePhoto(dataDirFromEnvironment(), jpeg)
  const payload = { hash, widthPx, heightPx, byteLength: jpeg.byteLength }
  const now = new Date().toISOString()
  // The same bytes are the same photo, whoever sends them and however often.
  const answer = await keepChange(
    await applicationStore(),
    {
      id: uuidOfHex(hash, 8),
      kind: 'keep-photo',
      payload,
      actor: 'Elm Swatch',
      device: 'server',
      madeAt: now,
    },
    now,
  )
  return answer.ok ? Response.json({ ok: true, hash }) : refused(answer.message, 422)
}

const refused = (message: string, status: number): Response =>
  Response.json({ ok: false, message }, { status })
