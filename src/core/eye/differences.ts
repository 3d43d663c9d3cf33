import { isBad, isGood } from '../pairing/chance'
import type { KeeperKind } from '../pairing/keeper-kind'
import { differs } from '../record/agreement'
import { type CLIENT_SAID, type Held } from '../record/look'
import type { Verdict } from '../record/verdict'
import type { HueName } from '../undertone/hue-name'
import { wilson, type ShareKnown } from '../wilson'

export const EYE_LIGHTS = [
  'a clear day',
  'a covered day',
  'day with lamps',
  'lamps alone',
  'a light held up',
] as const
/** In what light a look was, as far as looks are told apart by it. */
export type EyeLight = (typeof EYE_LIGHTS)[number]

/** What was looked at: a sample, the screen, or not noted. */
export type Medium = Held | 'screen' | 'not noted'

/** A verdict of the eye beside a keeper, with what the model said then. */
export interface EyeLook {
  readonly id: string
  readonly visitId: string
  readonly roomId: string
  readonly candidateId: string
  readonly keeperId: string
  /** "Larkstone at 75 % beside the hearth, sitting room, the Quillans". */
  readonly words: string
  /** An instant. */
  readonly madeAt: string
  /** The date of that, by the clocks of the place. */
  readonly on: string
  readonly verdict: Verdict
  /** Null where the model said nothing. */
  readonly chance: number | null
  readonly modelSeenBefore: boolean | null
  readonly lean: HueName | 'quiet'
  readonly finish: KeeperKind
  readonly light: EyeLight
  readonly medium: Medium
  readonly clientSays: (typeof CLIENT_SAID)[number] | null
  /** Whether the candidate is ruled on for that room; null where nothing is ruled there. */
  readonly isPicked: boolean | null
}

/** By what differences are told apart. */
export const EYE_FACETS = ['lean', 'finish', 'light', 'medium'] as const
export type EyeFacet = (typeof EYE_FACETS)[number]

/** From how many looks on anything is claimed. */
export const LEAST_CLAIMED = 20

/** How eye and model agree over some looks; the share and its interval only where there are enough. */
export interface EyeAgreement {
  readonly of: number
  readonly agreed: number
  readonly known: ShareKnown | null
  /** The eye said that it works, the model not; and the other way round. */
  readonly eyeOnly: readonly EyeLook[]
  readonly modelOnly: readonly EyeLook[]
}

/** Who was followed where the two differed. */
export interface Followed {
  readonly eye: readonly EyeLook[]
  readonly model: readonly EyeLook[]
}

export interface Differences {
  readonly all: EyeAgreement
  /** Looks that tell nothing of it: the reading had been seen before. */
  readonly seenBefore: number
  readonly facets: Readonly<
    Record<EyeFacet, readonly (EyeAgreement & { readonly value: string })[]>
  >
  /** By what the client said at that look, else by what was ruled. */
  readonly client: Followed
  /** By the last look at a board or the wall itself that came after. */
  readonly boards: Followed
}

/** Whether a look can teach: the eye spoke out before it knew the reading, on a pair that the model judges. */
export const teaches = ({
  verdict,
  modelSeenBefore,
  chance,
}: Pick<EyeLook, 'verdict' | 'modelSeenBefore' | 'chance'>): boolean =>
  verdict !== 'unsure' && modelSeenBefore === false && chance !== null

/** Where eye and model differ: over looks at which both spoke out, and the eye had not seen the reading. */
export function differencesOf(looks: readonly EyeLook[]): Differences {
  const both = looks.filter(
    ({ verdict, chance }) =>
      verdict !== 'unsure' && chance !== null && (isGood(chance) || isBad(chance)),
  )
  const unseen = both.filter(({ modelSeenBefore }) => modelSeenBefore === false)
  const apart = unseen.filter(isApart)
  return {
    all: agreementOver(unseen),
    seenBefore: both.length - unseen.length,
    facets: Object.fromEntries(
      EYE_FACETS.map((facet) => [facet, byFacet(unseen, facet)]),
    ) as unknown as Differences['facets'],
    client: followed(apart, byClient),
    boards: followed(apart, (look) => byBoard(look, looks)),
  }
}

const isApart = ({ verdict, chance }: EyeLook): boolean => differs(chance!, verdict)

function agreementOver(looks: readonly EyeLook[]): EyeAgreement {
  const apart = looks.filter(isApart)
  const agreed = looks.length - apart.length
  return {
    of: looks.length,
    agreed,
    known: looks.length >= LEAST_CLAIMED ? wilson(agreed, looks.length) : null,
    eyeOnly: apart.filter(({ verdict }) => verdict === 'works'),
    modelOnly: apart.filter(({ verdict }) => verdict !== 'works'),
  }
}

const byFacet = (looks: readonly EyeLook[], facet: EyeFacet) =>
  [...new Set(looks.map((look) => look[facet]))]
    .map((value) => ({ value, ...agreementOver(looks.filter((look) => look[facet] === value)) }))
    .sort((p, q) => q.of - p.of || (p.value < q.value ? -1 : 1))

/** Whether it came to be taken, as somebody else found; null where nobody has. */
type Outcome = (look: EyeLook) => boolean | null

function followed(apart: readonly EyeLook[], outcome: Outcome): Followed {
  const known = apart.map((look) => ({ look, taken: outcome(look) }))
  const sided = (withEye: boolean): EyeLook[] =>
    known.flatMap(({ look, taken }) =>
      taken !== null && (taken === (look.verdict === 'works')) === withEye ? [look] : [],
    )
  return { eye: sided(true), model: sided(false) }
}

const byClient: Outcome = ({ clientSays, isPicked }) => {
  if (clientSays === null || clientSays === 'not sure') return isPicked
  return clientSays !== 'no'
}

const isOfBoard = ({ medium }: EyeLook): boolean => medium === 'board' || medium === 'wall'

function byBoard(look: EyeLook, looks: readonly EyeLook[]): boolean | null {
  if (isOfBoard(look)) return null
  const later = looks
    .filter(
      (other) =>
        isOfBoard(other) &&
        other.verdict !== 'unsure' &&
        other.roomId === look.roomId &&
        other.candidateId === look.candidateId &&
        other.keeperId === look.keeperId &&
        other.madeAt > look.madeAt,
    )
    .sort((p, q) => (p.madeAt < q.madeAt ? -1 : 1))
    .at(-1)
  return later ? later.verdict === 'works' : null
}
