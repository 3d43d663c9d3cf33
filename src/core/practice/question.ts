import type { Reflectance } from '../colour/spectrum'
import type { KeeperKind } from '../pairing/keeper-kind'
import { DAYLIGHT } from '../undertone/daylight'
import type { HueName } from '../undertone/hue-name'
import { leanOf } from '../undertone/lean'
import { undertoneOf } from '../undertone/undertone'
import type { PracticeKind } from './kinds'
import type { PracticeLight } from './lights'
import type { PracticeFinish, Ref } from './asked-about'
import type { Material } from './material'

export const AXES = ['greener', 'pinker', 'yellower', 'bluer'] as const
/** Which way two colours are held apart. */
export type Axis = (typeof AXES)[number]

/** What a question is about, and nothing that the core works out: kept with the answer, so that it can be asked again. */
export interface Spec {
  readonly kind: PracticeKind
  readonly light: PracticeLight
  readonly paints: readonly Ref[]
  readonly finish: Ref | null
  /** What is to choose from, where lights are. */
  readonly lights: readonly PracticeLight[]
  readonly axis: Axis | null
  readonly strengthPercent: number | null
  /** How near a figure has to come, in steps of the eye. */
  readonly within: number | null
  /** In which order things are laid out. */
  readonly turn: number
}

/** What an answer is counted under. */
export interface Strand {
  readonly kind: PracticeKind
  /** Which way the asked colour leans by daylight, among its kind. */
  readonly lean: HueName | 'quiet'
  readonly finish: KeeperKind | 'none'
  readonly light: PracticeLight
}

export const strandName = ({ kind, lean, finish, light }: Strand): string =>
  [kind, lean, finish, light].join(' · ')

/** One colour, or a finish by its colours. */
export type Shown =
  | {
      readonly label: string
      /** What the paint is called, where the label does not say it: told with the answer. */
      readonly name?: string | null
      readonly reflectance: Reflectance
    }
  | { readonly label: string; readonly finish: PracticeFinish }

/** What is right. */
export type RightAnswer =
  /** One of the choices, by its place. */
  | { readonly as: 'choice'; readonly choices: readonly string[]; readonly right: number }
  /** The shown colours in an order, by their places. */
  | { readonly as: 'order'; readonly right: readonly number[] }
  /** A figure, right within bounds. */
  | {
      readonly as: 'figure'
      readonly unit: string
      readonly right: number
      readonly from: number
      readonly to: number
    }

/** What somebody answered, by the same measure. */
export type Given = number | readonly number[]

/** A question with its one defensible answer. */
export interface Question {
  readonly spec: Spec
  readonly strand: Strand
  /** How far right and wrong lie apart; see `QUESTION_KINDS`. */
  readonly level: number
  readonly asks: string
  readonly shown: readonly Shown[]
  /** Whether the white card lies around them. */
  readonly onCard: boolean
  readonly answer: RightAnswer
  /** The chance that a pair works, where it is about one. */
  readonly chance: number | null
  readonly why: string
}

/** How one kind of question is found, and what its answer is. */
export interface Maker {
  /**
   * What a question could be about.
   *
   * @param random chances in [0, 1)
   * @param level how hard it should be
   */
  readonly find: (
    material: Material,
    light: PracticeLight,
    random: () => number,
    level: number,
  ) => Omit<Spec, 'kind'> | null
  /** The question; null where it has no one defensible answer, or what it is about is gone. */
  readonly pose: (spec: Spec, material: Material) => Question | null
}

/** Whether an answer is right. */
export function isRight(answer: RightAnswer, given: Given): boolean {
  switch (answer.as) {
    case 'choice':
      return given === answer.right
    case 'order':
      return (
        typeof given !== 'number' &&
        given.length === answer.right.length &&
        answer.right.every((place, i) => given[i] === place)
      )
    case 'figure':
      return typeof given === 'number' && given >= answer.from && given <= answer.to
  }
}

/** The right answer in words. */
export function rightWords(answer: RightAnswer, shown: readonly Shown[]): string {
  switch (answer.as) {
    case 'choice':
      return answer.choices[answer.right]!
    case 'order':
      return answer.right.map((place) => shown[place]!.label).join(', ')
    case 'figure':
      return `${answer.unit} ${Math.round(answer.right)}`
  }
}

/** What an answer about a paint by itself is counted under. */
export const paintStrand = ({ kind, light }: Spec, reflectance: Reflectance): Strand => ({
  ...{ kind, light, finish: 'none' },
  lean: leanOf(undertoneOf(DAYLIGHT, reflectance))?.lean ?? 'quiet',
})

export const PLAIN_SPEC = {
  ...{ paints: [], finish: null, lights: [], axis: null },
  ...{ strengthPercent: null, within: null, turn: 0 },
} as const

/** One of a list by chance. */
export const anyOf = <T>(list: readonly T[], random: () => number): T =>
  list[Math.floor(random() * list.length)]!

/** A list in another order (Fisher and Yates, as Durstenfeld wrote it down in 1964). */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const out = [...list]
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[out[i], out[j]] = [out[j]!, out[i]!]
  }
  return out
}
