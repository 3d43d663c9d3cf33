import type { PracticeAnswer } from './answer'
import { PLAIN_SPEC, type Strand } from './question'

const DAY_MS = 86_400_000
const FROM = Date.UTC(2026, 0, 5, 9)

/** An answer of a day, about an invented paint of a number. */
export function answered(
  n: number,
  isRight: boolean,
  {
    strand = {},
    level = 4,
    day = 0,
  }: { strand?: Partial<Strand>; level?: number; day?: number } = {},
): PracticeAnswer {
  const kind = strand.kind ?? 'which of two'
  return {
    id: `${n}-${day}`,
    spec: { ...PLAIN_SPEC, kind, light: 'north sky', paints: [{ invented: n }] },
    strand: { kind, lean: 'pink', finish: 'none', light: 'north sky', ...strand },
    ...{ level, given: 0, isRight, tookMs: 2000 },
    at: new Date(FROM + day * DAY_MS + n * 1000).toISOString(),
  }
}

export const onDay = (day: number): number => FROM + day * DAY_MS
