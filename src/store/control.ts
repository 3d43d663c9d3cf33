import { randomBytes, timingSafeEqual } from 'node:crypto'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'

const Control = z.object({ url: z.url(), token: z.string().length(64) })

const fileOf = (dataDir: string): string => join(dataDir, 'control.json')

// Next instantiates modules several times in one process; the word must be one.
const holder = globalThis as { elmControlToken?: string }
const TOKEN = (holder.elmControlToken ??= randomBytes(32).toString('hex'))

/** Tells programs of this user how to ask the server that has the data: where it is, and a word that only they can read. */
export function writeControl(dataDir: string, url: string): () => void {
  const file = fileOf(dataDir)
  rmSync(file, { force: true })
  writeFileSync(file, JSON.stringify({ url, token: TOKEN }), { mode: 0o600 })
  return () => rmSync(file, { force: true })
}

/** How to ask the server that has the data; null where none says so. */
export function readControl(dataDir: string): z.infer<typeof Control> | null {
  try {
    return Control.parse(JSON.parse(readFileSync(fileOf(dataDir), 'utf8')))
  } catch {
    return null
  }
}

export const CONTROL_HEADER = 'x-elm-control'

/** Whether a request comes from a program of this user on this machine. */
export const isOwnProgram = (request: Request): boolean => {
  const sent = Buffer.from(request.headers.get(CONTROL_HEADER) ?? '')
  const own = Buffer.from(TOKEN)
  return sent.length === own.length && timingSafeEqual(sent, own)
}
