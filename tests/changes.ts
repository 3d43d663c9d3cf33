import type { APIRequestContext } from '@playwright/test'

interface Change {
  readonly id: string
  readonly kind: string
  readonly seq: number
  readonly events: readonly { readonly subject: string; readonly after: Record<string, unknown> }[]
}

/** What the server says happened in a visit. */
export async function changesOf(request: APIRequestContext, visit: string): Promise<Change[]> {
  const changes: Change[] = []
  for (let seq = 0; ;) {
    const id = visit.split('/').at(-1)!
    const answer = await request.get(`${new URL(visit).origin}/api/visits/${id}/since/${seq}`)
    const { changes: more } = (await answer.json()) as { changes: Change[] }
    if (more.length === 0) return changes
    changes.push(...more)
    seq = more.at(-1)!.seq
  }
}

/** The looks that were written, as often as they were. */
export const rowsOfLooks = (changes: readonly Change[]): Record<string, unknown>[] =>
  changes.flatMap(({ kind, events }) =>
    kind === 'keep-look'
      ? events.filter(({ subject }) => subject === 'look').map(({ after }) => after)
      : [],
  )
