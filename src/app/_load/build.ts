import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const built = (): string => join(/* turbopackIgnore: true */ process.cwd(), '.next')

let id: string | null = null

/** Which build this server runs; 'development' where it was never built. */
export function buildId(): string {
  try {
    id ??= readFileSync(/* turbopackIgnore: true */ join(built(), 'BUILD_ID'), 'utf8').trim()
  } catch {
    id = 'development'
  }
  return id
}

/** The addresses of all files that pages of this build load. */
export function shellFiles(): string[] {
  const root = join(built(), 'static')
  return readdirSync(/* turbopackIgnore: true */ root, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !entry.name.endsWith('.map'))
    .map((entry) => `/_next/static${join(entry.parentPath, entry.name).slice(root.length)}`)
}
