import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Answer, Command } from '@/commands/kinds'
import { takenFromBefore } from './shelf-of-before'

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

/** Why a change is not sent by itself any more. */
export interface Aside {
  readonly message: string
  /** The change that it waits with; null for one that failed itself. */
  readonly waitsFor: string | null
}

/** A change without an answer, in line or set aside. */
export interface ShelvedChange {
  readonly command: Command
  readonly aside: Aside | null
}

/** What lies on this device until the store has it. */
export interface Shelf {
  /** Changes without an answer, in the order they were made; what is done with is cleared away. */
  waiting(): Promise<readonly ShelvedChange[]>
  /** Keeps a change; once this returns it outlives the page and the browser. */
  put(command: Command): Promise<void>
  /** Sets a change aside, or, with null, in line again. */
  setAside(id: string, aside: Aside | null): Promise<void>
  /** Somebody has a change otherwise, and lets it go. */
  letGo(id: string): Promise<void>
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
  waiting: { key: number; value: ShelvedChange; indexes: { id: string } }
  own: { key: string; value: OwnChange & { visitId: string }; indexes: { visit: string } }
  refused: { key: string; value: RefusedChange & { id: string } }
  photos: { key: string; value: Blob | string }
}

/** The visit of a change; null where it is of none. */
const visitOf = ({ payload }: Command): string | null => {
  const { visitId } = payload as { visitId?: unknown }
  return typeof visitId === 'string' ? visitId : null
}

// A database of its own: pages of the version before go on with theirs, and neither keeps the other from opening its own.
const openShelf = (): Promise<IDBPDatabase<Schema>> =>
  openDB<Schema>('elm-swatch-waiting', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { autoIncrement: true }).createIndex('id', 'command.id')
      db.createObjectStore('own', { keyPath: 'command.id' }).createIndex('visit', 'visitId')
      db.createObjectStore('refused', { keyPath: 'id' })
      db.createObjectStore('photos')
    },
  })

// A visit that nobody opened here for so long is rendered with all of its changes when somebody does.
const OWN_DAYS = 30
const MS_PER_DAY = 86_400_000

/**
 * The shelf in the browser's own database; it works on any address, also where nothing else does offline.
 *
 * @param now by the device's clock, milliseconds
 */
export function browserShelf(now: () => number = Date.now): Shelf {
  let opened: Promise<IDBPDatabase<Schema>> | null = null
  const open = () => {
    opened ??= openShelf()
    // Asked again when it did not open: a private window may have none, a full disk may have room later.
    opened.catch(() => {
      opened = null
    })
    return opened
  }
  const keysOf = async (id: string) => (await open()).getAllKeysFromIndex('waiting', 'id', id)

  /** What a page of the version before left is this one's: it has the same ids, whoever sends it. */
  async function takeFromBefore(db: IDBPDatabase<Schema>): Promise<void> {
    await takenFromBefore(async ({ waiting, refused, photos }) => {
      const here = new Set((await db.getAll('waiting')).map(({ command }) => command.id))
      const tx = db.transaction(['waiting', 'own', 'refused', 'photos'], 'readwrite', {
        durability: 'strict',
      })
      for (const command of waiting.filter(({ id }) => !here.has(id))) {
        await tx.objectStore('waiting').add({ command, aside: null })
        await tx.objectStore('own').put({ command, seq: null, visitId: visitOf(command) ?? '' })
      }
      for (const each of refused)
        await tx.objectStore('refused').put({ id: each.command.id, ...each })
      const inStore = new Set<string>()
      for (const [name, photo] of photos) {
        const own = await tx.objectStore('photos').get(name)
        if (typeof own === 'string') inStore.add(name)
        if (own === undefined) await tx.objectStore('photos').put(photo, name)
      }
      await tx.done
      return inStore
    })
  }

  /** Clears what is done with: changes that have long had their place, photos that the store has and nothing names. */
  async function clearDone(db: IDBPDatabase<Schema>, waiting: readonly ShelvedChange[]) {
    const since = now() - OWN_DAYS * MS_PER_DAY
    for (const { command, seq, visitId } of await db.getAll('own'))
      if (seq !== null && (visitId === '' || Date.parse(command.madeAt) < since))
        await db.delete('own', command.id)
    const named = JSON.stringify(waiting)
    for (const name of await db.getAllKeys('photos'))
      if (!named.includes(`waiting:${name}`) && typeof (await db.get('photos', name)) === 'string')
        await db.delete('photos', name)
  }

  return {
    async waiting() {
      const db = await open()
      await takeFromBefore(db).catch(() => undefined)
      const waiting = await db.getAll('waiting')
      await clearDone(db, waiting).catch(() => undefined)
      return waiting
    },
    async put(command) {
      const tx = (await open()).transaction(['waiting', 'own'], 'readwrite', {
        durability: 'strict',
      })
      await Promise.all([
        tx.objectStore('waiting').add({ command, aside: null }),
        tx.objectStore('own').put({ command, seq: null, visitId: visitOf(command) ?? '' }),
        tx.done,
      ])
    },
    async setAside(id, aside) {
      const db = await open()
      for (const key of await keysOf(id)) {
        const kept = await db.get('waiting', key)
        if (kept) await db.put('waiting', { ...kept, aside }, key)
      }
    },
    async letGo(id) {
      const db = await open()
      for (const key of await keysOf(id)) await db.delete('waiting', key)
      await db.delete('own', id)
    },
    async answered(command, answer, untold) {
      const tx = (await open()).transaction(['waiting', 'own', 'refused'], 'readwrite')
      const waiting = tx.objectStore('waiting')
      for (const key of await waiting.index('id').getAllKeys(command.id)) await waiting.delete(key)
      const own = tx.objectStore('own')
      const visitId = visitOf(command)
      if (answer.ok && visitId !== null) await own.put({ command, seq: answer.seq, visitId })
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
