import type { Ref } from './asked-about'
import type { Given, Spec, Strand } from './question'

/** One answer as it is kept: what was asked, what was said, whether it was right. */
export interface PracticeAnswer {
  readonly id: string
  readonly spec: Spec
  readonly strand: Strand
  readonly level: number
  readonly given: Given
  readonly isRight: boolean
  /** From the question to the answer, milliseconds. */
  readonly tookMs: number
  /** An instant. */
  readonly at: string
}

const refName = (ref: Ref): string => ('own' in ref ? ref.own : `no. ${ref.invented}`)

/** A question by what it is about: however it is laid out, asked again it has the same name. */
export const questionName = (spec: Spec): string =>
  [
    ...[spec.kind, spec.light, spec.axis, spec.strengthPercent],
    ...spec.paints.map(refName).sort(),
    spec.finish && refName(spec.finish),
    ...[...spec.lights].sort(),
  ].join(' | ')
