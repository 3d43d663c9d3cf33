/** A weight as it is shipped. */
export const rounded = (weight: number): number => Number(weight.toFixed(4))
