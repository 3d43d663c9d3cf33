import { uuidOfHex } from '@/core/uuid'

/** A UUID of version 4. Not by `randomUUID`: on a plain-http address of a local network there is none. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  return uuidOfHex(Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join(''), 4)
}
