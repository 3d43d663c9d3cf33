'use client'

import dynamic from 'next/dynamic'
import { useEffect, useMemo, useState } from 'react'
import { kindWords, type KeeperKind } from '@/core/pairing/keeper-kind'
import type { PracticeAnswer } from '@/core/practice/answer'
import { countsSpreads } from '@/core/practice/kinds'
import { ALL_ANSWERS, facetName, type FacetScore, type KindScore } from '@/core/practice/score'
import type { TradeWords } from '@/core/trade-words'
import { capital, counted } from '@/core/words'
import { wilson } from '@/core/wilson'
import type { PracticeScore as Score } from '@/workers/practice-protocol'
import { PracticeWorker } from '@/workers/practice-client'
import { DateHere } from '../frame/date-here'
import { Choice } from '../form/choice'
import { useSettings } from '../settings/settings-context'

// Recharts is fetched by those who have a score to look at.
const ScoreChart = dynamic(() => import('./score-chart').then((m) => m.ScoreChart), {
  loading: () => <div className="h-64" />,
})

/** How somebody does: what to practise next, over time, by kind, and by lean, finish and light. */
export function PracticeScore({
  answers,
  name,
}: {
  readonly answers: readonly PracticeAnswer[]
  readonly name: string
}) {
  const score = useScore(answers)
  const { words } = useSettings()
  const [looked, setLooked] = useState(ALL_ANSWERS)
  const options = useMemo(
    (): readonly (readonly [string, string])[] => [
      [ALL_ANSWERS, 'everything'],
      ...(score?.facets ?? [])
        .filter(({ facet }) => facet !== 'light')
        .map((each) => [facetName(each), `${each.facet}: ${facetWords(each, words)}`] as const),
    ],
    [score, words],
  )
  if (answers.length === 0)
    return (
      <p className="border-t border-rule pt-4">
        Nothing answered yet by {name}: a round of twenty takes some minutes. What comes of it is
        shown here.
      </p>
    )
  if (!score) return <p className="min-h-96 text-small text-dim">Counting …</p>
  const points = score.overTime[looked] ?? score.overTime[ALL_ANSWERS]!
  return (
    <section aria-label="How it goes" className="flex flex-col gap-6 border-t border-rule pt-4">
      <p className="border-l-4 border-ink pl-3 font-medium">{score.next}</p>
      <div>
        <div className="flex flex-wrap items-baseline justify-between gap-4">
          <h2 className="text-title">Over time</h2>
          <div className="w-72">
            <Choice label="Of" value={looked} options={options} onChange={setLooked} />
          </div>
        </div>
        <p className="max-w-prose text-small text-dim">
          How large a difference has to be for half of them to be told, over where each kind starts;
          smaller is sharper. Twenty answers a point; between the thin lines it lies 95 times of
          100.
        </p>
        <ScoreChart points={points} />
        <details className="text-small">
          <summary>The same as a table</summary>
          <table className="mt-2 tabular-nums">
            <thead>
              <tr className="text-left text-dim">
                <th className="pr-6 font-normal">Answers</th>
                <th className="pr-6 font-normal">Up to</th>
                <th className="pr-6 text-right font-normal">Times the start</th>
                <th className="text-right font-normal">95 of 100</th>
              </tr>
            </thead>
            <tbody>
              {points.map(({ answered, at, times, low, high }) => (
                <tr key={answered}>
                  <td className="pr-6">{answered}</td>
                  <td className="pr-6">
                    <DateHere instant={at} />
                  </td>
                  <td className="pr-6 text-right">{times.toFixed(2)}</td>
                  <td className="text-right">
                    {low.toFixed(2)} to {high.toFixed(2)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      </div>
      <KindTable kinds={score.kinds} />
      <div className="grid grid-cols-3 gap-8 max-lg:grid-cols-1">
        {(['lean', 'finish', 'light'] as const).map((facet) => (
          <FacetTable
            key={facet}
            facet={facet}
            scores={score.facets.filter((each) => each.facet === facet)}
          />
        ))}
      </div>
    </section>
  )
}

function KindTable({ kinds }: { readonly kinds: readonly KindScore[] }) {
  return (
    <div>
      <h2 className="text-title">By kind of question</h2>
      <table className="mt-1 w-full text-small tabular-nums">
        <thead>
          <tr className="border-b border-ink text-left text-dim">
            <th className="font-normal">Kind</th>
            <th className="text-right font-normal">Right</th>
            <th className="text-right font-normal">Told from</th>
            <th className="text-right font-normal">95 of 100</th>
          </tr>
        </thead>
        <tbody>
          {kinds.map(({ kind, answered, right, step, low, high, isBelowLeast }) => (
            <tr key={kind} className="border-b border-rule">
              <th className="py-2 text-left font-medium">{capital(kind)}</th>
              <td className="text-right">
                {answered === 0 ? 'not asked yet' : `${right} of ${answered}`}
              </td>
              <td className="text-right">
                {answered === 0
                  ? ''
                  : isBelowLeast
                    ? 'finer than is asked'
                    : `${step.toFixed(1)} ${countsSpreads(kind) ? 'spreads' : 'steps'}`}
              </td>
              <td className="text-right">
                {answered === 0 ? '' : `${low.toFixed(1)} to ${high.toFixed(1)}`}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-fine text-dim">
        A step is the smallest difference that anybody sees; spreads are those of a pair’s chance
        from even odds.
      </p>
    </div>
  )
}

const HEADS: Readonly<Record<FacetScore['facet'], string>> = {
  lean: 'By lean',
  finish: 'By finish',
  light: 'By light',
}

/** A lean, a light, or a kind of finish as people say it. */
const facetWords = ({ facet, value }: Pick<FacetScore, 'facet' | 'value'>, words: TradeWords) =>
  facet === 'finish' ? kindWords(value as KeeperKind, words) : value

function FacetTable({
  facet,
  scores,
}: {
  readonly facet: FacetScore['facet']
  readonly scores: readonly FacetScore[]
}) {
  const { words } = useSettings()
  return (
    <div>
      <h2 className="text-title">{HEADS[facet]}</h2>
      {scores.length === 0 ? (
        <p className="text-small text-dim">Nothing asked yet.</p>
      ) : (
        <table className="mt-1 w-full text-small tabular-nums">
          <thead>
            <tr className="border-b border-ink text-left text-dim">
              <th className="font-normal">{capital(facet)}</th>
              <th className="text-right font-normal">Right</th>
              <th className="text-right font-normal">Times one’s usual</th>
            </tr>
          </thead>
          <tbody>
            {scores.map(({ value, answered, right, times, low, high }) => {
              const known = wilson(right, answered)
              return (
                <tr key={value} className="border-b border-rule align-top">
                  <th className="py-1 text-left font-medium">
                    {facetWords({ facet, value }, words)}
                  </th>
                  <td
                    className="py-1 text-right"
                    title={`${Math.round(100 * known.low)} to ${Math.round(100 * known.high)} %, 95 of 100; of ${counted(answered, 'answer')}`}
                  >
                    {right} of {answered}
                  </td>
                  <td className="py-1 text-right">
                    {times.toFixed(1)}{' '}
                    <span className="text-dim">
                      ({low.toFixed(1)} to {high.toFixed(1)})
                    </span>
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
    </div>
  )
}

function useScore(answers: readonly PracticeAnswer[]): Score | null {
  const [known, setKnown] = useState<{
    readonly of: readonly PracticeAnswer[]
    readonly score: Score
  } | null>(null)
  useEffect(() => {
    if (answers.length === 0) return
    const worker = new PracticeWorker()
    worker.score({ answers }).then(
      (score) => setKnown({ of: answers, score }),
      () => undefined,
    )
    return () => worker.end()
  }, [answers])
  return known?.of === answers ? known.score : null
}
