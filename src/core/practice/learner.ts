/** Somebody who practises, with how much. */
export interface Learner {
  readonly id: string
  readonly name: string
  readonly answers: number
}
