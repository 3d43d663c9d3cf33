'use client'

import type { SchemeOrigin } from '@/core/scheme/whole-scheme'
import type { KeptScheme } from '../lead/lead-model'
import { newId } from '../record/new-id'
import type { useChange } from '../record/use-change'

/** A candidate of the visit as a scheme names one. */
export interface KnownCandidate {
  readonly id: string
  readonly deckColourId: string
  readonly strengthPercent: number
}

/** Keeps a whole scheme of a room: colours that are no candidates yet are taken up for their surface first. */
export function useKeepScheme({
  visitId,
  roomId,
  candidates,
  schemes,
  change,
}: {
  readonly visitId: string
  readonly roomId: string
  readonly candidates: readonly KnownCandidate[]
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
    const known = [...candidates]
    const named: {
      surface: KeptScheme['parts'][number]['surface']
      candidateId: string
      sheen: KeptScheme['parts'][number]['sheen']
    }[] = []
    for (const { surface, deckColourId, strengthPercent, sheen } of parts) {
      const before = known.find(
        (each) => each.deckColourId === deckColourId && each.strengthPercent === strengthPercent,
      )
      const candidateId = before?.id ?? newId()
      if (!before) {
        const answer = await change('take-up', {
          ...{ visitId, roomId, deckColourId, strengthPercent, candidateId, surface, sheen },
          proposalId: newId(),
        })
        if (!answer?.ok) return
        known.push({ id: candidateId, deckColourId, strengthPercent })
      }
      named.push({ surface, candidateId, sheen })
    }
    const called = unlike(name, schemes)
    await change(
      'keep-scheme',
      {
        visitId,
        roomId,
        schemeId: newId(),
        name: called,
        origin,
        parts: named,
        accents: [...accents],
      },
      `Kept as the scheme “${called}”.`,
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
