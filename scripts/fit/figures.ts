/** Places in order, equal values sharing theirs. */
export function ranks(values: readonly number[]): number[] {
  const sorted = values.map((value, at) => [value, at] as const).sort(([p], [q]) => p - q)
  const places = new Array<number>(values.length)
  for (let from = 0; from < sorted.length;) {
    let to = from
    while (to < sorted.length && sorted[to]![0] === sorted[from]![0]) to++
    for (let at = from; at < to; at++) places[sorted[at]![1]] = (from + to - 1) / 2
    from = to
  }
  return places
}

const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, each) => sum + each, 0) / values.length

/** Spearman's rank correlation. */
export function rankCorrelation(p: readonly number[], q: readonly number[]): number {
  const [x, y] = [ranks(p), ranks(q)]
  const [mx, my] = [meanOf(x), meanOf(y)]
  let [xy, xx, yy] = [0, 0, 0]
  x.forEach((each, i) => {
    xy += (each - mx) * (y[i]! - my)
    xx += (each - mx) ** 2
    yy += (y[i]! - my) ** 2
  })
  return xx > 0 && yy > 0 ? xy / Math.sqrt(xx * yy) : 0
}

/** A figure with its interval (95 %). */
export interface Figure {
  readonly value: number
  readonly low: number
  readonly high: number
}

/** A rank correlation with its interval: Bonett and Wright, "Sample size requirements for estimating Pearson, Kendall and Spearman correlations", Psychometrika 65 (2000), 23. */
export function correlationFigure(p: readonly number[], q: readonly number[]): Figure {
  const value = rankCorrelation(p, q)
  const spread = Math.sqrt((1 + (value * value) / 2) / (p.length - 3))
  return {
    value,
    low: Math.tanh(Math.atanh(value) - 1.96 * spread),
    high: Math.tanh(Math.atanh(value) + 1.96 * spread),
  }
}

/** A mean of many with its interval. */
export function meanFigure(values: readonly number[]): Figure {
  const value = meanOf(values)
  const variance = values.reduce((sum, each) => sum + (each - value) ** 2, 0) / (values.length - 1)
  const spread = Math.sqrt(variance / values.length)
  return { value, low: value - 1.96 * spread, high: value + 1.96 * spread }
}
