import { appendFileSync, renameSync, statSync } from 'node:fs'
import { join } from 'node:path'

/** Something that failed, as it is noted for whoever looks after the server. */
export interface Fault {
  readonly at: string
  /** Where: what was being done, or the address of the page. */
  readonly place: string
  readonly name: string
  readonly message: string
  readonly frames: readonly string[]
}

const MOST_BYTES = 256_000
const MOST_FRAMES = 12

const fileIn = (dataDir: string): string => join(dataDir, 'faults.log')

// What stands in quotation marks is what somebody wrote, or may be: a household, a note. Numbers and words of our own stay.
const QUOTED = /“[^”]*”|"[^"]*"|'[^']*'|‘[^’]*’/g

/** A message without what somebody wrote. */
export const withoutNames = (message: string): string => message.replace(QUOTED, '…').slice(0, 300)

/** Notes a fault in the data directory; the file is kept small, with the one before it. */
export function noteFault(dataDir: string, { at, place, name, message, frames }: Fault): void {
  const file = fileIn(dataDir)
  const words = [`${at} ${place.slice(0, 200)}: ${name.slice(0, 60)} ${withoutNames(message)}`]
  const lines = [...words, ...frames.slice(0, MOST_FRAMES).map((frame) => frame.slice(0, 300))]
  try {
    if ((statSync(file, { throwIfNoEntry: false })?.size ?? 0) > MOST_BYTES)
      renameSync(file, `${file}.before`)
    appendFileSync(file, `${lines.join('\n').replaceAll('\0', '')}\n`, { mode: 0o600 })
  } catch {
    // A full disk is told elsewhere.
  }
}

/** The frames of a stack, without the message that stands before them. */
export const framesOf = (stack: string): string[] =>
  stack.split('\n').filter((line) => /^\s+at |@http/.test(line))
