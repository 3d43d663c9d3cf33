import { refused, taking } from '@/app/writing'
import { uuidOfHex } from '@/core/uuid'
import { keepChange } from '@/commands/keep-change'
import { storePhoto } from '@/store/photos'
import { applicationStore, dataDirFromEnvironment } from '@/store/store'
import { cleanPhoto } from '@/formats/photo'

// Under the 10 MB at which a proxied body is cut off.
const MOST_BYTES = 8_000_000

/** Keeps a photo that the browser has scaled down, once it is checked and written anew; answers with its hash. */
export const POST = taking({ takes: 'photos', mostBytes: MOST_BYTES }, async (request) => {
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
})
