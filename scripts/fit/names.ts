import { plainName, undertoneName, type Anchor } from '../../src/core/undertone/plain-name'
import { byDaylight, type NamedColour } from './ratings'

/** A named colour where it lies by daylight. */
export const anchorOf = ({ lab, family, undertone }: NamedColour): Anchor => {
  const { j, a, b } = byDaylight(lab)
  return { j, a, b, family, undertone }
}

export interface NamesTold {
  readonly of: number
  readonly accepted: number
  readonly commonest: number
  readonly undertone: number
  /** How many are given a second name. */
  readonly between: number
}

/** Each colour of the panel named by all others. */
export function tellNames(
  panel: readonly NamedColour[],
  others: readonly NamedColour[],
): NamesTold {
  const anchors = [...panel, ...others].map(anchorOf)
  const said = panel.map((own, at) => {
    const rest = anchors.filter((_, other) => other !== at)
    return {
      own,
      ...plainName(anchors[at]!, rest),
      undertone: undertoneName(anchors[at]!, rest),
    }
  })
  const count = (holds: (each: (typeof said)[number]) => boolean): number =>
    said.filter(holds).length
  return {
    of: panel.length,
    accepted: count(({ own, name }) => (own.family as readonly string[]).includes(name)),
    commonest: count(({ own, name }) => own.family[0] === name),
    undertone: count(({ own, undertone }) => own.undertone.includes(undertone)),
    between: count(({ second }) => second !== null),
  }
}
