import { sqlState } from '@/db/db'
import { noteFault } from '@/store/fault-log'
import { dataDirFromEnvironment } from '@/store/store'

/**
 * Logs what went wrong, for whoever looks after the server: where, and of what kind. A message of the database may hold what
 * somebody wrote of a client, so of such an error only its state and constraint are told.
 */
export function logError(where: string, error: unknown): void {
  const state = sqlState(error)
  const { stack = '', name = 'Error', constraint } = error as Error & { constraint?: string }
  const frames = stack.split('\n').filter((line) => /^\s+at /.test(line))
  const what = state ? `database error ${state}${constraint ? ` (${constraint})` : ''}` : name
  console.error([`${where}: ${what}`, ...frames].join('\n'))
  noteFault(dataDirFromEnvironment(), {
    ...{ at: new Date().toISOString(), place: where, name: what, message: '', frames },
  })
}
