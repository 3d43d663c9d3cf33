'use client'

import type { SchemeOrigin } from '@/core/scheme/whole-scheme'
import type { KeptScheme } from '../lead/lead-model'
import { newId } from '../record/new-id'
import type { useChange } from '../record/use-change'

/** Keeps a whole scheme of a room under a name of its own; its colours become candidates, proposed for nothing yet. */
export function useKeepScheme({
  visitId,
  roomId,
  schemes,
  change,
}: {
  readonly visitId: string
  readonly roomId: string
  /** Names that are taken. */
  readonly schemes: readonly string[]
  readonly change: ReturnType<typeof useChange>['change']
}) {
  return async ({
    name,
    origin,
    parts,
    accents,
  }: Omit<KeptScheme, 'origin'> & { readonly origin: SchemeOrigin }): Promise<void> => {
    const called = unlike(name, schemes)
    await change(
      'keep-scheme',
      {
        ...{ visitId, roomId, schemeId: newId(), name: called, origin },
        parts: parts.map((part) => ({ ...part, candidateId: newId() })),
        accents: [...accents],
      },
      `Saved as the scheme “${called}”.`,
    )
  }
}

/** A name that no other scheme has: "From its field", "From its field 2". */
function unlike(name: string, taken: readonly string[]): string {
  const isTaken = (each: string): boolean =>
    taken.some((other) => other.toLowerCase() === each.toLowerCase())
  if (!isTaken(name)) return name
  for (let n = 2; ; n++) if (!isTaken(`${name} ${n}`)) return `${name} ${n}`
}
