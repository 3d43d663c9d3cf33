import type { LightChoice } from '../light/light-choice'
import type { Plane } from '../light/spot'
import type { Judgement } from '../pairing/chance'
import type { Sheen } from '../paint/sheen'
import type { TrimKind } from '../scheme/trim'
import type { Reason, Verdict } from './verdict'

/** What was judged: a deck colour at a strength, in a sheen. */
export interface LookedAt {
  readonly candidateId: string
  readonly strengthPercent: number
  readonly sheen: Sheen
}

/** What it was held against. */
export type Against =
  /** A keeper as a whole, or one of its colours by its part. */
  | { readonly kind: 'keeper'; readonly keeperId: string; readonly part: string | null }
  | { readonly kind: 'wall'; readonly plane: Plane }
  | { readonly kind: 'trim'; readonly trim: TrimKind }
  | { readonly kind: 'candidate'; readonly candidateId: string }
  | { readonly kind: 'comparator'; readonly name: string }
  /** Any paint of a deck, at its full strength. */
  | { readonly kind: 'paint'; readonly deckColourId: string }

export const HELD = ['chip', 'large swatch', 'board', 'wall'] as const
/** What of the paint was there to be looked at. */
export type Held = (typeof HELD)[number]

/**
 * How it was seen: a sample in the light that was there, mixed at a strength that need not be the candidate's; the screen in
 * a computed light; or not known, in records of before it was asked.
 */
export type Seen =
  | { readonly as: 'sample'; readonly held: Held; readonly strengthPercent: number }
  | { readonly as: 'screen' }
  | { readonly as: 'not noted' }

/** The light of a look. Where the sample was and how it was held is its spot. */
export interface LookLight extends LightChoice {
  /** As 2026-12-21; null only in records of before it was kept. */
  readonly date: string | null
  /** Where that was, in plain words: "at the sink". */
  readonly place: string
  /** What a light meter said there and then. */
  readonly metered: { readonly lux: number; readonly cctK: number } | null
}

export const LEANS = [
  'pink',
  'orange',
  'yellow',
  'yellow-green',
  'green',
  'blue-green',
  'blue',
  'violet',
  'no lean',
] as const
/** Which way it leans to the eye. */
export type LeanWord = (typeof LEANS)[number]

/** What a client is heard to say first. */
export const CLIENT_SAYS = ['lit up', 'fine', 'no'] as const
/** The same with the words of records of before. */
export const CLIENT_SAID = [...CLIENT_SAYS, 'yes', 'not sure'] as const

/** The client's first response, apart from the consultant's verdict. */
export interface ClientResponse {
  readonly says: (typeof CLIENT_SAID)[number]
  readonly words: string
}

/** What the model said of the pair at that moment. */
export interface ModelThen {
  readonly version: string
  readonly judgement: Judgement
  /** 0 to 1. */
  readonly chance: number
  readonly sentence: string
  /** Another strength it would sit at, per cent. */
  readonly strengthPercent: number | null
}

/** One observation, from the key that gave it to the sheet. */
export interface Look {
  readonly id: string
  readonly roomId: string
  readonly candidate: LookedAt
  readonly against: Against
  readonly seen: Seen
  readonly light: LookLight
  /** Null where the eye said a lean, or the client something, and nothing more: such a look rules nothing. */
  readonly verdict: Verdict | null
  readonly reasons: readonly Reason[]
  /** Of a fan past one finish: the candidates that this was the best of, itself among them; else empty. */
  readonly bestOf: readonly string[]
  readonly lean: LeanWord | null
  readonly note: string
  readonly client: ClientResponse | null
  /** A photo of the moment, by the hash of its bytes. */
  readonly photoHash: string | null
  /** Who said it, and when by the clock of their device. */
  readonly by: string
  readonly madeAt: string
  /** Whether the model's reading stood on the screen before the verdict; null where that was not kept. */
  readonly modelSeenBefore: boolean | null
  /** Null where it said nothing: too dark, held against what it does not judge, or before it was kept. */
  readonly model: ModelThen | null
  /** Undone: it stays on record, struck out. */
  readonly retracted: boolean
}

/** Whether a look gave a verdict. */
export const isVerdict = <L extends Look>(look: L): look is L & { readonly verdict: Verdict } =>
  look.verdict !== null

/** Whether a look was at paint in the light that was there. */
export const isOfSample = ({ seen }: Look): boolean => seen.as === 'sample'

/** The strength of the sample, where it was not the candidate's own; null where it was, or is not known. */
export const otherStrengthPercent = ({ seen, candidate }: Look): number | null =>
  seen.as === 'sample' && seen.strengthPercent !== candidate.strengthPercent
    ? seen.strengthPercent
    : null

/** Whether lamps burnt at a look, alone or beside daylight. */
export const isUnderLamps = ({ light }: Pick<Look, 'light'>): boolean =>
  light.source === 'lamps' || light.lampsOn
