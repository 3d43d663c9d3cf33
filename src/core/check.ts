/** A number as it is, if it is one; what was expected and what came otherwise. */
export function finite(value: number, what: string): number {
  if (!Number.isFinite(value)) throw new RangeError(`${what} must be a number, got ${value}`)
  return value
}

/** Numbers of a list or table, the same; only what is no number at all is looked for, so that it costs next to nothing. */
export function finiteAll<Values extends ArrayLike<number>>(values: Values, what: string): Values {
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += values[i]! * 0
  if (sum !== 0)
    throw new RangeError(
      `${what} must be numbers, got ${Array.from(values).find((v) => !Number.isFinite(v))}`,
    )
  return values
}

/** A number between two limits, both included. */
export function between(value: number, least: number, most: number, what: string): number {
  if (!(value >= least && value <= most))
    throw new RangeError(`${what} must be ${least} to ${most}, got ${value}`)
  return value
}
