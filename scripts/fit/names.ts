import type { Undertone } from '../../src/core/undertone/undertone'
import { byDaylight, type NamedColour } from './ratings'

/** Where a colour lies among names: lightness, and the lean drawn together where it is strong. */
function placeOf({ j, a, b, c }: Undertone): readonly [number, number, number] {
  const drawn = c > 0 ? (2 * Math.log(1 + c / 2)) / c : 0
  return [j / 16, drawn * a, drawn * b]
}

const WIDTH = 0.6
const UNDERTONE_WIDTH = 0.4
// Down each colour's list of names that would do.
const NEXT_COUNTS = 0.85

/** The name that most of the colours around it go by, each the less the further off it lies. */
export function namedAs(
  colour: Pick<NamedColour, 'lab'>,
  anchors: readonly NamedColour[],
  of: 'family' | 'undertone',
): string {
  const at = placeOf(byDaylight(colour.lab))
  const width = of === 'family' ? WIDTH : UNDERTONE_WIDTH
  const votes = new Map<string, number>()
  for (const anchor of anchors) {
    const place = placeOf(byDaylight(anchor.lab))
    const d2 = place.reduce((sum, each, i) => sum + (each - at[i]!) ** 2, 0)
    let weight = Math.exp(-d2 / (2 * width * width))
    for (const name of anchor[of]) {
      votes.set(name, (votes.get(name) ?? 0) + weight)
      weight *= NEXT_COUNTS
    }
  }
  return [...votes].reduce((best, each) => (each[1] > best[1] ? each : best))[0]
}

export interface NamesTold {
  readonly of: number
  readonly accepted: number
  readonly commonest: number
  readonly undertone: number
  readonly misses: readonly string[]
}

/** Each colour of the panel named by all others. */
export function tellNames(
  panel: readonly NamedColour[],
  strong: readonly NamedColour[],
): NamesTold {
  const said = panel.map((own) => {
    const others = [...panel.filter((each) => each !== own), ...strong]
    const [family, undertone] = [namedAs(own, others, 'family'), namedAs(own, others, 'undertone')]
    return { own, family, undertone }
  })
  const count = (holds: (each: (typeof said)[number]) => boolean): number =>
    said.filter(holds).length
  return {
    of: panel.length,
    accepted: count(({ own, family }) => own.family.includes(family)),
    commonest: count(({ own, family }) => own.family[0] === family),
    undertone: count(({ own, undertone }) => own.undertone.includes(undertone)),
    misses: said
      .filter(({ own, family }) => !own.family.includes(family))
      .map(({ own, family }) => `${own.name ?? own.lab.join(' ')}: said ${family}`),
  }
}
