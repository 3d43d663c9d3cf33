import { createHash } from 'node:crypto'
import { z } from 'zod'
import { isKeptPhoto } from './photo'
import { readVisitFile, type OpenedVisitFile } from './visit-file'

export type OpenVisitFileResult =
  | { readonly ok: true; readonly visitId: string; readonly opened: OpenedVisitFile }
  | { readonly ok: false; readonly message: string }

const refused = (message: string): OpenVisitFileResult => ({ ok: false, message })

/** Opens the file of one visit with its photos, each of them looked at: nothing in it is trusted. */
export async function openVisitFile(bytes: Uint8Array): Promise<OpenVisitFileResult> {
  const read = readVisitFile(bytes)
  if (!read.ok) return read
  const { file, photos } = read.opened
  const visitId = z.uuid().safeParse(file.tables.visit?.[0]?.id)
  if (!visitId.success) return refused('Expected one visit in the file; there is none.')
  for (const [hash, photo] of photos) {
    if (createHash('sha256').update(photo).digest('hex') !== hash)
      return refused(`photos/${hash}.jpg: its bytes are not those of its name.`)
    if (!(await isKeptPhoto(photo)))
      return refused(`photos/${hash}.jpg: expected a plain JPEG of at most 2,048 pixels a side.`)
  }
  const missing = (file.tables.photo ?? []).find(({ hash }) => !photos.has(String(hash)))
  if (missing) return refused(`The photo ${String(missing.hash).slice(0, 12)}… is not in the file.`)
  return { ok: true, visitId: visitId.data, opened: read.opened }
}
