import { openDB, type DBSchema } from 'idb'
import type { Command } from '@/commands/kinds'

// What pages of before this version kept what waits in. It is read out and emptied, never changed in shape: such a page may
// still be open, and goes on with it.
interface SchemaOfBefore extends DBSchema {
  waiting: { key: number; value: Command; indexes: { id: string } }
  own: { key: string; value: { command: Command }; indexes: { visit: string } }
  refused: { key: string; value: { id: string; command: Command; message: string } }
  photos: { key: string; value: Blob | string }
}

const NAME = 'elm-swatch'

interface LeftBefore {
  readonly waiting: readonly Command[]
  readonly refused: readonly { readonly command: Command; readonly message: string }[]
  readonly photos: readonly (readonly [name: string, photo: Blob | string])[]
}

/**
 * Hands over what a page of the version before left on this device; once that is kept, it is cleared there. Photos stay until the
 * store has them: such a page may be sending one.
 *
 * @param keep tells the photos that the store has
 */
export async function takenFromBefore(
  keep: (left: LeftBefore) => Promise<ReadonlySet<string>>,
): Promise<void> {
  if (!(await indexedDB.databases()).some(({ name }) => name === NAME)) return
  const db = await openDB<SchemaOfBefore>(NAME)
  try {
    const keys = await db.getAllKeys('waiting')
    const waiting = await db.getAll('waiting')
    const refused = await db.getAll('refused')
    const names = await db.getAllKeys('photos')
    if (keys.length + refused.length + names.length === 0) return
    const photos = await Promise.all(
      names.map(async (name) => [name, (await db.get('photos', name))!] as const),
    )
    const inStore = await keep({ waiting, refused, photos })
    for (const key of keys) await db.delete('waiting', key)
    for (const { id } of refused) await db.delete('refused', id)
    for (const [name, photo] of photos)
      if (typeof photo === 'string' || inStore.has(name)) await db.delete('photos', name)
  } finally {
    db.close()
  }
}
