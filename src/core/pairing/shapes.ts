/** The three smooth shapes that every term of a judgement is made of. */

/** From 0 well below `middle` to 1 well above it; `width` for each factor of e. */
export const step = (x: number, middle: number, width: number): number =>
  1 / (1 + Math.exp((middle - x) / width))

/** 1 at nothing, falling on both sides. */
export const hump = (x: number, width: number): number => {
  const share = x / width
  return Math.exp(-share * share)
}

/** max(0, x) with its corner rounded. */
export const atLeastNone = (x: number, corner: number): number =>
  (x + Math.sqrt(x * x + corner * corner)) / 2
