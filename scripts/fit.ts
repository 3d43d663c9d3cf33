// npm run fit: fits the judge to the ratings in `ratings/`, prints what fits that did not see a rating say of it, and writes the weights
// into the program. Deterministic.
import { writeFileSync } from 'node:fs'
import type { Softmax } from '../src/core/pairing/softmax'
import { TERM_NAMES } from '../src/core/pairing/terms'
import { judgeRatings, judgeReasons } from './fit/judged'
import { anchorOf } from './fit/names'
import { printFigures } from './fit/print-figures'
import { NAMED_FILES, namedColours } from './fit/ratings'
import { rounded } from './fit/rounded'

const judged = judgeRatings()
const reasons = judgeReasons(judged)
printFigures(judged, reasons)
const { fitted, step } = judged
const shipped = {
  constant: rounded(fitted.constant),
  terms: Object.fromEntries(TERM_NAMES.map((name, i) => [name, rounded(fitted.weights[i]!)])),
  chance: step,
}
ship('pairing/fitted', shipped)
ship('pairing/reasons', {
  spread: [...reasons.spread].map(rounded),
  reasons: shippedSoftmax(reasons.reasons),
  directions: shippedSoftmax(reasons.directions),
})

ship('ranking/fitted', {
  terms: Object.fromEntries(
    Object.entries(judged.rooms.weights).map(([name, weight]) => [name, rounded(weight)]),
  ),
})
ship(
  'undertone/anchors',
  NAMED_FILES.flatMap(namedColours)
    .map(anchorOf)
    .map(({ j, a, b, ...names }) => ({
      ...{ j: rounded(j), a: rounded(a), b: rounded(b) },
      ...names,
    })),
)

function shippedSoftmax({ classes, weights }: Softmax): object {
  return { classes, weights: weights.map((own) => Array.from(own, rounded)) }
}

function ship(name: string, content: object): void {
  writeFileSync(
    new URL(`../src/core/${name}.json`, import.meta.url),
    `${JSON.stringify(content, null, name.endsWith('fitted') ? 2 : 0)}\n`,
  )
}
