import { setImmediate } from 'node:timers/promises'
import { BANDS } from '@/core/colour/spectrum'
import { MODEL_VERSION } from '@/core/model-version'
import { reflectanceOfReading, type KeptReading } from '@/core/paint/reading'
import { keepBands, listBands, listDeckColours } from '@/db/decks'
import { openDb } from '@/store/store'

// So many take some ten milliseconds; others are served in between.
const FOUND_AT_A_TIME = 250

/** The reflectance behind a reading as a deck keeps it: 36 little-endian floats. */
export const bandsOf = (reading: KeptReading): Uint8Array =>
  new Uint8Array(Float32Array.from(reflectanceOfReading(reading)).buffer)

// A deck never changes once it is ready.
const holder = globalThis as { elmDeckBands?: Map<string, Uint8Array> }
const held = (holder.elmDeckBands ??= new Map())

/**
 * All reflectances of a deck in the order of its listing, 36 little-endian floats a colour; null for no such deck. They
 * are found at the import; where another model found them, they are found and kept anew.
 */
export async function loadDeckBands(deckId: string): Promise<Uint8Array | null> {
  const key = `${deckId} ${MODEL_VERSION}`
  const known = held.get(key)
  if (known) return known
  const db = await openDb()
  const kept = await listBands(db, deckId, MODEL_VERSION)
  if (kept.length === 0) return null
  const all = new Uint8Array(kept.length * BANDS * 4)
  if (kept.every(({ bands }) => bands))
    kept.forEach(({ bands }, i) => all.set(bands!, i * BANDS * 4))
  else {
    const colours = await listDeckColours(db, deckId)
    for (let first = 0; first < colours.length; first += FOUND_AT_A_TIME) {
      const found = colours
        .slice(first, first + FOUND_AT_A_TIME)
        .map(({ deckColourId, reading }) => ({ deckColourId, bands: bandsOf(reading) }))
      found.forEach(({ bands }, i) => all.set(bands, (first + i) * BANDS * 4))
      await keepBands(db, MODEL_VERSION, found)
      await setImmediate()
    }
  }
  held.set(key, all)
  return all
}
