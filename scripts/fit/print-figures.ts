import { wilson } from '../../src/core/wilson'
import { correlationFigure, meanFigure, type Figure } from './figures'
import type { Judged, LeftOutPair } from './judged'
import { isSure } from './ratings'
import { speaksFor } from '../../src/core/pairing/said-of-pair'
import type { ReasonsFitted } from './reasons'

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`
const figure = ({ value, low, high }: Figure): string =>
  `${value.toFixed(3)} (${low.toFixed(2)} to ${high.toFixed(2)})`
const shareWords = (count: number, of: number): string => {
  if (of === 0) return 'none of none'
  const { share, low, high } = wilson(count, of)
  return `${count} of ${of} (${percent(share)}, ${percent(low)} to ${percent(high)})`
}

/** What fits that did not see a pair, a saying, a room or a name say of it; each with its interval (95 %). */
export function printFigures(
  { pairs, says, chances, rooms, names }: Judged,
  reasons: ReasonsFitted,
): void {
  const alike = (rows: readonly LeftOutPair[]): string =>
    shareWords(rows.filter(({ said, score }) => said > 5 === score > 5).length, rows.length)
  for (const [how, by] of [
    ['each finish left out', 'leftOut'],
    ['in ten folds', 'byFolds'],
  ] as const) {
    console.log(
      `Pairs, ${how}: rank correlation with the mean of both ratings; said alike, of those that both are sure of`,
    )
    for (const set of ['all', ...new Set(pairs.map(({ of }) => of.set))]) {
      const own = pairs
        .filter(({ of }) => set === 'all' || of.set === set)
        .map((pair) => ({ ...pair, said: pair[by] }))
      const sure = own.filter(({ of }) => isSure(of))
      const correlation = correlationFigure(
        own.map(({ said }) => said),
        own.map(({ score }) => score),
      )
      const [work, not] = [true, false].map((is) => sure.filter(({ score }) => score > 5 === is))
      console.log(
        `  ${set}, ${own.length}: ${figure(correlation)}; ${alike(sure)}; that work ${alike(work!)}; that do not ${alike(not!)}`,
      )
    }
  }
  const misses = says.filter(({ of, said }) => said > 5 !== (of.expect === 'works'))
  console.log(
    `Sayings, their family left out: ${shareWords(says.length - misses.length, says.length)}`,
  )
  for (const { of } of misses) console.log(`    misses “${of.says}”`)
  console.log(
    `Chances, left out, ten bins of like count: worst ${(100 * chances.worst).toFixed(1)} points, mean ${(100 * chances.mean).toFixed(1)}`,
  )
  console.log(
    `Unsure of what both raters are sure of, readings exact: ${shareWords(chances.unsure, chances.sure)}; the finish by ` +
      Object.entries(chances.unsureBy)
        .map(([source, unsure]) => `${source}: ${shareWords(unsure, chances.sure)}`)
        .join('; '),
  )
  printReasons(pairs, reasons)
  console.log(
    `Rooms, each left out: rank correlation ${figure(meanFigure(rooms.correlations))}; first of eight within a point of the best in ${shareWords(rooms.firstNearBest, rooms.correlations.length)}; under 5 where there is a 6 or better in ${shareWords(rooms.firstUnderFive, rooms.withGood)}`,
  )
  console.log(
    `Names, each left out: accepted ${shareWords(names.accepted, names.of)}; the commonest ${shareWords(names.commonest, names.of)}; undertone ${shareWords(names.undertone, names.of)}; ${names.between} lie between two names`,
  )
}

function printReasons(
  pairs: Judged['pairs'],
  { reasonsSaid, directed, directionsSaid }: ReasonsFitted,
): void {
  const given = pairs.flatMap(({ of }, i) =>
    of.reasons.map((reason) => ({ reason, said: reasonsSaid[i]! })),
  )
  const alike = given.filter(({ reason, said }) => reason === said)
  const side = given.filter(({ reason, said }) => speaksFor(reason) === speaksFor(said))
  console.log(
    `Reasons, by folds of finishes: as a rater says ${shareWords(alike.length, given.length)}; of the same side ${shareWords(side.length, given.length)}`,
  )
  const agreed = directed
    .map(({ of }, i) => ({ ways: of.directions!, said: directionsSaid[i]! }))
    .filter(({ ways: [one, other] }) => one !== null && one === other)
  const hues = agreed.filter(({ ways }) => /pink|green|blue|violet|yellow|orange/.test(ways[0]!))
  const right = (rows: typeof agreed): string =>
    shareWords(rows.filter(({ ways, said }) => ways[0] === said).length, rows.length)
  console.log(`Directions that both raters agree on: ${right(agreed)}; hues ${right(hues)}`)
}
