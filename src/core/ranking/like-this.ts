import type { HueName } from '../undertone/hue-name'
import { differenceSteps, sizedWord } from '../undertone/difference-words'
import { NO_LEAN_BELOW } from '../undertone/hue-name'
import { hueApartDeg, roomForColour, type Undertone } from '../undertone/undertone'
import { STRIP_STEP, unitsApart } from './variety'

/** The leans a colour can be asked to have less or more of, by the middle of each on the white card, degrees. */
export const LEANS = {
  pink: 0,
  orange: 55,
  yellow: 84,
  'yellow-green': 110,
  green: 150,
  'blue-green': 200,
  blue: 252,
  violet: 308,
} as const satisfies Partial<Record<HueName, number>>
export type LeanName = keyof typeof LEANS
export const LEAN_NAMES = Object.keys(LEANS) as readonly LeanName[]

export const PLAIN_WISHES = ['lighter', 'deeper', 'quieter', 'cleaner'] as const
/** "Like this but …". */
export type LikeThis =
  | { readonly kind: (typeof PLAIN_WISHES)[number] }
  | { readonly kind: 'less' | 'more'; readonly of: LeanName }
  /** Halfway to what is seen of a keeper's part. */
  | { readonly kind: 'halfway'; readonly to: Undertone }

/** A deck colour at a strength, as it is seen in the light at hand. */
export interface SeenRow {
  readonly place: number
  readonly undertone: Undertone
  readonly lrvPercent: number
}

// What a wish must change at least, and what it must leave. LRV in per cent, leans and lightness in CAM16-UCS units.
const LEAN_STEP = 1.5
const LEAVES_LRV = 4
const LEAVES_LEAN = 1.5
const LIGHTNESS_STEP = 4
const KEEPS_HUE_DEG = 12
/** An error of half a unit turns a lean of one unit by so much. */
const TURN_OF_UNIT_DEG = 29
const HALFWAY_OFF = 4

interface Change {
  readonly dj: number
  readonly da: number
  readonly db: number
  readonly dLrv: number
}

const changeOf = (from: SeenRow, to: SeenRow): Change => ({
  dj: to.undertone.j - from.undertone.j,
  da: to.undertone.a - from.undertone.a,
  db: to.undertone.b - from.undertone.b,
  dLrv: to.lrvPercent - from.lrvPercent,
})

/** Whether a lean kept its direction; one too short to have a direction stays short. */
function keepsHue(from: Undertone, to: Undertone): boolean {
  if (from.c < NO_LEAN_BELOW) return to.c < 2 * NO_LEAN_BELOW
  const within = Math.max(KEEPS_HUE_DEG, TURN_OF_UNIT_DEG / from.c)
  return to.c >= NO_LEAN_BELOW / 2 && hueApartDeg(from.hueDeg, to.hueDeg) <= within
}

const cleanness = ({ c, j }: Undertone): number => c / roomForColour(j)

/** How far a colour misses a wish beside what it must do; null where it is no answer to it. */
function miss(wish: LikeThis, from: SeenRow, to: SeenRow): number | null {
  const { dj, da, db, dLrv } = changeOf(from, to)
  const [own, other] = [from.undertone, to.undertone]
  switch (wish.kind) {
    case 'lighter':
    case 'deeper': {
      const along = wish.kind === 'lighter' ? dj : -dj
      const lean = Math.hypot(da, db)
      if (along < LIGHTNESS_STEP || lean > LEAVES_LEAN || !keepsHue(own, other)) return null
      return along - LIGHTNESS_STEP + 2 * lean
    }
    case 'quieter':
    case 'cleaner': {
      const more = wish.kind === 'cleaner' ? 1 : -1
      const along = more * (other.c - own.c)
      const isMore = more * (cleanness(other) - cleanness(own)) > 0
      if (along < LEAN_STEP || !isMore || Math.abs(dLrv) > LEAVES_LRV) return null
      if (!keepsHue(own, other)) return null
      return along - LEAN_STEP + Math.abs(dLrv)
    }
    case 'less':
    case 'more': {
      const angle = (LEANS[wish.of] * Math.PI) / 180
      const way = wish.kind === 'more' ? 1 : -1
      const along = way * (da * Math.cos(angle) + db * Math.sin(angle))
      const across = Math.abs(-da * Math.sin(angle) + db * Math.cos(angle))
      if (along < LEAN_STEP || across > LEAVES_LEAN || Math.abs(dLrv) > LEAVES_LRV) return null
      return along - LEAN_STEP + across + Math.abs(dLrv) / 2
    }
    case 'halfway': {
      const half = (axis: 'j' | 'a' | 'b'): number => (own[axis] + wish.to[axis]) / 2
      const off = Math.hypot(other.j - half('j'), other.a - half('a'), other.b - half('b'))
      return off <= HALFWAY_OFF ? off : null
    }
  }
}

/** A colour that answers a wish, by its place among the rows. */
export interface LikeAnswer {
  readonly row: number
  /** What it changes besides, in sized words; "nothing else" where it does not. */
  readonly besides: string
}

/**
 * Colours like one but for a wish: real rows of the decks, at least a strip step away, each colour once, the ones first
 * that change as little else as can be.
 *
 * @param from the colour at hand, at its strength
 */
export function likeThis(
  wish: LikeThis,
  from: SeenRow,
  rows: readonly SeenRow[],
  most: number,
): LikeAnswer[] {
  const answers = rows
    .flatMap((to, row) => {
      if (unitsApart(from.undertone, to.undertone) < STRIP_STEP) return []
      const off = miss(wish, from, to)
      return off === null ? [] : [{ row, off }]
    })
    .sort((p, q) => p.off - q.off || p.row - q.row)
  const chosen: LikeAnswer[] = []
  const taken = new Set<number>()
  for (const { row } of answers) {
    if (chosen.length === most) break
    const to = rows[row]!
    if (taken.has(to.place)) continue
    taken.add(to.place)
    chosen.push({ row, besides: besides(wish, from, to) })
  }
  return chosen
}

function besides(wish: LikeThis, from: SeenRow, to: SeenRow): string {
  const [own, other] = [from.undertone, to.undertone]
  // What the wish itself moved is taken back before the rest is told.
  const aim: Undertone =
    wish.kind === 'lighter' || wish.kind === 'deeper'
      ? { ...other, j: own.j }
      : wish.kind === 'halfway'
        ? own
        : { ...own, j: other.j }
  const words = differenceSteps(own, aim).map(sizedWord)
  return words.length > 0 ? words.join(', ') : 'nothing else'
}
