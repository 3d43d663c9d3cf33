/** A share with the bounds that hold 95 times of 100. */
export interface ShareKnown {
  readonly share: number
  readonly low: number
  readonly high: number
}

const Z95 = 1.959964

/**
 * A share from so many of so many, with its interval: Wilson, "Probable inference, the law of succession, and statistical
 * inference", Journal of the American Statistical Association 22 (1927), 209.
 *
 * @param of at least 1
 */
export function wilson(count: number, of: number): ShareKnown {
  if (!(of >= 1 && count >= 0 && count <= of))
    throw new RangeError(`a share needs 0 to ${of} of at least 1, got ${count} of ${of}`)
  const share = count / of
  const z2 = Z95 * Z95
  const middle = (share + z2 / (2 * of)) / (1 + z2 / of)
  const half = (Z95 * Math.sqrt((share * (1 - share)) / of + z2 / (4 * of * of))) / (1 + z2 / of)
  return { share, low: Math.max(0, middle - half), high: Math.min(1, middle + half) }
}
