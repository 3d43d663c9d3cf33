/** Nothing that is kept is nested deeper; what is was made to trip whoever reads it. */
export const DEEPEST = 40

/** Whether a value of JSON is nested deeper than so many lists and objects; found without following it down by calls. */
export function isDeeperThan(value: unknown, most = DEEPEST): boolean {
  let level: readonly unknown[] = [value]
  for (let depth = 0; level.length > 0; depth++) {
    level = level.flatMap((each) =>
      each !== null && typeof each === 'object' ? Object.values(each) : [],
    )
    if (depth > most) return true
  }
  return false
}
