import { agreementOf } from './agreement'
import type { Look } from './look'
import { look } from './look.fixture'
import type { Verdict } from './verdict'

const judged = (
  verdict: Verdict | null,
  chance: number | null,
  change: Partial<Look> = {},
): Look => ({
  ...look(verdict ?? 'unsure'),
  verdict,
  model:
    chance === null
      ? null
      : { version: '1', judgement: 'unsure', chance, sentence: '', strengthPercent: null },
  ...change,
})

test('agreement is counted on pairs whose reading nobody had seen, where both spoke out', () => {
  expect(
    agreementOf([
      judged('works', 0.95),
      judged('no', 0.05),
      judged('no', 0.95),
      judged('works-lighter', 0.95),
      // Neither says anything: an unsure eye, an unsure model, a lean alone, no reading, a look that was taken back.
      judged('unsure', 0.95),
      judged('works', 0.5),
      judged(null, 0.95),
      judged('works', null),
      judged('works', 0.95, { retracted: true }),
      // The reading had been seen, or nobody noted whether.
      judged('works', 0.95, { modelSeenBefore: true }),
      judged('no', 0.95, { modelSeenBefore: null }),
    ]),
  ).toEqual({ agreed: 2, of: 4, known: 2 })
  expect(agreementOf([])).toEqual({ agreed: 0, of: 0, known: 0 })
})
