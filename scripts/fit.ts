// npm run fit: fits the judge to the ratings in `ratings/`, prints what fits that did not see a rating say of it, and writes the weights
// into the program. Deterministic.
import { writeFileSync } from 'node:fs'
import { TERM_NAMES } from '../src/core/pairing/terms'
import { judgeRatings, judgeReasons } from './fit/judged'
import { printFigures } from './fit/print-figures'
import { rounded } from './fit/rounded'

const judged = judgeRatings()
printFigures(judged, judgeReasons(judged))
const { fitted, step } = judged
const shipped = {
  constant: rounded(fitted.constant),
  terms: Object.fromEntries(TERM_NAMES.map((name, i) => [name, rounded(fitted.weights[i]!)])),
  chance: step,
}
writeFileSync(
  new URL('../src/core/pairing/fitted.json', import.meta.url),
  `${JSON.stringify(shipped, null, 2)}\n`,
)
