/** Median milliseconds of some runs, after one that warms up. */
export function medianMs(runs: number, work: () => void): number {
  work()
  const times = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((p, q) => p - q)
  return times[Math.floor(runs / 2)]!
}
