import shipped from './anchors.json' with { type: 'json' }

/** The names that paints go by, neutrals first. */
export const FAMILY_NAMES = [
  ...(['white', 'off-white', 'ivory', 'cream', 'greige', 'beige', 'sand', 'tan'] as const),
  ...(['khaki', 'taupe', 'grey', 'slate', 'charcoal', 'off-black', 'black'] as const),
  ...(['brown', 'chocolate', 'olive', 'sage', 'green', 'mint', 'teal', 'turquoise'] as const),
  ...(['blue', 'navy', 'lavender', 'lilac', 'purple', 'mauve', 'plum', 'burgundy'] as const),
  ...(['red', 'coral', 'pink', 'blush', 'peach', 'terracotta', 'rust', 'orange'] as const),
  ...(['ochre', 'mustard', 'yellow'] as const),
] as const
export type FamilyName = (typeof FAMILY_NAMES)[number]

/** Undertones as the trade says them: relative, in one word. */
export const UNDERTONE_NAMES = [
  ...(['pink', 'red', 'orange', 'yellow', 'green', 'blue', 'violet', 'none'] as const),
] as const
export type UndertoneName = (typeof UNDERTONE_NAMES)[number]

/** A colour that has a name: where it lies by daylight, and the names that would be accepted, the commonest first. */
export interface Anchor {
  readonly j: number
  readonly a: number
  readonly b: number
  readonly family: readonly string[]
  readonly undertone: readonly string[]
}

/** What a client would call a colour. */
export interface PlainName {
  readonly name: FamilyName
  /** Where it lies between two: the other. */
  readonly second: FamilyName | null
}

type Place = Pick<Anchor, 'j' | 'a' | 'b'>

/** Where a colour lies among names: lightness, and its lean, drawn together where it is strong. */
function placeOf({ j, a, b }: Place): readonly [number, number, number] {
  const c = Math.hypot(a, b)
  const drawn = c > 0 ? (2 * Math.log(1 + c / 2)) / c : 0
  return [j / 16, drawn * a, drawn * b]
}

// How far a name reaches, in those units; an undertone turns sooner.
const REACHES = { family: 0.6, undertone: 0.4 } as const
// Down the list of names that would do for one colour.
const NEXT_COUNTS = 0.85

/** The votes of the named colours around one, each the less the further off it lies; the most first. */
function votesFor(
  at: Place,
  anchors: readonly Anchor[],
  of: keyof typeof REACHES,
): readonly (readonly [name: string, votes: number])[] {
  const [x, y, z] = placeOf(at)
  const votes = new Map<string, number>()
  for (const anchor of anchors) {
    const [p, q, r] = placeOf(anchor)
    const d2 = (p - x) ** 2 + (q - y) ** 2 + (r - z) ** 2
    let weight = Math.exp(-d2 / (2 * REACHES[of] ** 2))
    for (const name of anchor[of]) {
      votes.set(name, (votes.get(name) ?? 0) + weight)
      weight *= NEXT_COUNTS
    }
  }
  return [...votes].sort(([, p], [, q]) => q - p)
}

// Votes this near the first's are another name for it.
const NEAR = 0.92

/**
 * One plain name for a colour, as a client would say it.
 *
 * @param at where it lies by daylight, against the white card
 */
export function plainName(at: Place, anchors: readonly Anchor[] = shipped): PlainName {
  const [first, second] = votesFor(at, anchors, 'family')
  return {
    name: first![0] as FamilyName,
    second: second && second[1] >= NEAR * first![1] ? (second[0] as FamilyName) : null,
  }
}

/** The undertone in one relative word, as the trade says it; "none" where it has none to speak of. */
export const undertoneName = (at: Place, anchors: readonly Anchor[] = shipped): UndertoneName =>
  votesFor(at, anchors, 'undertone')[0]![0] as UndertoneName
