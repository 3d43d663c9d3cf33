import { isOfSample, isVerdict, otherStrengthPercent, type Against, type Look } from './look'
import { WITHHELD, type Reason, type Verdict } from './verdict'

/** What makes a cell less sure than its verdict sounds. */
export type CellMark =
  | 'on a screen only'
  | 'on a chip only'
  | 'at another strength'
  | 'how it was seen is not noted'
  | 'looks differ'

/** What a room's record says of a candidate. */
export interface CellSays {
  /** Null where nothing was seen that counts. */
  readonly verdict: Verdict | null
  /** Why: the reasons of the looks that name it, each once. */
  readonly reasons: readonly Reason[]
  /** The look that names it, the latest where several do; of a cell seen on a screen only, the screen's. */
  readonly look: Look | null
  /** In how many lights it was seen, at the strength that rules; the screen's are none. */
  readonly lights: number
  /** The looks that it goes by; none where nothing was seen that counts. */
  readonly counted: readonly Look[]
  readonly marks: readonly CellMark[]
  /** The client said no, whatever the consultant found. */
  readonly clientSaysNo: boolean
}

// The worst that was seen names the cell: one clash is enough.
export const WORST_FIRST: readonly Verdict[] = [
  'no',
  'unsure',
  'works-lighter',
  'works-stronger',
  'works',
]
// Within an hour a room's daylight is one light.
const ONE_LIGHT_MINUTES = 60

/**
 * What a candidate's looks in a room come to, oldest first.
 *
 * - Looks that were taken back, that say a lean alone, or that withhold a verdict, count for nothing.
 * - Of one thing in one light, seen the same way, the latest that counts takes the place of the earlier.
 * - Looks at paint of the candidate's own strength rule; a sample of another strength speaks only where there is none.
 * - Larger samples rule over chips, thing by thing and light by light.
 * - A screen never counts as seen: by itself it leaves the verdict open, and is told as such.
 * - Of what counts the worst names the room; lighter for one thing and stronger for another leave it unsure.
 */
export function cellSays(looks: readonly Look[]): CellSays {
  const standing = looks.filter((look) => !look.retracted && isVerdict(look) && !isWithheld(look))
  const seen = standing.filter(({ seen: { as } }) => as !== 'screen')
  const own = seen.filter((look) => otherStrengthPercent(look) === null)
  const ofStrength = own.length > 0 ? own : seen
  const counted = whatCounts(ofStrength)
  const { verdict, named } = worstOf(counted.length > 0 ? counted : whatCounts(standing))
  return {
    verdict: counted.length > 0 ? verdict : null,
    reasons: [...new Set(named.flatMap(({ reasons }) => reasons))],
    look: named.at(-1) ?? null,
    lights: lightsOf(ofStrength),
    counted,
    marks: marksOf(counted, standing),
    clientSaysNo: looks.some(({ retracted, client }) => !retracted && client?.says === 'no'),
  }
}

/** The worst verdict, and the looks that it rests on. */
function worstOf(looks: readonly Look[]): {
  readonly verdict: Verdict | null
  readonly named: readonly Look[]
} {
  const at = (verdict: Verdict): readonly Look[] => looks.filter((look) => look.verdict === verdict)
  const worst = WORST_FIRST.find((verdict) => at(verdict).length > 0) ?? null
  const torn = [...at('works-lighter'), ...at('works-stronger'), ...at('unsure')]
  if (worst !== 'no' && at('works-lighter').length > 0 && at('works-stronger').length > 0)
    return { verdict: 'unsure', named: torn }
  return { verdict: worst, named: worst ? at(worst) : [] }
}

function marksOf(counted: readonly Look[], standing: readonly Look[]): CellMark[] {
  if (counted.length === 0) return standing.length > 0 ? ['on a screen only'] : []
  return [
    ...(counted.every(isChip) ? (['on a chip only'] as const) : []),
    ...(counted.some((look) => otherStrengthPercent(look) !== null)
      ? (['at another strength'] as const)
      : []),
    ...(counted.some((look) => look.seen.as === 'not noted')
      ? (['how it was seen is not noted'] as const)
      : []),
    ...(new Set(counted.map(({ verdict }) => verdict)).size > 1 ? (['looks differ'] as const) : []),
  ]
}

/** Whether a look says that nothing can be said. */
const isWithheld = ({ verdict, reasons }: Look): boolean =>
  verdict === 'unsure' &&
  reasons.length > 0 &&
  reasons.every((reason) => WITHHELD.some((withheld) => withheld === reason))

const isChip = ({ seen }: Look): boolean => seen.as === 'sample' && seen.held === 'chip'

/**
 * The looks that count: larger samples before chips, the latest before earlier ones, each unless one that counts has taken its
 * place. A look that does not count itself takes nobody's: so a further no never makes a cell better.
 *
 * @returns in the order they were given
 */
function whatCounts(looks: readonly Look[]): Look[] {
  const latestFirst = looks.toReversed()
  const counted: Look[] = []
  for (const look of [
    ...latestFirst.filter((each) => !isChip(each)),
    ...latestFirst.filter(isChip),
  ])
    if (!counted.some((other) => takesPlaceOf(other, look))) counted.push(look)
  return looks.filter((look) => counted.includes(look))
}

/** Whether a look that counts leaves nothing for an earlier one, or one at a smaller sample, to say. */
const takesPlaceOf = (counted: Look, look: Look): boolean =>
  isSameThing(counted, look) &&
  ((counted.seen.as === look.seen.as && heldAlike(counted, look)) ||
    (isChip(look) && !isChip(counted)))

/** In how many lights some looks were taken: hours of daylight, the fewest that hold them all, and the lamps. */
function lightsOf(looks: readonly Look[]): number {
  let lights = 0
  let left = looks.toSorted((a, b) => a.light.minute - b.light.minute)
  while (left.length > 0) {
    const [first] = left
    left = left.filter((look) => !isSameLight(first!, look))
    lights += 1
  }
  return lights
}

const isSameThing = (a: Look, b: Look): boolean =>
  thingOf(a.against) === thingOf(b.against) && isSameLight(a, b)

const thingOf = (against: Against): string => JSON.stringify(against, Object.keys(against).sort())

const heldAlike = (a: Look, b: Look): boolean =>
  !isOfSample(a) || (isChip(a) === isChip(b) && otherStrengthPercent(a) === otherStrengthPercent(b))

/** Whether two looks were taken in one light: the whole of it. Lamps alone are the same on any day and at any hour. */
export function isSameLight(
  { light: a }: Pick<Look, 'light'>,
  { light: b }: Pick<Look, 'light'>,
): boolean {
  if (a.source !== b.source || a.spot !== b.spot || a.place !== b.place) return false
  if (a.source === 'lamps') return true
  return (
    a.date === b.date &&
    a.sky === b.sky &&
    a.lampsOn === b.lampsOn &&
    Math.abs(a.minute - b.minute) <= ONE_LIGHT_MINUTES
  )
}
