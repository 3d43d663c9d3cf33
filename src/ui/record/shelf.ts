import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Answer, Command } from '@/commands/kinds'

/** A change made on this device, with what came of it. */
export interface OwnChange {
  readonly command: Command
  /** Its place among the store's changes; null while it has none. */
  readonly seq: number | null
}

/** A change that was refused when nobody was there to be told. */
export interface RefusedChange {
  readonly command: Command
  readonly message: string
}

/** What lies on this device until the store has it. */
export interface Shelf {
  /** Changes without an answer, in the order they were made. */
  waiting(): Promise<readonly Command[]>
  /** Keeps a change; once this returns it outlives the page and the browser. */
  put(command: Command): Promise<void>
  /**
   * What came of a change: it waits no longer.
   *
   * @param untold nobody was there to be told: a refusal stays until somebody has seen it
   */
  answered(command: Command, answer: Answer, untold: boolean): Promise<void>
  /** Changes of a visit that were made here and that a page rendered at a place may not know. */
  ownSince(visitId: string, seq: number): Promise<readonly OwnChange[]>
  refused(): Promise<readonly RefusedChange[]>
  dismissRefused(id: string): Promise<void>
  /** A photo that the store does not have yet, under a name of its own. */
  putPhoto(name: string, jpeg: Blob): Promise<void>
  photo(name: string): Promise<Blob | string | undefined>
  /** The store has the photo: what it goes by there. */
  photoKept(name: string, hash: string): Promise<void>
}

interface Schema extends DBSchema {
  waiting: { key: number; value: Command; indexes: { id: string } }
  own: { key: string; value: OwnChange & { visitId: string }; indexes: { visit: string } }
  refused: { key: string; value: RefusedChange & { id: string } }
  photos: { key: string; value: Blob | string }
}

const visitOf = ({ payload }: Command): string => String((payload as { visitId?: unknown }).visitId)

const openShelf = (): Promise<IDBPDatabase<Schema>> =>
  openDB<Schema>('elm-swatch', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { autoIncrement: true }).createIndex('id', 'id')
      db.createObjectStore('own', { keyPath: 'command.id' }).createIndex('visit', 'visitId')
      db.createObjectStore('refused', { keyPath: 'id' })
      db.createObjectStore('photos')
    },
  })

/** The shelf in the browser's own database; it works on any address, also where nothing else does offline. */
export function browserShelf(): Shelf {
  let opened: Promise<IDBPDatabase<Schema>> | null = null
  const open = () => {
    opened ??= openShelf()
    // Asked again when it did not open: a private window may have none, a full disk may have room later.
    opened.catch(() => {
      opened = null
    })
    return opened
  }
  return {
    async waiting() {
      return (await open()).getAll('waiting')
    },
    async put(command) {
      const tx = (await open()).transaction(['waiting', 'own'], 'readwrite', {
        durability: 'strict',
      })
      await Promise.all([
        tx.objectStore('waiting').add(command),
        tx.objectStore('own').put({ command, seq: null, visitId: visitOf(command) }),
        tx.done,
      ])
    },
    async answered(command, answer, untold) {
      const tx = (await open()).transaction(['waiting', 'own', 'refused'], 'readwrite')
      const waiting = tx.objectStore('waiting')
      for (const key of await waiting.index('id').getAllKeys(command.id)) await waiting.delete(key)
      const own = tx.objectStore('own')
      if (answer.ok) await own.put({ command, seq: answer.seq, visitId: visitOf(command) })
      else await own.delete(command.id)
      if (!answer.ok && untold)
        await tx.objectStore('refused').put({ id: command.id, command, message: answer.message })
      await tx.done
    },
    async ownSince(visitId, seq) {
      const db = await open()
      const own = await db.getAllFromIndex('own', 'visit', visitId)
      const known = own.filter((each) => each.seq !== null && each.seq <= seq)
      for (const { command } of known) await db.delete('own', command.id)
      return own.filter((each) => !known.includes(each))
    },
    async refused() {
      return (await open()).getAll('refused')
    },
    async dismissRefused(id) {
      await (await open()).delete('refused', id)
    },
    async putPhoto(name, jpeg) {
      await (await open()).put('photos', jpeg, name)
    },
    async photo(name) {
      return (await open()).get('photos', name)
    },
    async photoKept(name, hash) {
      await (await open()).put('photos', hash, name)
    },
  }
}
