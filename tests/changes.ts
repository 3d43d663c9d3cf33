import { gunzipSync } from 'node:zlib'
import type { APIRequestContext } from '@playwright/test'
import { unzipSync } from 'fflate'

interface Event {
  readonly command_id: string
  readonly number: number
  readonly subject: string
  readonly after: Record<string, unknown>
}

interface Change {
  readonly id: string
  readonly kind: string
  readonly seq: number
  readonly visit_id: string
  readonly events: readonly Event[]
}

/** What a backup of the store says happened in a visit. */
export async function changesOf(request: APIRequestContext, visit: string): Promise<Change[]> {
  const backup = await (await request.get(`${new URL(visit).origin}/api/backup`)).body()
  const lines = gunzipSync(unzipSync(backup)['rows.ndjson.gz']!).toString().trim().split('\n')
  const rows = <Row>(table: string): Row[] =>
    lines.flatMap((line) => {
      const page = JSON.parse(line) as { readonly table?: string; readonly rows?: Row[] }
      return page.table === table ? page.rows! : []
    })
  const events = new Map<string, Event[]>()
  for (const event of rows<Event>('event').sort((p, q) => p.number - q.number))
    events.set(event.command_id, [...(events.get(event.command_id) ?? []), event])
  return rows<Omit<Change, 'events'>>('command')
    .filter((change) => change.visit_id === visit.split('/').at(-1))
    .map((change) => ({ ...change, events: events.get(change.id) ?? [] }))
    .sort((p, q) => p.seq - q.seq)
}

/** The looks that were written, as often as they were. */
export const rowsOfLooks = (changes: readonly Change[]): Record<string, unknown>[] =>
  changes.flatMap(({ kind, events }) =>
    kind === 'keep-look'
      ? events.filter(({ subject }) => subject === 'look').map(({ after }) => after)
      : [],
  )
