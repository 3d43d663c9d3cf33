/** What a screen reader calls a candidate. */
export const candidateWords = ({
  name,
  strengthPercent,
}: {
  readonly name: string
  readonly strengthPercent: number
}): string => `${name} at ${strengthPercent} per cent`
