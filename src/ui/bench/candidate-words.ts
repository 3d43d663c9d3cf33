/** What a screen reader calls a candidate: by its code as long as its name would sway. */
export const candidateWords = (
  {
    code,
    name,
    strengthPercent,
  }: {
    readonly code: string
    readonly name: string
    readonly strengthPercent: number
  },
  isNamed: boolean,
): string => `${isNamed ? name : code} at ${strengthPercent} per cent`
