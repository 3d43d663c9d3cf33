/** Median milliseconds of some runs, after some that warm up. */
export function medianMs(runs: number, work: () => void, warmUps = 1): number {
  for (let i = 0; i < warmUps; i++) work()
  const times = Array.from({ length: runs }, () => {
    const start = performance.now()
    work()
    return performance.now() - start
  }).sort((p, q) => p - q)
  return times[Math.floor(runs / 2)]!
}
