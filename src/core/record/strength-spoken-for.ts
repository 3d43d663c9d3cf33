import { cellSays } from './cell'
import { isOfSample, type Look } from './look'
import type { Verdict } from './verdict'

/**
 * The strength that looks in a room speak for, of a paint that works lighter or stronger than it is: of the samples of it that
 * were seen and work as they were mixed, the nearest that way.
 *
 * @param looks at that deck colour in the room, at whatever strengths it was taken up and mixed
 * @param strengthPercent what works lighter or stronger
 * @returns per cent of its formula; null where no such strength was looked at, or none that was works
 */
export function strengthSpokenFor(
  looks: readonly Look[],
  verdict: Verdict | null,
  strengthPercent: number,
): number | null {
  if (verdict !== 'works-lighter' && verdict !== 'works-stronger') return null
  const way = verdict === 'works-lighter' ? -1 : 1
  const seen = looks.filter(isOfSample).flatMap((look) =>
    look.seen.as === 'sample'
      ? // As it was mixed it was seen: what it was taken up at is another matter.
        [{ ...look, candidate: { ...look.candidate, strengthPercent: look.seen.strengthPercent } }]
      : [],
  )
  const strengths = [...new Set(seen.map(({ candidate }) => candidate.strengthPercent))]
  return (
    strengths
      .filter((strength) => way * (strength - strengthPercent) > 0)
      .sort((p, q) => way * (p - q))
      .find(
        (strength) =>
          cellSays(seen.filter(({ candidate }) => candidate.strengthPercent === strength))
            .verdict === 'works',
      ) ?? null
  )
}
