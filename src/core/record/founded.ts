import { HELD, isUnderLamps, type Held, type Look } from './look'

/** How well founded a cell of the record is. */
export interface Founded {
  /** "board by day and under lamps", "chip by day", "not noted how". */
  readonly words: string
  /** 0: nothing that counts; 1: a chip; 2: a large swatch, board or wall; 3: a board or the wall, by day and under lamps. */
  readonly notches: 0 | 1 | 2 | 3
}

const isPainted = (held: Held | null): boolean => held === 'board' || held === 'wall'

/** The largest sample of some looks; null where none was noted. */
function largest(looks: readonly Look[]): Held | null {
  const places = looks.map(({ seen }) => (seen.as === 'sample' ? HELD.indexOf(seen.held) : -1))
  return HELD[Math.max(-1, ...places)] ?? null
}

/**
 * What a cell rests on: the largest sample that was seen by day, and the largest under lamps.
 *
 * @param counted looks that a cell goes by; see `cellSays`
 */
export function foundedOn(counted: readonly Look[]): Founded {
  if (counted.length === 0) return { words: '', notches: 0 }
  const kinds = [
    { light: 'by day', looks: counted.filter((look) => !isUnderLamps(look)) },
    { light: 'under lamps', looks: counted.filter(isUnderLamps) },
  ]
    .filter(({ looks }) => looks.length > 0)
    .map(({ light, looks }) => ({ light, held: largest(looks) }))
  const best = largest(counted)
  const isOne = kinds.every(({ held }) => held === best)
  return {
    words: isOne
      ? `${best ?? 'not noted how,'} ${kinds.map(({ light }) => light).join(' and ')}`
      : kinds.map(({ held, light }) => `${held ?? 'not noted how,'} ${light}`).join(', '),
    notches:
      best === null || best === 'chip'
        ? 1
        : kinds.length === 2 && kinds.every(({ held }) => isPainted(held))
          ? 3
          : 2,
  }
}
