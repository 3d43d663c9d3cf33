import { randomBytes } from 'node:crypto'
import { readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { hash, verify } from '@node-rs/argon2'
import { z } from 'zod'

const Kept = z.object({
  /** Argon2id, as its library writes it. */
  hash: z.string(),
  /** What entries are signed with; another one ends all of them. */
  secret: z.string().length(64),
})

export const SHORTEST_PASSCODE = 8

const fileOf = (dataDir: string): string => join(dataDir, 'passcode.json')

function read(dataDir: string): z.infer<typeof Kept> | null {
  try {
    return Kept.parse(JSON.parse(readFileSync(/* turbopackIgnore: true */ fileOf(dataDir), 'utf8')))
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT') return null
    throw error
  }
}

function keep(dataDir: string, kept: z.infer<typeof Kept>): void {
  const aside = `${fileOf(dataDir)}.new`
  writeFileSync(aside, JSON.stringify(kept), { mode: 0o600, flush: true })
  renameSync(aside, fileOf(dataDir))
}

const newSecret = (): string => randomBytes(32).toString('hex')

/**
 * Sets the passcode of a store; whoever entered with another has to enter again.
 *
 * @throws RangeError when it is too short
 */
export async function setPasscode(dataDir: string, passcode: string): Promise<void> {
  if (passcode.length < SHORTEST_PASSCODE)
    throw new RangeError(
      `Expected a passcode of at least ${SHORTEST_PASSCODE} characters, got ${passcode.length}.`,
    )
  keep(dataDir, { hash: await hash(passcode), secret: newSecret() })
}

export const hasPasscode = (dataDir: string): boolean => read(dataDir) !== null

export async function isPasscode(dataDir: string, passcode: string): Promise<boolean> {
  const kept = read(dataDir)
  return kept !== null && (await verify(kept.hash, passcode))
}

/** What entries are signed with; null without a passcode. */
export const entrySecret = (dataDir: string): string | null => read(dataDir)?.secret ?? null

/** Ends every entry, on every device. */
export function endEntries(dataDir: string): void {
  const kept = read(dataDir)
  if (kept) keep(dataDir, { ...kept, secret: newSecret() })
}
